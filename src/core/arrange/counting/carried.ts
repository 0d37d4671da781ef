import { Draft } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { planWeek } from '../days/plan-week';
import { LADDER } from '../ladder/registry';

/** How a week's items would be carried by what is on the table, before anything is laid. */
export interface Carried {
  /** items of the week that want a place */
  readonly items: number;
  /** of them on bases of their own, on rows, on what is shared or cut: all but bare ink */
  readonly onStickers: number;
  /** written straight onto the paper, by day 0-6 */
  readonly onPaper: readonly number[];
  /** without room in their day */
  readonly leftOut: number;
}

const INK_RUNGS: ReadonlySet<string> = new Set(LADDER.filter((r) => r.onPaper).map((r) => r.name));

/**
 * The ladder asked before the first sticker is peeled: the same sharing that lays the days out (handbook K1, K7).
 * @example carriedBy(context).onPaper // [0, 2, 0, 1, 0, 0, 3]
 */
export function carriedBy(context: Context): Carried {
  const { days } = planWeek(Draft.begin(context, []), context);
  const count = (blocks: readonly { readonly demands: readonly unknown[] }[]): number =>
    blocks.reduce((n, b) => n + b.demands.length, 0);
  const laid = days.map((d) => d.standing.filter((s) => !s.block.open));
  const onPaper = laid.map((standing) =>
    count(standing.filter((s) => INK_RUNGS.has(s.choice.rung)).map((s) => s.block)),
  );
  const placed = laid.reduce((n, standing) => n + count(standing.map((s) => s.block)), 0);
  const leftOut = days.reduce((n, d) => n + count(d.leftOut), 0);
  return {
    items: placed + leftOut,
    onStickers: placed - onPaper.reduce((a, b) => a + b, 0),
    onPaper,
    leftOut,
  };
}
