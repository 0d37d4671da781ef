import type { Piece } from '../kit/kit';
import { traits } from '../kit/kinds';
import { TOLERANCE } from '../measure/length';
import type { Rect } from '../measure/rect';

/**
 * The part of a piece that remains when it must fit into `width` x `height` mm: cut where it harms least (handbook F1).
 * @returns null when it fits whole, `undefined` when it may not be cut that way
 */
export function trimTo(piece: Piece, width: number, height = Infinity): Rect | null | undefined {
  const tooWide = piece.width > width + TOLERANCE;
  const tooTall = piece.height > height + TOLERANCE;
  if (!tooWide && !tooTall) return null;
  const { trim } = traits(piece.kind);
  if (trim === 'never') return undefined;
  const w = tooWide ? width : piece.width;
  const h = tooTall ? height : piece.height;
  const slack = piece.width - w;
  const x = trim === 'right' || piece.faces === 'left' ? 0 : piece.faces === 'right' ? slack : slack / 2;
  return { x, y: (piece.height - h) / 2, w, h };
}
