import { dayColumn } from '../book/columns';
import type { Region } from '../book/book';
import type { Hand } from '../measure/hand';
import { writeLines } from '../measure/hand';
import { TOLERANCE, tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom } from '../measure/rect';
import type { Demand } from '../week/demand';
import { inTimeOrder, sortMinute, writtenText } from '../week/demand';
import { isPlannedAhead } from './ahead';
import { Draft } from './draft';
import type { Stretch } from './free-room';
import { freeIn, freeStretches, lengthOf } from './free-room';
import type { Context, Placement } from './placement';
import { footprint, matchDemands } from './placement';

/** An empty place kept for what is written in afterwards. mm on its page. */
export interface OpenPlace extends Rect {
  readonly page: number;
  readonly day: number;
  /** one item, or the rows of one list */
  readonly demands: readonly Demand[];
}

/** Blank over and under the writing, and beside it, mm. From memory. */
const MARGIN = 1;
const SIDE = 1.5;
/** A place has no fewer mm than a flag (handbook 3). */
const LEAST = 9;

/** True for what stays open, and has a place marked for it (handbook 4: some write private life in afterwards). */
export const keepsPlace = (d: Demand, context: Pick<Context, 'options' | 'ways'>): boolean =>
  context.ways.marksPlaces && d.kind !== 'band' && !isPlannedAhead(d, context);

/** mm of column that texts take when they are written straight onto the page, one under the other. */
export const placeHeight = (demands: readonly Demand[], width: number, hand: Hand): number =>
  Math.max(
    LEAST,
    demands.reduce((n, d) => n + writeLines(writtenText(d), width - 2 * SIDE, hand).length, 0) * hand.linePitch +
      2 * MARGIN,
  );

/** What shares one place: the rows of a list, everything else alone; in time order. */
export function sharing(demands: readonly Demand[]): Demand[][] {
  const sorted = [...demands].sort(inTimeOrder);
  return sorted
    .filter((d, i) => d.list === null || sorted.findIndex((o) => o.list === d.list) === i)
    .map((d) => (d.list === null ? [d] : sorted.filter((o) => o.list === d.list)));
}

/**
 * The marked empty places of a spread: each in its day between what is earlier and what is later, as high up as it
 * fits. What finds no room has none.
 */
export function openPlaces(context: Context, placements: readonly Placement[]): OpenPlace[] {
  const later = context.week.demands.filter((d) => keepsPlace(d, context));
  if (!later.length || !placements.length) return []; // the review asks after every edit, and most weeks keep none
  const carriers = matchDemands(placements, context.week.demands);
  const open = later.filter((d) => !carriers.has(d.key));
  const draft = Draft.begin(context, placements);
  return [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
    const column = dayColumn(context.book, day);
    const items = context.week.demands.flatMap((d) =>
      d.day === day && carriers.get(d.key)?.day === day
        ? [{ minute: sortMinute(d), y: footprint(carriers.get(d.key) as Placement) }]
        : [],
    );
    return column
      ? placesOfDay(
          context,
          column,
          day,
          sharing(open.filter((d) => d.day === day)),
          items,
          freeStretches(draft, context, day),
        )
      : [];
  });
}

function placesOfDay(
  context: Context,
  column: Region,
  day: number,
  open: readonly (readonly Demand[])[],
  items: readonly { minute: number; y: Rect }[],
  free: readonly Stretch[],
): OpenPlace[] {
  const places: OpenPlace[] = [];
  let from = column.y;
  for (const demands of open) {
    const minute = Math.min(...demands.map(sortMinute));
    const earliest = Math.max(from, ...items.filter((i) => i.minute <= minute).map((i) => bottom(i.y)));
    const latest = Math.min(
      bottom(column),
      ...items.filter((i) => i.minute > minute && i.y.y >= earliest).map((i) => i.y.y),
    );
    const h = placeHeight(demands, column.w, context.options.hand);
    const at = free
      .map((s) => ({ y: Math.max(s.from, earliest), to: Math.min(s.to, latest) }))
      .find((s) => s.to - s.y >= h - 0.05);
    if (!at) continue;
    places.push({ page: column.page, day, demands, x: column.x, y: tidy(at.y), w: column.w, h: tidy(h) });
    from = at.y + h + context.options.gap;
  }
  return places;
}

/**
 * The longest free place of a day: what of it can be laid on, and how much of its paper is bare, mm. Places that are
 * kept for what is written in later are not free.
 */
export function longestFree(
  draft: Draft,
  context: Context,
  day: number,
  places: readonly OpenPlace[] = [],
): { readonly usable: number; readonly bare: number } {
  const column = dayColumn(context.book, day);
  if (!column) return { usable: 0, bare: 0 };
  const { gap } = context.options;
  const bare = besidePlaces(freeIn(draft, column, 0), places, 0);
  const usable = besidePlaces(freeIn(draft, column, gap), places, gap);
  const within = (s: Stretch): number =>
    Math.max(0, ...usable.filter((u) => u.from >= s.from - TOLERANCE && u.to <= s.to + TOLERANCE).map(lengthOf));
  const best = bare
    .map((s) => ({ usable: within(s), bare: lengthOf(s) }))
    .sort((a, b) => b.usable - a.usable || b.bare - a.bare)[0];
  return best ?? { usable: 0, bare: 0 };
}

/** Free stretches of a day without what is kept for its open places. */
export const besidePlaces = (stretches: readonly Stretch[], places: readonly OpenPlace[], gap: number): Stretch[] =>
  places.reduce<Stretch[]>(
    (left, p) =>
      left.flatMap((s) =>
        p.y >= s.to || p.y + p.h <= s.from
          ? [s]
          : [
              { from: s.from, to: p.y - gap },
              { from: p.y + p.h + gap, to: s.to },
            ].filter((x) => x.to - x.from > 3),
      ),
    [...stretches],
  );
