import { reached } from './case';
import type { HowStood } from '../../edit/deed';
import { Draft } from '../../spread/draft';
import { atTheirHours } from '../../arrange/days/at-their-hours';
import type { Stretch } from '../../spread/free-room';
import { freeStretches, lengthOf } from '../../spread/free-room';
import { TIGHT, partOf, spaceOut } from '../../arrange/days/spacing';
import type { Context, Placement } from '../../spread/placement';
import { dayColumn } from '../../book/columns';
import { hoursOf, yOfMinute } from '../../book/hours';
import { apply } from '../../edit/change';
import { swapPiece, swapsFor } from '../../edit/swap';
import { tidy } from '../../measure/length';
import type { Case, Idea, Remedy } from '../remedy';
import type { Unit } from '../../repair/units';
import { unitsOf } from '../../repair/units';

/** The days a finding speaks of: by name, or by its pieces. */
export const daysOf = ({ placements, finding }: Case): number[] =>
  [0, 1, 2, 3, 4, 5, 6].filter(
    (day) =>
      finding.about.days?.includes(day) || placements.some((p) => p.day === day && finding.placements.includes(p.id)),
  );

/** The day's pieces close up under each other, so that what is free is one place. */
function closedUp(context: Context, placements: readonly Placement[], day: number, gap: number): readonly Placement[] {
  const column = dayColumn(context.book, day);
  if (!column) return placements;
  let foot = column.y;
  const moves = new Map<string, Placement>();
  for (const unit of unitsOf(context, placements, column)) {
    const y = unit.fixed ? unit.y : Math.min(unit.y, foot);
    if (unit.y - y > 0.01) for (const p of unit.parts) moves.set(p.id, { ...p, y: tidy(p.y + y - unit.y) });
    foot = y + unit.h + (unit.parts[0]?.role === 'base' ? Math.min(1, gap) : gap);
  }
  return placements.map((p) => moves.get(p.id) ?? p);
}

export const closeUp: Idea = (c) =>
  daysOf(c).flatMap((day): Remedy[] => {
    const to = (gap: number | null, lowered: number | 'all', after: readonly Placement[]): Remedy[] =>
      reached(c, { do: 'close up', gap, lowered }, after);
    const lowered = lowerBases(c, day);
    return [
      ...to(null, 0, closedUp(c.context, c.placements, day, c.context.options.gap)),
      ...lowered.flatMap((placements, i) =>
        to(null, i + 1, closedUp(c.context, placements, day, c.context.options.gap)),
      ),
      ...to(TIGHT, 0, closedUp(c.context, c.placements, day, TIGHT)),
      ...lowered.slice(-1).flatMap((placements) => to(TIGHT, 'all', closedUp(c.context, placements, day, TIGHT))),
    ];
  });

/** Items that get lower bases at most, for one more place. */
const MOST_LOWERED = 4;

/** The day with one, two, … items on lower bases, where that wins most. */
export function lowerBases(c: Case, day: number): (readonly Placement[])[] {
  const steps: (readonly Placement[])[] = [];
  let now = c.placements;
  for (let n = 0; n < MOST_LOWERED; n++) {
    const items = now.filter((p) => p.day === day && p.layer === 0 && p.items.length === 1 && !p.locked);
    const best = items
      .flatMap((p) =>
        swapsFor(c.context, now, p.id)
          .filter((s) => s.piece.height < p.h - 1.5)
          .map((s) => ({ p, piece: s.piece, won: p.h - s.piece.height - s.cost * 0.2 })),
      )
      .sort((a, b) => b.won - a.won)[0];
    const change = best && swapPiece(c.context, now, best.p.id, best.piece);
    if (!change) break;
    now = apply(now, change);
    steps.push(now);
  }
  return steps;
}

/** The day's items with equal gaps again, boxes and what is fixed as they are. */
export const evenOut: Idea = (c) =>
  daysOf(c).flatMap((day): Remedy[] => {
    if (hoursOf(c.context.book, day)) return [];
    return (
      [
        [true, c.context.options.gap],
        [false, c.context.options.gap],
        [false, TIGHT],
      ] as const
    ).flatMap(([eveningLow, gap]) => {
      const closer = { ...c.context, options: { ...c.context.options, gap } };
      const after = stoodAnew(closer, c.placements, day, (units, stretches) =>
        spaceOut(
          units.map((u) => ({ ...u, part: eveningLow ? partOf(u.minute) : 'day' })),
          stretches,
          gap,
        ),
      );
      return after ? reached(c, { do: 'even out', day }, after) : [];
    });
  });

/**
 * In a book with hour lines: the day's items as near to their hours as they go; without its pictures, without its
 * box.
 */
export const toItsHour: Idea = (c) =>
  daysOf(c).flatMap((day): Remedy[] => {
    const hours = hoursOf(c.context.book, day);
    if (!hours) return [];
    const without = (...roles: readonly Placement['role'][]) =>
      c.placements.filter((p) => p.locked || p.day !== day || !roles.includes(p.role));
    const tries: [HowStood, readonly Placement[]][] = [
      ['as it is', c.placements],
      ['on lower bases', lowerBases(c, day).at(-1) ?? c.placements],
      ['without pictures', without('finish')],
      ['without box', without('box', 'finish')],
    ];
    return tries.flatMap(([how, left]) => {
      if (how.startsWith('without') && left.length === c.placements.length) return [];
      const after = stoodAnew(
        c.context,
        left,
        day,
        (units, stretches) =>
          atTheirHours(
            units.map((u) => ({ ...u, wanted: yOfMinute(hours, u.minute), pull: 1 })),
            stretches,
            c.context.options.gap,
          ),
        (minute, stretches) => stretches.findIndex((s) => s.to > yOfMinute(hours, minute)),
      );
      return after ? reached(c, { do: 'stand at hours', day, how }, after) : [];
    });
  });

interface Loose {
  readonly height: number;
  readonly stretch: number;
  readonly minute: number;
}

/**
 * The day's items on other places in their order; null where one has no free stretch to stand in, or two would not
 * fit.
 */
function stoodAnew(
  context: Context,
  placements: readonly Placement[],
  day: number,
  tops: (units: readonly Loose[], stretches: readonly Stretch[]) => readonly number[],
  stretchOf?: (minute: number, stretches: readonly Stretch[]) => number,
): readonly Placement[] | null {
  const column = dayColumn(context.book, day);
  if (!column) return null;
  const units = unitsOf(context, placements, column).filter((u) => !u.fixed && u.minute !== null);
  const movable = new Set(units.flatMap((u) => u.parts.map((p) => p.id)));
  const stretches = freeStretches(
    Draft.begin(
      context,
      placements.filter((p) => !movable.has(p.id)),
    ),
    context,
    day,
  );
  const where = (u: Unit): number =>
    stretchOf
      ? stretchOf(u.minute as number, stretches)
      : stretches.findIndex((s) => u.y >= s.from - 0.1 && u.y + u.h <= s.to + 0.1);
  const loose = units.map((u): Loose => ({ height: u.h, stretch: where(u), minute: u.minute as number }));
  const tooLong = stretches.some(
    (s, k) =>
      loose.filter((u) => u.stretch === k).reduce((mm, u, n) => mm + u.height + (n ? context.options.gap : 0), 0) >
      lengthOf(s) + 0.1,
  );
  if (tooLong || loose.some((u) => u.stretch < 0)) return null;
  const to = tops(loose, stretches);
  const moves = new Map(
    units.flatMap((u, i) => u.parts.map((p) => [p.id, { ...p, y: tidy(p.y + (to[i] as number) - u.y) }] as const)),
  );
  return placements.map((p) => moves.get(p.id) ?? p);
}
