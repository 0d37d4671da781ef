import { groundsOf } from '../art/grounds';
import { contrast } from '../color/color';
import type { Piece } from '../kit/kit';

export const BLACK = '#1f2423';
export const WHITE = '#ffffff';

/** The book's own paper, as a pen meets it. */
export const PAPER = { finish: 'matte-removable', color: '#fffdf9' } as const;

type Ground =
  | { readonly color: string; readonly finish: Piece['finish'] }
  | Pick<Piece, 'kind' | 'finish' | 'color' | 'accent' | 'opacity' | 'picture' | 'ground'>;

/** How well a pen shows on what is painted there, where it shows least: a WCAG 2 contrast ratio. */
export const showsOn = (ground: Ground, pen: typeof BLACK | typeof WHITE): number =>
  Math.min(...('kind' in ground ? groundsOf(ground) : [ground.color]).map((color) => contrast(pen, color)));

/**
 * The pen for a piece: by finish (handbook P1), black or white by which shows better on what is painted under the
 * letters (P2). Glossy paper and film take permanent marker only.
 */
export function inkFor(piece: Ground): string {
  const tone = showsOn(piece, BLACK) >= showsOn(piece, WHITE) ? 'black' : 'white';
  return ['glossy', 'vinyl', 'clear'].includes(piece.finish) ? `${tone} permanent marker` : `${tone} gel pen`;
}
