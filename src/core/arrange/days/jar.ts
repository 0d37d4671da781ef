import { ONE_COLOR, difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import { bottom } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import type { At } from '../ladder/choice';

/**
 * How a piece would jar with what lies above and beside it, and whether its design is used much already (handbook C2,
 * C3).
 */
export function jar(draft: Draft, piece: Piece, at: At): number {
  let cost = 0;
  for (const p of draft.placements) {
    if (p.layer > 0 || p.page !== at.page) continue;
    const other = draft.pieceOf(p);
    if (!other) continue;
    if (other === piece) cost += 1;
    if (p.day === at.day && difference(other.color, piece.color) < ONE_COLOR) cost += 1;
    const above = p.day === at.day && at.y - bottom(p) < 6 && at.y - bottom(p) > -1;
    const beside = p.day !== null && Math.abs(p.day - at.day) === 1 && p.y < at.y + 10 && bottom(p) > at.y;
    if (above || beside) cost += Math.max(0, 20 - difference(other.color, piece.color)) / (above ? 3 : 6);
  }
  return cost;
}
