import { isStrip } from '../core/kit/kinds';
import type { Piece } from '../core/kit/kit';
import { heavily } from './heavy/heavily';

/** A piece with a picture that is kept, and what that leaves free, where it is to be written on. */
export async function shownBy(piece: Piece, picture: string): Promise<Piece> {
  const isBase = piece.writable !== 'no' && piece.rows === 0 && !isStrip(piece.kind);
  const { width, height } = piece;
  const clear = isBase ? await heavily('room', { hash: picture, width, height }) : null;
  return { ...piece, picture, ...(clear ? { clear } : {}) };
}
