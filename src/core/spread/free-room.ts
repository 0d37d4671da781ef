import type { Region } from '../book/book';
import { dayColumn } from '../book/columns';
import { hoursOf, yOfMinute } from '../book/hours';
import type { Rect } from '../measure/rect';
import { TOLERANCE } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Draft } from './draft';
import type { Context, Placement } from './placement';
import { footprint } from './placement';

/** A free stretch of a day's column, from `from` to `to` mm down the page. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export const lengthOf = (s: Stretch): number => s.to - s.from;

/** The longest free piece that is left of some stretches beside what comes to lie there, `gap` mm kept from it; mm. */
export const freeBeside = (free: readonly Stretch[], { y, h }: Pick<Rect, 'y' | 'h'>, gap: number): number =>
  Math.max(
    0,
    ...free.flatMap((s) => (y >= s.to || y + h <= s.from ? [lengthOf(s)] : [y - gap - s.from, s.to - y - h - gap])),
  );

/** The least room for one thing that comes up: a flag's height, mm (handbook 3). */
export const ROOM_FOR_ONE = 9;
/** The least share of a column kept for what comes up (handbook D3; a usual value: a centimeter in a wide book). */
const COMES_UP = 0.06;

/** Room for what comes up in a day (handbook D3), mm. */
export const forWhatComesUp = (context: Context, day: number): number =>
  Math.max(COMES_UP * (dayColumn(context.book, day)?.h ?? 0), ROOM_FOR_ONE + context.options.gap);

/** The white space that is wanted in a day (handbook W1), mm of its column. */
export const wantedWhite = (context: Context, day: number): number =>
  context.options.whiteSpace * (dayColumn(context.book, day)?.h ?? 0);

/**
 * Room that is left free in a day: for what comes up, or the white space wanted if that is more (handbook D3, W1). mm
 */
export const keptFree = (context: Context, day: number): number =>
  Math.max(forWhatComesUp(context, day), wantedWhite(context, day));

/**
 * Room that a full box must leave free beside the day's items: the week's white space is shared by its days, and the
 * fewer boxes a week has, the denser may be the days that have one. mm
 */
export const keptFreeBesideBox = (context: Context, day: number): number =>
  Math.max(forWhatComesUp(context, day), wantedWhite(context, day) * (context.ways.boxes / 7));

/** Between a header and what hangs under it, in mm; the eye reads them as one. From memory. */
const UNDER_HEADER = 1;

/** The free stretches of a day's column, top to bottom, with `gap` mm kept from what lies there. */
export function freeStretches(draft: Draft, context: Context, day: number): Stretch[] {
  const column = dayColumn(context.book, day);
  return column ? freeIn(draft, column, context.options.gap) : [];
}

/** The same of any region of the book. */
export function freeIn(draft: Draft, region: Region, gap: number): Stretch[] {
  const blocks = draft
    .lyingIn(region.page, region)
    .map((p) => keepOff(draft, p, gap))
    .sort((a, b) => a.from - b.from);
  const free: Stretch[] = [];
  let from = region.y;
  for (const block of blocks) {
    if (block.from > from) free.push({ from, to: block.from });
    from = Math.max(from, block.to);
  }
  if (bottom(region) > from) free.push({ from, to: bottom(region) });
  return free.filter((s) => lengthOf(s) > 3);
}

function keepOff(draft: Draft, p: Placement, gap: number): Stretch {
  const f = footprint(p);
  const isHeader = draft.pieceOf(p)?.kind === 'header';
  return { from: f.y - (isHeader ? 0 : gap), to: bottom(f) + (isHeader ? Math.min(gap, UNDER_HEADER) : gap) };
}

/** In a book with hour lines, the parts of some free stretches where no item of the day has its hour. */
export function clearOfHours(context: Context, day: number, stretches: readonly Stretch[]): Stretch[] {
  const hours = hoursOf(context.book, day);
  if (!hours) return [...stretches];
  const busy = context.week.demands
    .filter((d) => d.day === day && d.start !== null && d.kind !== 'band')
    .map((d) => yOfMinute(hours, d.start as number))
    .sort((a, b) => a - b);
  return stretches.flatMap((s) => {
    const edges = [s.from, ...busy.filter((y) => y > s.from - LABEL && y < s.to), s.to];
    return edges
      .slice(1)
      .map((to, i) => ({
        from: i ? (edges[i] as number) + LABEL : s.from,
        to: i === edges.length - 2 ? to : to - context.options.gap,
      }))
      .filter((x) => lengthOf(x) > 3);
  });
}

/** mm that an item's base takes at its hour: a label with its gap (handbook 3). */
const LABEL = 14;

/** The highest place that is free on all of some days, mm down the page; null where there is none. */
export function firstFree(draft: Draft, context: Context, days: readonly number[], h: number): number | null {
  const free = days.map((d) => freeStretches(draft, context, d));
  const tops = free.flatMap((stretches) => stretches.map((s) => s.from)).sort((a, b) => a - b);
  const fits = (y: number, stretches: readonly Stretch[]): boolean =>
    stretches.some((s) => s.from <= y + TOLERANCE && s.to >= y + h - TOLERANCE);
  return tops.find((y) => free.every((stretches) => fits(y, stretches))) ?? null;
}

/** Where the first free millimeter of a day's column is. */
export function topOfDay(draft: Draft, context: Context, day: number): number {
  return freeStretches(draft, context, day)[0]?.from ?? bottom(dayColumn(context.book, day) as Rect);
}
