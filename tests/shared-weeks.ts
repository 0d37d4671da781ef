import type { PackItem } from '../src/core/arrange/exact/day-packing';
import { packColumn } from '../src/core/arrange/exact/day-packing';
import type { SharedDay, SharedItem, SharedOption } from '../src/core/arrange/exact/shared-day';
import { randomFrom } from '../src/core/measure/random';
import type { Stretch } from '../src/core/spread/free-room';
import type { Program, Sum } from './highs';
import { optimum } from './highs';

/** A week whose days share what the kit has. */
export interface SharedWeek {
  readonly days: readonly { readonly items: readonly SharedItem[]; readonly stretches: readonly Stretch[] }[];
  readonly supply: ReadonlyMap<string, number>;
  readonly gap: number;
}

/** Bases as thin kits have them: height in mm, what they cost an item at best, copies. */
const BASES = [
  ['label', 12, 0.4, 4],
  ['quarter', 12, 0.8, 3],
  ['half', 24, 1, 3],
  ['flag', 10, 0.6, 4],
  ['rows', 16, 1.6, 8],
] as const;

/** Generated weeks, from empty to overfull, from a handful of bases to plenty; the same for a seed. */
export function sharedWeek(seed: number): SharedWeek {
  const random = randomFrom(seed);
  const below = (n: number): number => Math.floor(random() * n);
  const plenty = [0.5, 1, 1, 2, 4][below(5)] as number;
  const supply = new Map<string, number>(BASES.map(([key, , , copies]) => [key, Math.round(copies * plenty)]));
  const days = Array.from({ length: 7 }, () => {
    const items = Array.from({ length: below(8) }, (): SharedItem => {
      const some = BASES.filter(() => random() < 0.6).map(([key, height, cost]): SharedOption => ({
        height,
        cost: Math.round((cost + random() * 2.5) * 10) / 10,
        uses: { key, amount: key === 'rows' ? 1 + below(2) : 1 },
      }));
      const ink: SharedOption = { height: 4.5 * (1 + below(2)), cost: 5 + below(4), uses: null };
      return { options: [...some, ink], leaveOut: [700, 1000, 1200][below(3)] as number };
    });
    const to = 60 + below(140);
    return {
      items,
      stretches: below(3)
        ? [{ from: 30, to }]
        : [
            { from: 30, to: 55 },
            { from: 60, to },
          ],
    };
  });
  return { days, supply, gap: 2 };
}

/** The week as the sharing takes it. */
export const asDays = ({ days, gap }: SharedWeek): SharedDay[] =>
  days.map(({ items, stretches }) => ({
    alternatives: [{ items, pack: (given: readonly PackItem[]) => packColumn(given, stretches, gap) }],
  }));

/** The cheapest plan of a week by HiGHS: each item on one option in one stretch, in order, or left out. */
export async function bestShare({ days, supply, gap }: SharedWeek): Promise<number | null> {
  const all = days.flatMap(({ items, stretches }, d) =>
    items.flatMap((item, i) =>
      item.options.flatMap((option, o) =>
        stretches.map((_, k) => ({ d, i, o, k, option, name: `x${d}_${i}_${o}_${k}` })),
      ),
    ),
  );
  const outs = days.flatMap(({ items }, d) => items.map((item, i) => ({ d, i, item, name: `out${d}_${i}` })));
  if (!outs.length) return 0;
  const ones = (list: readonly { name: string }[]): Sum => Object.fromEntries(list.map((x) => [x.name, 1]));
  const rows: Program['rows'][number][] = [
    ...outs.map(({ d, i, name }) => ({
      sum: { ...ones(all.filter((x) => x.d === d && x.i === i)), [name]: 1 },
      is: '=' as const,
      to: 1,
    })),
    ...days.flatMap(({ stretches }, d) =>
      stretches.map((s, k) => ({
        sum: Object.fromEntries(
          all.filter((x) => x.d === d && x.k === k).map((x) => [x.name, x.option.height + gap] as const),
        ),
        is: '<=' as const,
        to: s.to - s.from + gap,
      })),
    ),
    ...[...supply].map(([key, to]) => ({
      sum: Object.fromEntries(
        all.flatMap((x) => (x.option.uses?.key === key ? [[x.name, x.option.uses.amount] as const] : [])),
      ),
      is: '<=' as const,
      to,
    })),
    // an item in the second stretch has none after it in the first
    ...days.flatMap(({ items, stretches }, d) =>
      stretches.length < 2
        ? []
        : items.flatMap((_, i) =>
            items.slice(i + 1).map((__, n) => ({
              sum: ones([
                ...all.filter((x) => x.d === d && x.i === i && x.k === 1),
                ...all.filter((x) => x.d === d && x.i === i + 1 + n && x.k === 0),
              ]),
              is: '<=' as const,
              to: 1,
            })),
          ),
    ),
  ].filter((r) => Object.keys(r.sum).length > 0);
  return optimum({
    minimize: {
      ...Object.fromEntries(all.map((x) => [x.name, x.option.cost])),
      ...Object.fromEntries(outs.map((x) => [x.name, x.item.leaveOut])),
    },
    binaries: [...all.map((x) => x.name), ...outs.map((x) => x.name)],
    rows,
  });
}
