import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { subtract } from '../measure/rect';
import type { Piece } from './kit';
import { wholeOf } from './ledger';

/** What is left of a sticker after the knife, in the piece's own mm; with its whole rows, where it is of a list. */
export interface Offcut extends Rect {
  readonly rows?: number;
}

/**
 * An offcut is worth keeping when it still has a row on it, or is a strip long enough to be found again (handbook K5;
 * sizes from memory).
 */
export const worthKeeping = (o: Offcut): boolean => (o.rows ?? 0) > 0 || (o.w >= 20 && o.h >= 4);

/** All that is left of a sticker of which these parts are used. */
export const offcutsOf = (piece: Piece, used: readonly Rect[]): Offcut[] =>
  subtract(wholeOf(piece), used).map((r) => offcut(piece, r));

function offcut(piece: Piece, r: Rect): Offcut {
  const rect = { x: tidy(r.x), y: tidy(r.y), w: tidy(r.w), h: tidy(r.h) };
  if (piece.rows === 0 || piece.kind !== 'checklist') return rect;
  const rows = Math.floor(r.h / (piece.height / piece.rows) + 0.01);
  return rows > 0 && r.x < 1 ? { ...rect, rows } : rect;
}
