import fc from 'fast-check';
import { SEQUENCES } from '../../manner/sequence';
import type { ColorStock } from './color-sequence';
import { cheapestSequence, habitCost, withoutLoud } from './color-sequence';

const EMPTY = 40;

/** The cheapest sequence by trying every one. */
function tryAll(colors: readonly ColorStock[], places: number, cost: ReturnType<typeof habitCost>): number {
  const walk = (chosen: readonly (number | null)[], spent: number): number => {
    if (chosen.length === places) return spent;
    const [last, before] = [chosen.at(-1) ?? null, chosen.at(-2) ?? null];
    const options = colors.flatMap((c, i) =>
      chosen.filter((x) => x === i).length < c.stock
        ? [walk([...chosen, i], spent + cost(i, chosen.length, last, before))]
        : [],
    );
    return Math.min(walk([...chosen, null], spent + EMPTY), ...options);
  };
  return walk([], 0);
}

const costOf = (chosen: readonly (number | null)[], cost: ReturnType<typeof habitCost>): number =>
  chosen.reduce<number>(
    (sum, c, i) =>
      sum +
      (c === null ? EMPTY : cost(c, i, i ? (chosen[i - 1] ?? null) : null, i > 1 ? (chosen[i - 2] ?? null) : null)),
    0,
  );

it('is as cheap as the best of all sequences, within the stock', () => {
  const color = fc.record({
    color: fc.constantFrom('#111111', '#1f6f78', '#e8836b', '#f2e3c4', '#ffffff'),
    stock: fc.integer({ min: 1, max: 4 }),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(color, { minLength: 1, maxLength: 3, selector: (c) => c.color }),
      fc.integer({ min: 1, max: 6 }),
      fc.constantFrom(...SEQUENCES),
      (colors, places, habit) => {
        const cost = habitCost(habit, colors, places);
        const chosen = cheapestSequence(colors, places, cost);
        expect(costOf(chosen, cost)).toBeCloseTo(tryAll(colors, places, cost), 6);
        colors.forEach((c, i) => expect(chosen.filter((x) => x === i).length).toBeLessThanOrEqual(c.stock));
      },
    ),
    { numRuns: 150, seed: 8 },
  );
});

it('leaves a loud color out only where the others suffice', () => {
  const quiet = [
    { color: '#e4f3ef', stock: 4 },
    { color: '#f2e3c4', stock: 4 },
  ];
  expect(withoutLoud([...quiet, { color: '#101010', stock: 7 }], 7)).toEqual(quiet);
  expect(withoutLoud([...quiet.map((c) => ({ ...c, stock: 2 })), { color: '#101010', stock: 7 }], 7)).toHaveLength(3);
});
