import type { Hex } from '../color/color';
import type { Kind } from './kinds';
import { traits } from './kinds';
import type { Piece } from './kit';

/** What a sticker is drawn in whose colors nobody told: unbleached paper, and pencil. */
export const PLAIN: { readonly color: Hex; readonly accent: Hex } = { color: '#d9d4c7', accent: '#9a9484' };

/** A design of a kind, one copy of it, as is usual for its kind where nothing else is told. Sizes in mm. */
export function blankPiece(kind: Kind, told: Pick<Piece, 'kit' | 'code'> & Partial<Piece>): Piece {
  const { usual, shape, writable, opacity } = traits(kind);
  return {
    kind,
    count: 1,
    width: usual[0],
    height: usual[1],
    sheet: 1,
    shape,
    ...PLAIN,
    motif: '',
    words: '',
    icon: '',
    writable,
    opacity,
    finish: 'matte-removable',
    foil: 'none',
    rows: 0,
    faces: 'none',
    ...told,
  };
}
