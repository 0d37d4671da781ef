import { dayColumn } from '../book/columns';
import type { Region } from '../book/book';
import type { Hand } from '../measure/hand';
import { writeLines } from '../measure/hand';
import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom } from '../measure/rect';
import type { Demand } from '../week/demand';
import { inTimeOrder, sortMinute, writtenText } from '../week/demand';
import { isPlannedAhead } from './ahead';
import { Draft } from './draft';
import type { Stretch } from './room';
import { freeStretches } from './room';
import type { Context, Placement } from './spread';
import { footprint, matchDemands } from './spread';

/** An empty place kept for what is written in afterwards. mm on its page. */
export interface OpenPlace extends Rect {
  readonly page: number;
  readonly day: number;
  readonly demand: Demand;
}

/** Blank over and under the writing, and beside it, mm. From memory. */
const MARGIN = 1;
const SIDE = 1.5;
/** A place has no fewer mm than a flag (handbook 3). */
const LEAST = 9;

/** True for what stays open, and has a place marked for it (handbook 4: some write private life in afterwards). */
export const keepsPlace = (d: Demand, context: Pick<Context, 'options' | 'ways'>): boolean => context.ways.marksPlaces && d.kind !== 'band' && !isPlannedAhead(d, context);

/** mm of column that a text takes when it is written straight onto the page. */
export const placeHeight = (d: Demand, width: number, hand: Hand): number =>
  Math.max(LEAST, writeLines(writtenText(d), width - 2 * SIDE, hand).length * hand.linePitch + 2 * MARGIN);

/** The marked empty places of a spread: each in its day between what is earlier and what is later, as high up as it fits. What finds no room has none. */
export function openPlaces(context: Context, placements: readonly Placement[]): OpenPlace[] {
  const carriers = matchDemands(placements, context.week.demands);
  const open = context.week.demands.filter((d) => keepsPlace(d, context) && !carriers.has(d.key));
  if (!open.length || !placements.length) return [];
  const draft = Draft.begin(context, placements);
  return [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
    const column = dayColumn(context.book, day);
    const items = context.week.demands.flatMap((d) => (d.day === day && carriers.get(d.key)?.day === day ? [{ minute: sortMinute(d), y: footprint(carriers.get(d.key) as Placement) }] : []));
    return column ? placesOfDay(context, column, day, open.filter((d) => d.day === day).sort(inTimeOrder), items, freeStretches(draft, context, day)) : [];
  });
}

function placesOfDay(context: Context, column: Region, day: number, open: readonly Demand[], items: readonly { minute: number; y: Rect }[], free: readonly Stretch[]): OpenPlace[] {
  const places: OpenPlace[] = [];
  let from = column.y;
  for (const demand of open) {
    const minute = sortMinute(demand);
    const earliest = Math.max(from, ...items.filter((i) => i.minute <= minute).map((i) => bottom(i.y)));
    const latest = Math.min(bottom(column), ...items.filter((i) => i.minute > minute && i.y.y >= earliest).map((i) => i.y.y));
    const h = placeHeight(demand, column.w, context.options.hand);
    const at = free.map((s) => ({ y: Math.max(s.from, earliest), to: Math.min(s.to, latest) })).find((s) => s.to - s.y >= h - 0.05);
    if (!at) continue;
    places.push({ page: column.page, day, demand, x: column.x, y: tidy(at.y), w: column.w, h: tidy(h) });
    from = at.y + h + context.options.gap;
  }
  return places;
}

/** Free stretches of a day without what is kept for its open places. */
export const besidePlaces = (stretches: readonly Stretch[], places: readonly OpenPlace[], gap: number): Stretch[] =>
  places.reduce<Stretch[]>((left, p) => left.flatMap((s) => (p.y >= s.to || p.y + p.h <= s.from ? [s] : [{ from: s.from, to: p.y - gap }, { from: p.y + p.h + gap, to: s.to }].filter((x) => x.to - x.from > 3))), [...stretches]);
