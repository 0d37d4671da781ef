import fc from 'fast-check';
import { optimum } from '../../../../tests/highs';
import { randomFrom } from '../../measure/random';
import type { CutStock } from './cutting-stock';
import { planCuts } from './cutting-stock';

const whole = (length: number, count: number): CutStock[] =>
  Array.from({ length: count }, () => ({ length, begun: false }));
const repeated = (orders: readonly (readonly [number, number])[]): number[] =>
  orders.flatMap(([length, count]) => new Array<number>(count).fill(length));

/** A plan holds when every length has its strip and no strip gives more than it has. */
function holds(lengths: readonly number[], stock: readonly CutStock[], from: readonly (number | null)[]): boolean {
  return stock.every((s, n) => lengths.reduce((mm, l, i) => mm + (from[i] === n ? l : 0), 0) <= s.length + 1e-6);
}

/** The fewest whole strips by HiGHS. */
function fewest(lengths: readonly number[], stock: readonly CutStock[]): Promise<number | null> {
  const at = (i: number, s: number): string => `x${i}_${s}`;
  const pairs = lengths.flatMap((l, i) => stock.flatMap((k, s) => (l <= k.length ? [{ i, s }] : [])));
  return optimum({
    minimize: Object.fromEntries(stock.flatMap((k, s) => (k.begun ? [] : [[`y${s}`, 1]]))),
    rows: [
      ...lengths.map((_, i) => ({
        sum: Object.fromEntries(pairs.filter((p) => p.i === i).map((p) => [at(p.i, p.s), 1])),
        is: '=' as const,
        to: 1,
      })),
      ...stock.map((k, s) => ({
        sum: {
          ...Object.fromEntries(pairs.filter((p) => p.s === s).map((p) => [at(p.i, p.s), lengths[p.i] as number])),
          [`y${s}`]: -k.length,
        },
        is: '<=' as const,
        to: 0,
      })),
      ...stock.flatMap((k, s) => (k.begun ? [{ sum: { [`y${s}`]: 1 }, is: '=' as const, to: 1 }] : [])),
    ],
    binaries: [...pairs.map((p) => at(p.i, p.s)), ...stock.map((_, s) => `y${s}`)],
  });
}

it('begins as few strips as HiGHS on forty generated weeks of strips', async () => {
  const random = randomFrom(11);
  let met = 0;
  for (let n = 0; n < 40; n++) {
    const lengths = Array.from(
      { length: 3 + Math.floor(random() * 7) },
      () => [38.1, 28.8, 78.2, 118.3, 15 + Math.round(random() * 60)][Math.floor(random() * 5)] as number,
    );
    const stock = [{ length: 60 + Math.round(random() * 60), begun: true }, ...whole(168, 8)];
    const plan = planCuts(lengths, stock);
    expect(holds(lengths, stock, plan.from)).toBe(true);
    if (plan.opened === (await fewest(lengths, stock))) met++;
  }
  expect(met).toBe(40);
});

it('leaves nothing out that fits, and never gives more than there is', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 5, max: 120 }), { maxLength: 14 }),
      fc.array(fc.record({ length: fc.integer({ min: 20, max: 170 }), begun: fc.boolean() }), { maxLength: 6 }),
      (lengths, stock) => {
        const { from, opened } = planCuts(lengths, stock);
        expect(holds(lengths, stock, from)).toBe(true);
        expect(opened).toBe(stock.filter((s, n) => !s.begun && from.includes(n)).length);
        if (lengths.length === 1) expect(from[0] === null).toBe(!stock.some((s) => s.length >= (lengths[0] as number)));
      },
    ),
    { numRuns: 200, seed: 4 },
  );
});

it('takes an offcut before a whole strip, and says what no strip can give', () => {
  expect(
    planCuts(
      [50, 40],
      [
        { length: 168, begun: false },
        { length: 95, begun: true },
      ],
    ),
  ).toEqual({ from: [1, 1], opened: 0 });
  expect(planCuts([200, 40], whole(168, 2))).toEqual({ from: [null, 0], opened: 1 });
});

/** Published cutting-stock instances; the orders and optima from memory. */
it.each([
  [
    'the paper machine, 5600 mm rolls, thirteen widths (the usual example of the cutting-stock literature)',
    5600,
    [
      [2200, 20],
      [2150, 18],
      [2140, 16],
      [2100, 14],
      [2050, 12],
      [2000, 10],
      [1930, 20],
      [1880, 18],
      [1820, 18],
      [1710, 14],
      [1560, 12],
      [1520, 25],
      [1380, 22],
    ],
    73,
  ],
  [
    'Chvátal, Linear Programming (1983), chapter 13: 100 in raws',
    100,
    [
      [45, 97],
      [36, 610],
      [31, 395],
      [14, 211],
    ],
    453,
  ],
  [
    'Winston, Operations Research: 17 ft boards for 3, 5 and 9 ft; 310 ft in all, so 19 is the least there can be',
    17,
    [
      [9, 15],
      [5, 20],
      [3, 25],
    ],
    19,
  ],
] as const)('meets %s', (_, raw, orders, best) => {
  const lengths = repeated(orders);
  const stock = whole(raw, best + 8);
  const plan = planCuts(lengths, stock);
  expect(holds(lengths, stock, plan.from) && !plan.from.includes(null)).toBe(true);
  expect(plan.opened).toBe(best);
});
