import { contrast } from '../color/color';
import type { Piece } from '../kit/kit';

export const BLACK = '#1f2423';
export const WHITE = '#ffffff';

/** The book's own paper, as a pen meets it. */
export const PAPER = { finish: 'matte-removable', color: '#fffdf9' } as const;

/**
 * The pen for a piece: by finish (handbook P1), black or white by which shows better (P2, WCAG 2 contrast ratio).
 * Glossy paper and film take permanent marker only.
 */
export function inkFor(piece: Pick<Piece, 'finish' | 'color'>): string {
  const tone = contrast(piece.color, BLACK) >= contrast(piece.color, WHITE) ? 'black' : 'white';
  return ['glossy', 'vinyl', 'clear'].includes(piece.finish) ? `${tone} permanent marker` : `${tone} gel pen`;
}
