import { between } from '../edit/change';
import { inkFor } from '../spread/ink';
import type { Context, Placement } from '../spread/placement';
import { matchDemands, pieceIndex } from '../spread/placement';
import { baseOf, laidOn, writingRoom } from '../spread/writing';
import { dayColumn } from '../book/columns';
import { stackOf } from '../edit/stack';
import { pieceKey } from '../kit/kit';
import { shortened } from '../measure/hand';
import { tidy } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Demand } from '../week/demand';
import { sortMinute, writtenText, writtenTime } from '../week/demand';
import { fewestMoves } from './fewest-moves';
import type { Repair } from './let-in';
import { gapUnder, placesByTime } from './let-in';
import type { Unit } from './units';
import { unitsOf } from './units';

/**
 * An item whose time or words changed after it was laid: written anew on its own sticker, which goes where its time
 * is now with the fewest moves of all others.
 * @returns null when it does not stand alone on its day, is stuck down, or does not fit there
 */
export function asItIsNow(context: Context, placements: readonly Placement[], key: string): Repair | null {
  const demand = context.week.demands.find((d) => d.key === key);
  const p = matchDemands(placements, context.week.demands).get(key);
  const column = demand && dayColumn(context.book, demand.day);
  if (!demand || !p || !column || p.day !== demand.day || p.items.length !== 1) return null;
  const units = unitsOf(context, placements, column);
  const own = units.find((u) => u.parts.includes(p));
  if (!own || own.fixed) return null;
  const others = units.filter((u) => u !== own);
  let best: { moved: number; tops: readonly number[]; order: readonly Unit[] } | null = null;
  for (const at of placesByTime(others, sortMinute(demand))) {
    const order = [...others.slice(0, at), own, ...others.slice(at)];
    const stays = units.indexOf(own) === at;
    const solved = fewestMoves(
      order.map((u) => ({ y: u === own && !stays ? null : u.y, h: u.h, fixed: u.fixed })),
      { from: column.y, to: bottom(column), gap: (upper) => gapUnder(context, order[upper] ?? null, upper) },
    );
    const moved = solved ? solved.moved + (stays ? 0 : 1) : Infinity;
    if (solved && (!best || moved < best.moved)) best = { moved, tops: solved.tops, order };
  }
  if (!best) return null;
  const { tops, order } = best;
  const shifts = new Map(order.flatMap((u, i) => u.parts.map((q) => [q.id, (tops[i] as number) - u.y] as const)));
  const shifted = placements.map((q) =>
    Math.abs(shifts.get(q.id) ?? 0) > 0.01 ? { ...q, y: tidy(q.y + (shifts.get(q.id) as number)) } : q,
  );
  return {
    change: between(placements, writtenAnew(context, shifted, p.id, demand), {
      do: 'write anew',
      title: demand.title,
      moved: best.moved,
    }),
    moved: best.moved,
    day: demand.day,
  };
}

function writtenAnew(
  context: Context,
  placements: readonly Placement[],
  id: string,
  demand: Demand,
): readonly Placement[] {
  const index = pieceIndex(context);
  const stack = stackOf(placements, id);
  const [base, ...over] = stack;
  const piece = base && index.get(pieceKey(base));
  if (!base || !piece || (piece.kind === 'deco' && demand.start === null)) return placements;
  const circle = over.find((q) => q.text !== null);
  const timed = circle && demand.start !== null;
  const whole = writtenText(timed ? { ...demand, start: null } : demand);
  const room = writingRoom(baseOf(piece, base), laidOn(base, placements));
  const text = shortened(whole, room.w, room.h, context.options.hand) ?? whole;
  return placements.map((q) =>
    q.id === id
      ? { ...q, text, ink: inkFor(piece) }
      : q === circle
        ? { ...q, text: timed ? writtenTime(demand) : null }
        : q,
  );
}
