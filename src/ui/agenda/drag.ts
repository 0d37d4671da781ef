import type { Demand } from '../../core/week/demand';

/** What is dragged: one item, or all rows of a list. */
export interface Dragged {
  readonly demands: readonly Demand[];
  readonly label: string;
}

/** Only the item itself moves: a due day, a reminder or a count of days goes with it. */
export const canMove = (d: Demand, fromFeed: ReadonlyMap<string, string>): boolean =>
  d.aspect === 'item' && !fromFeed.has(d.uid);
