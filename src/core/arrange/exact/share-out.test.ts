import fc from 'fast-check';
import { context, demand, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { optimum } from '../../../../tests/highs';
import { arrange } from '../arrange';
import type { Wish } from './share-out';
import { shareOut } from './share-out';

const worth = (wishes: readonly (readonly Wish[])[], given: readonly (number | null)[]): number =>
  given.reduce<number>(
    (sum, thing, i) => sum + (thing === null ? 0 : (wishes[i]?.find((w) => w.thing === thing)?.value ?? -Infinity)),
    0,
  );

/** The most that any sharing is worth, by trying all. */
function tryAll(wishes: readonly (readonly Wish[])[], supply: readonly number[]): number {
  const [first, ...rest] = wishes;
  if (!first) return 0;
  return Math.max(
    tryAll(rest, supply),
    ...first
      .filter((w) => (supply[w.thing] as number) > 0)
      .map(
        (w) =>
          w.value +
          tryAll(
            rest,
            supply.map((n, i) => (i === w.thing ? n - 1 : n)),
          ),
      ),
  );
}

/** The same by HiGHS, the outside reference. */
async function byHighs(wishes: readonly (readonly Wish[])[], supply: readonly number[]): Promise<number> {
  const all = wishes.flatMap((list, i) => list.map((w) => ({ ...w, i, name: `x${i}_${w.thing}` })));
  const sum = (some: typeof all) => Object.fromEntries(some.map((w) => [w.name, 1]));
  const rows = [...wishes.keys()]
    .map((i) => ({ sum: sum(all.filter((w) => w.i === i)), is: '<=' as const, to: 1 }))
    .concat(supply.map((to, t) => ({ sum: sum(all.filter((w) => w.thing === t)), is: '<=' as const, to })));
  return -(
    (await optimum({
      minimize: Object.fromEntries(all.map((w) => [w.name, -w.value])),
      rows: rows.filter((r) => Object.keys(r.sum).length),
      binaries: all.map((w) => w.name),
    })) ?? NaN
  );
}

const cases = fc.record({
  supply: fc.array(fc.nat(2), { minLength: 3, maxLength: 3 }),
  wishes: fc.array(
    fc.uniqueArray(fc.record({ thing: fc.nat(2), value: fc.integer({ min: 1, max: 20 }) }), {
      selector: (w) => w.thing,
      maxLength: 3,
    }),
    { maxLength: 6 },
  ),
});

it('is worth as much as the best of all sharings, and gives nothing twice', () => {
  fc.assert(
    fc.property(cases, ({ supply, wishes }) => {
      const given = shareOut(wishes, supply);
      expect(worth(wishes, given)).toBe(tryAll(wishes, supply));
      supply.forEach((n, thing) => expect(given.filter((g) => g === thing).length).toBeLessThanOrEqual(n));
    }),
    { numRuns: 300, seed: 4 },
  );
});

it('is worth as much as HiGHS finds on weeks of forty items', async () => {
  for (let seed = 1; seed <= 10; seed++) {
    const wishes = Array.from({ length: 40 }, (_, i) =>
      Array.from({ length: 3 }, (_, k) => ({
        thing: (i * 7 + k * 5 + seed) % 12,
        value: 1 + ((i * 31 + k * 17 + seed * 13) % 60) / 10,
      })),
    );
    const supply = Array.from({ length: 12 }, (_, t) => (t * seed) % 3);
    expect(worth(wishes, shareOut(wishes, supply))).toBeCloseTo(await byHighs(wishes, supply), 6);
  }
});

it('keeps the last icon for where it matters most, whichever day comes first', () => {
  const kit = kitOf(piece({ count: 9 }), piece({ code: 'I', kind: 'icon', icon: 'computer', width: 9, height: 9 }));
  const chores = [0, 1, 2].map((day) => demand({ uid: `c${day}`, key: `c${day}`, title: 'laptop', day }));
  const week = weekWith(
    ...chores,
    demand({ uid: 'm', key: 'm', title: 'laptop', day: 5, start: 600, kind: 'appointment' }),
  );
  const icon = arrange(context({ kit, week })).filter((p) => p.code === 'I');
  expect(icon).toMatchObject([{ day: 5 }]);
});
