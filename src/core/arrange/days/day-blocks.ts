import { dayColumn } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { textFits } from '../../measure/hand';
import type { Demand } from '../../week/demand';
import { inTimeOrder, sortMinute, writtenText } from '../../week/demand';
import { isPlannedAhead } from '../../spread/ahead';
import { keepsPlace, placeHeight, sharing } from '../../spread/open-places';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft } from '../../spread/draft';
import { formCost, formsFor } from './forms';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';
import { TICK_WIDTH } from '../../spread/writing';

/** Something that stands in a day's column: one item on a base of its own, or several as the rows of a list. */
export interface Block {
  readonly demands: readonly Demand[];
  readonly list: string | null;
  readonly minute: number;
  /** an empty place kept for what is written in afterwards */
  readonly open?: boolean;
}

/** What is left to be placed on a day, in time order. */
export function blocksOfDay(draft: Draft, context: Context, day: number): Block[] {
  const placed = matchDemands(draft.placements, context.week.demands);
  const open = context.week.demands.filter(
    (d) =>
      d.day === day &&
      d.kind !== 'band' &&
      !placed.has(d.key) &&
      (isPlannedAhead(d, context) || keepsPlace(d, context)),
  );
  const lists = new Map<string, Demand[]>();
  const blocks: Block[] = [];
  for (const d of open) {
    if (keepsPlace(d, context)) continue;
    if (d.list && canBeRow(draft, context, day, d)) lists.set(d.list, [...(lists.get(d.list) ?? []), d]);
    else blocks.push({ demands: [d], list: null, minute: sortMinute(d) });
  }
  for (const [list, demands] of lists) {
    const rows = [...demands].sort(inTimeOrder);
    blocks.push({ demands: rows, list, minute: sortMinute(rows[0] as Demand) });
  }
  for (const demands of sharing(open.filter((d) => keepsPlace(d, context))))
    blocks.push({ demands, list: null, minute: sortMinute(demands[0] as Demand), open: true });
  return withStackedLittles(blocks, context).sort(
    (a, b) =>
      listsFirst(a, context) - listsFirst(b, context) ||
      a.minute - b.minute ||
      inTimeOrder(a.demands[0] as Demand, b.demands[0] as Demand),
  );
}

/** Lists before all else where they stand at the top of a day, after all else at its foot. */
const listsFirst = (b: Block, { ways }: Context): number =>
  b.list === null || ways.lists === 'by time' ? 0 : ways.lists === 'top' ? -1 : 1;

/** Where littles are stacked, a day's untimed chores stand together, at the time of the earliest (handbook 5). */
function withStackedLittles(blocks: readonly Block[], { options }: Context): Block[] {
  const loose = (b: Block): boolean =>
    b.list === null && !b.open && b.demands[0]?.kind === 'chore' && b.demands[0].start === null;
  const first = Math.min(...blocks.filter(loose).map((b) => b.minute));
  return blocks.map((b) => (options.littles === 'stacked' && loose(b) ? { ...b, minute: first } : b));
}

/** Checklists that may be used in a column of that width, the most fitting first. */
export function listsFor(draft: Draft, context: Context, width: number): Piece[] {
  return byCost(piecesOf(context, 'checklist'), (p) => {
    const strange = strangeness(p, context);
    const named = p.words && !['to do', 'list'].includes(p.words.trim().toLowerCase());
    return p.rows > 0 &&
      draft.ledger.mostRows(p) > 0 &&
      strange <= FOREIGN &&
      !named &&
      p.height / p.rows >= context.options.hand.linePitch &&
      Math.min(p.width, width) > 15
      ? strange
      : Infinity;
  });
}

/** mm from row to row */
export const rowPitch = (list: Piece): number => list.height / list.rows;

function canBeRow(draft: Draft, context: Context, day: number, d: Demand): boolean {
  const width = dayColumn(context.book, day)?.w ?? 0;
  const list = listsFor(draft, context, width)[0];
  return (
    list !== undefined &&
    textFits(writtenText(d), Math.min(list.width, width) - TICK_WIDTH, rowPitch(list), context.options.hand)
  );
}

/** The fewest mm of column a day's items need, gaps counted (handbook D1). */
export function leastHeight(draft: Draft, context: Context, day: number): number {
  const width = dayColumn(context.book, day)?.w ?? 0;
  const forms = formsFor(draft, context, width);
  const list = listsFor(draft, context, width)[0];
  const blocks = blocksOfDay(draft, context, day);
  const heights = blocks.map((b) => {
    if (b.open) return placeHeight(b.demands, width, context.options.hand);
    if (b.list && list) return b.demands.length * rowPitch(list);
    const fitting = forms.filter((f) => formCost(b.demands[0] as Demand, f, context) < Infinity).map((f) => f.h);
    return fitting.length ? Math.min(...fitting) : Math.max(0, ...forms.map((f) => f.h));
  });
  return heights.reduce((sum, h) => sum + h, 0) + Math.max(0, heights.length - 1) * context.options.gap;
}
