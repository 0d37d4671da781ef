import { isStrip } from '../core/kit/kinds';
import type { Piece } from '../core/kit/kit';
import { heavily } from './heavy/heavily';

/** A piece with a picture that is kept, and, where it is to be written on, what that leaves free and shows there. */
export async function shownBy(piece: Piece, picture: string): Promise<Piece> {
  const { width, height, rows, kind, writable } = piece;
  const seen = writable === 'no' ? null : await heavily('room', { hash: picture, width, height });
  if (!seen) return { ...piece, picture };
  const clear = rows === 0 && !isStrip(kind) ? seen.clear : null;
  return { ...piece, picture, ground: seen.ground, ...(clear ? { clear } : {}) };
}
