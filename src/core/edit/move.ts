import type { Context, Placement } from '../spread/placement';
import { tidy } from '../measure/length';
import type { Change } from './change';
import { thingOf } from './thing';
import { stackOf } from './stack';

/** Where a piece is put: its new top-left corner, on which page, in which day. */
export interface Target {
  readonly page: number;
  readonly x: number;
  readonly y: number;
  readonly day: number | null;
}

/**
 * Moves a piece with all that lies on it. Null when it is locked or would not move.
 * @param to its new top-left corner, mm
 * @example movePiece(context, placements, 'p12', { page: 0, x: 46.1, y: 60, day: 0 })
 */
export function movePiece(context: Context, placements: readonly Placement[], id: string, to: Target): Change | null {
  const stack = stackOf(placements, id);
  const base = stack[0];
  if (!base || stack.some((p) => p.locked)) return null;
  const [dx, dy] = [to.x - base.x, to.y - base.y];
  if (Math.abs(dx) < 0.01 && Math.abs(dy) < 0.01 && to.page === base.page && to.day === base.day) return null;
  return {
    deed: { do: 'move', thing: thingOf(context, base) },
    before: stack,
    after: stack.map((p) => ({
      ...p,
      page: to.page,
      x: tidy(p.x + dx),
      y: tidy(p.y + dy),
      day: base.day === p.day || p === base ? to.day : p.day,
    })),
  };
}
