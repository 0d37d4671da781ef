import { dayColumn } from '../book/columns';
import { between } from '../edit/change';
import { stackOf } from '../edit/stack';
import { thingOf } from '../edit/thing';
import { tidy } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Context, Placement } from '../spread/placement';
import { fewestMoves } from './fewest-moves';
import type { Repair } from './let-in';
import { gapUnder } from './let-in';
import { unitsOf } from './units';

/**
 * A piece was stuck a little off and stays there: its place is what it is now, with all that lies on it, and what is
 * not down yet in its column makes way with the fewest moves. Where that cannot be, the others stay, and the review
 * says what they touch.
 * @param dx,dy how far off, mm to the right and down
 */
export function stuckOff(
  context: Context,
  placements: readonly Placement[],
  id: string,
  dx: number,
  dy: number,
): Repair | null {
  const p = placements.find((q) => q.id === id);
  if (!p) return null;
  const along = new Set(stackOf(placements, id).map((q) => q.id));
  const off = placements.map((q) =>
    along.has(q.id) ? { ...q, x: tidy(q.x + dx), y: tidy(q.y + dy), locked: q.locked || q.id === id } : q,
  );
  const column = p.day === null ? undefined : dayColumn(context.book, p.day);
  const made = column ? madeWay(context, off, column, along) : null;
  const deed = { do: 'leave as stuck', thing: thingOf(context, p) } as const;
  return { change: between(placements, made?.placements ?? off, deed), moved: made?.moved ?? 0, day: p.day };
}

/** The others of a column out of the way of what is off. */
function madeWay(
  context: Context,
  placements: readonly Placement[],
  column: NonNullable<ReturnType<typeof dayColumn>>,
  off: ReadonlySet<string>,
) {
  const units = unitsOf(context, placements, column);
  const standing = units.map((u) => ({ y: u.y, h: u.h, fixed: u.fixed || u.parts.some((q) => off.has(q.id)) }));
  const solved = fewestMoves(standing, {
    from: column.y,
    to: bottom(column),
    gap: (upper) => gapUnder(context, units[upper] ?? null, upper),
  });
  if (!solved || units.some((u, i) => standing[i]?.fixed && Math.abs((solved.tops[i] as number) - u.y) > 0.01))
    return null;
  const shifts = new Map(
    units.flatMap((u, i) => u.parts.map((q) => [q.id, (solved.tops[i] as number) - u.y] as const)),
  );
  const moved = placements.map((q) => {
    const by = shifts.get(q.id) ?? 0;
    return Math.abs(by) > 0.01 ? { ...q, y: tidy(q.y + by) } : q;
  });
  return { placements: moved, moved: solved.moved };
}
