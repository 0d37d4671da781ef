import { isPattern } from '../art/motifs/registry';
import { colorName } from '../color/color-name';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { isRoll } from '../kit/kit';

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

/** The same with where it is taken from: `dark teal header “today” (sheet 2)`. */
export const looksAndSheet = (piece: Piece): string =>
  `${looksName(piece)} (${isRoll(piece) ? 'roll' : `sheet ${piece.sheet}`})`;
