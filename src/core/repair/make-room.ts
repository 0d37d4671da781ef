import { between } from '../edit/change';
import { dayColumn } from '../book/columns';
import { tidy } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Context, Placement } from '../spread/placement';
import { fewestMoves } from './fewest-moves';
import type { Repair } from './let-in';
import { gapUnder } from './let-in';
import { unitsOf } from './units';

/**
 * The others of its column make way for a piece that was put between them: it stays where it is, as few as possible
 * move, in the order in which they stand. Null where they need not, or cannot.
 */
export function makeRoom(context: Context, placements: readonly Placement[], id: string): Repair | null {
  const p = placements.find((q) => q.id === id);
  const column = p && p.day !== null ? dayColumn(context.book, p.day) : undefined;
  if (!p || !column) return null;
  const units = unitsOf(context, placements, column).sort((a, b) => a.y + a.h / 2 - b.y - b.h / 2);
  const solved = fewestMoves(
    units.map((u) => ({ y: u.y, h: u.h, fixed: u.fixed || u.parts.some((q) => q.id === id) })),
    { from: column.y, to: bottom(column), gap: (upper) => gapUnder(context, units[upper] ?? null, upper) },
  );
  if (!solved?.moved) return null;
  return {
    change: shifted(context, placements, units, solved.tops, { do: 'make room', moved: solved.moved }),
    moved: solved.moved,
    day: p.day,
  };
}

/**
 * Closes a day up in the order of time: from its top on, the usual gap apart, what is stuck down where it is. Null
 * where nothing would move, or not all would fit.
 */
export function closeUp(context: Context, placements: readonly Placement[], day: number): Repair | null {
  const column = dayColumn(context.book, day);
  if (!column) return null;
  const there = unitsOf(context, placements, column);
  // what has no hour stays after what stood before it, and nothing passes what is fixed
  let [minute, stretch] = [-1, 0];
  const order = there
    .map((unit) => {
      if (unit.fixed) return { unit, minute: (minute = -1), stretch: (stretch += 2) - 1 };
      return { unit, minute: (minute = unit.minute ?? minute), stretch };
    })
    .sort((a, b) => a.stretch - b.stretch || a.minute - b.minute)
    .map((t) => t.unit);
  const tops: number[] = [];
  let y = column.y;
  for (const [i, u] of order.entries()) {
    const top = u.fixed ? u.y : y + (i === 0 || tops.length === 0 ? 0 : gapUnder(context, order[i - 1] ?? null, i - 1));
    if (u.fixed && top < y - 0.05) return null;
    tops.push(top);
    y = top + u.h;
  }
  if (y > bottom(column) + 0.05) return null;
  const moved = order.filter((u, i) => Math.abs((tops[i] as number) - u.y) > 0.05).length;
  if (!moved) return null;
  return { change: shifted(context, placements, order, tops, { do: 'close up', gap: null, lowered: 0 }), moved, day };
}

function shifted(
  context: Context,
  placements: readonly Placement[],
  units: ReturnType<typeof unitsOf>,
  tops: readonly number[],
  deed: Parameters<typeof between>[2],
) {
  const by = new Map(units.flatMap((u, i) => u.parts.map((q) => [q.id, (tops[i] as number) - u.y] as const)));
  const after = placements.map((q) => {
    const dy = by.get(q.id) ?? 0;
    return Math.abs(dy) > 0.01 ? { ...q, y: tidy(q.y + dy) } : q;
  });
  return between(placements, after, deed);
}
