import { right } from '../measure/rect';
import { TOLERANCE } from '../measure/length';
import type { Piece } from './kit';
import type { Taken } from './ledger';
import { Ledger } from './ledger';
import type { StockEvent } from './stock';

/**
 * What is said of the stock where so much is left of a strip or roll, measured from its end; the rest went elsewhere.
 * @param gone the parts of the piece's copies that are used already
 * @param left mm
 * @returns null where less than that is left by what is known
 */
export function leftOver(piece: Piece, copy: number, gone: readonly Taken[], left: number): StockEvent | null {
  const ledger = Ledger.empty();
  for (const taken of gone) ledger.note(piece, taken);
  const parts = ledger.partsOf(piece, copy);
  const from = Math.max(0, ...parts.map(right));
  const w = piece.width - left - from;
  if (w < TOLERANCE) return null;
  const { kit, code, height: h } = piece;
  return { what: 'used', kit, code, copy, reason: 'measured anew', cut: { x: from, y: 0, w, h } };
}
