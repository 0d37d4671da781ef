import { isPattern } from '../art/motifs/registry';
import { colorName } from '../color/color-name';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { isRoll } from '../kit/kit';
import type { Placement } from './placement';
import type { Voice } from './voice';

/**
 * A design by what it looks like, as one would ask for it at the table: `dark teal header “today”`, `sand coffee icon`,
 * `pale coral full box with waves`. Its code stands in a file; nobody sees it on a sheet.
 */
export function looksName(piece: Pick<Piece, 'kind' | 'color' | 'words' | 'icon' | 'motif'>): string {
  const { kind, color, words, icon, motif } = piece;
  const name = [colorName(color), words ? '' : icon, traits(kind).label].filter(Boolean).join(' ');
  if (words) return `${name} “${words}”`;
  return motif && !icon ? `${name} with ${isPattern(motif) ? motif : `the ${motif}`}` : name;
}

/** What lies on the page by its looks; ink is `writing`. */
export function laidLooks({ pieceOf }: Pick<Voice, 'pieceOf'>, p: Pick<Placement, 'kit' | 'code'> | undefined): string {
  const piece = p && pieceOf(p);
  return piece ? looksName(piece) : 'writing';
}

/** The same with where it is taken from: `dark teal header “today” (sheet 2)`. */
export const looksAndSheet = (piece: Piece): string =>
  `${looksName(piece)} (${isRoll(piece) ? 'roll' : `sheet ${piece.sheet}`})`;
