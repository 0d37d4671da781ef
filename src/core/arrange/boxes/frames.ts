import type { Region } from '../../book/book';
import { bottom } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import { layStrip, stripFor } from '../base/makeshift';
import type { Context } from '../../spread/placement';

/** About what a frame's strip is high, mm. From memory. */
const STRIP = 5;

/**
 * mm of column that the strips above and below a box take together; 0 where boxes are not framed or no strip is left.
 */
export function frameHeight(draft: Draft, context: Context): number {
  if (!context.ways.framed) return 0;
  const strip = stripFor(draft, context, 38.1, STRIP);
  return strip ? 2 * strip.height : 0;
}

/** True when a header ends at `y` or hardly above it: it frames what stands there. */
export const headerEndsAt = (draft: Draft, day: number, y: number): boolean =>
  draft.placements.some(
    (p) => p.day === day && p.role === 'base' && draft.pieceOf(p)?.kind === 'header' && Math.abs(bottom(p) - y) <= 1.5,
  );

/** A header or strip above a box and one below, edge to edge, each no higher than its share (handbook 5, crowned). */
export function layFrames(
  draft: Draft,
  context: Context,
  day: number,
  column: Region,
  box: { readonly y: number; readonly h: number },
  most: number,
): void {
  if (most === 0) return;
  const at = { page: column.page, x: column.x, w: column.w, day, role: 'box' as const, most };
  if (!headerEndsAt(draft, day, box.y)) layStrip(draft, context, { ...at, y: 0, floor: box.y }, STRIP);
  layStrip(draft, context, { ...at, y: bottom({ ...box, x: 0, w: 0 }) }, STRIP);
}
