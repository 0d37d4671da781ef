import type { PackItem } from '../src/core/arrange/exact/day-packing';
import { randomFrom } from '../src/core/measure/random';
import type { Stretch } from '../src/core/spread/free-room';
import { optimum } from './highs';

export interface DayColumn {
  readonly items: readonly PackItem[];
  readonly stretches: readonly Stretch[];
  readonly gap: number;
}

/** Heights of bases as kits have them, mm. */
const HEIGHTS = [9, 10, 12, 14, 16, 19, 24, 24.5, 48.5];

/** A generated week of seven columns, from empty to overfull, in one to three stretches. */
export function generatedWeek(seed: number): DayColumn[] {
  const random = randomFrom(seed);
  const below = (n: number): number => Math.floor(random() * n);
  return Array.from({ length: 7 }, () => {
    const items = Array.from({ length: 1 + below(11) }, (): PackItem => ({
      options: Array.from({ length: 1 + below(4) }, () => ({
        height: HEIGHTS[below(HEIGHTS.length)] as number,
        cost: Math.round(random() * 40) / 10,
      })),
      leaveOut: [700, 900, 1000, 1200][below(4)] as number,
    }));
    const cuts = [31, ...Array.from({ length: below(3) }, () => 40 + below(150)), 202].sort((a, b) => a - b);
    const stretches = cuts
      .slice(1)
      .map((to, i) => ({ from: (cuts[i] as number) + (i ? 2 : 0), to }))
      .filter((s) => s.to - s.from > 5);
    return { items, stretches, gap: [1, 2, 3][below(3)] as number };
  });
}

/** The cheapest packing of a column by HiGHS: each item on one base in one stretch, in order, or left out. */
export async function bestPacking({ items, stretches, gap }: DayColumn): Promise<number | null> {
  const at = (i: number, o: number, k: number): string => `x${i}_${o}_${k}`;
  const all = items.flatMap((item, i) =>
    item.options.flatMap((option, o) => stretches.map((_, k) => ({ i, o, k, option }))),
  );
  const inStretch = (i: number, k: number) => all.filter((x) => x.i === i && x.k === k);
  const ones = (list: readonly { i: number; o: number; k: number }[]) =>
    Object.fromEntries(list.map((x) => [at(x.i, x.o, x.k), 1]));
  return optimum({
    minimize: {
      ...Object.fromEntries(all.map((x) => [at(x.i, x.o, x.k), x.option.cost])),
      ...Object.fromEntries(items.map((item, i) => [`out${i}`, item.leaveOut])),
    },
    binaries: [...all.map((x) => at(x.i, x.o, x.k)), ...items.map((_, i) => `out${i}`)],
    rows: [
      ...items.map((_, i) => ({
        sum: { ...ones(all.filter((x) => x.i === i)), [`out${i}`]: 1 },
        is: '=' as const,
        to: 1,
      })),
      ...stretches.map((s, k) => ({
        sum: Object.fromEntries(all.filter((x) => x.k === k).map((x) => [at(x.i, x.o, x.k), x.option.height + gap])),
        is: '<=' as const,
        to: s.to - s.from + gap,
      })),
      ...items.flatMap((_, i) =>
        items.flatMap((__, j) =>
          j <= i
            ? []
            : stretches.flatMap((___, k) =>
                k === 0
                  ? []
                  : [
                      {
                        sum: { ...ones(inStretch(i, k)), ...ones(all.filter((x) => x.i === j && x.k < k)) },
                        is: '<=' as const,
                        to: 1,
                      },
                    ],
              ),
        ),
      ),
    ],
  });
}
