import type { FieldName } from './fields';
import { FIELDS, PLAIN } from './fields';
import type { Kind } from './kinds';
import { traits } from './kinds';
import type { Piece } from './kit';

/** A design of a kind, one copy of it, as is usual for its kind where nothing else is told. Sizes in mm. */
export function blankPiece(kind: Kind, told: Pick<Piece, 'kit' | 'code'> & Partial<Piece>): Piece {
  const { usual } = traits(kind);
  const meant = FIELDS.flatMap((f) => (f.usual ? [[f.name, f.usual({ kind, color: PLAIN.color })] as const] : []));
  const blank = {
    ...Object.fromEntries<Piece[FieldName]>(meant),
    ...PLAIN,
    kind,
    count: 1,
    width: usual[0],
    height: usual[1],
    rows: 0,
  };
  return { ...blank, ...told } as unknown as Piece;
}
