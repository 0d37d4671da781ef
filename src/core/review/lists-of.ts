import type { Placement } from '../spread/placement';
import type { Piece } from '../kit/kit';
import type { View } from './finding';
import { isList } from '../spread/is-list';

/** A checklist on the spread, with its rows. */
export interface LaidList {
  readonly p: Placement;
  readonly piece: Piece;
  readonly rows: number;
  /** mm from row to row */
  readonly pitch: number;
}

export const listsOf = (view: View): LaidList[] =>
  view.placements.flatMap((p) => {
    const piece = view.pieceOf(p);
    if (!piece || !isList(piece, p) || piece.rows === 0) return [];
    const pitch = piece.height / piece.rows;
    return [{ p, piece, pitch, rows: Math.round(p.h / pitch) }];
  });
