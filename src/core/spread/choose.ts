import { isOf } from '../kit/is-of';
import { own } from '../measure/own';
import { difference } from '../color/color';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { palette, pieceKey } from '../kit/kit';
import type { Context } from './placement';
import { kitsOf } from './placement';

/**
 * Beyond this CIEDE2000 distance from the kit's palette a pulled-in piece looks foreign (handbook C1; common
 * practice).
 */
export const FOREIGN = 22;

/** All pieces of the given kinds that may be used, the kit's own first, in file order. */
export function piecesOf(context: Context, ...kinds: readonly Kind[]): readonly Piece[] {
  const known = listed.get(context) ?? new Map<string, readonly Piece[]>();
  listed.set(context, known);
  const key = kinds.join();
  const pieces =
    known.get(key) ??
    kitsOf(context).flatMap((kit) => kit.pieces.filter((p) => kinds.includes(p.kind) && foilSuits(p, context)));
  known.set(key, pieces);
  return pieces;
}

/** Where foils are named, no other foil is used (handbook C6). */
const foilSuits = (p: Piece, { options: { foils } }: Context): boolean =>
  p.foil === 'none' || foils.length === 0 || foils.includes(p.foil);

/** Lists are made once for a context; a context never changes. */
const listed = new WeakMap<Context, Map<string, readonly Piece[]>>();

const seen = new WeakMap<object, WeakMap<Piece, number>>();

/** How far a piece's color is from the nearest of the kit's colors (CIEDE2000); 0 for the kit's own. */
export function strangeness(piece: Piece, context: Context): number {
  if (isOf(context.kit, piece)) return 0;
  const known = seen.get(context.kit) ?? new WeakMap<Piece, number>();
  seen.set(context.kit, known);
  let distance = known.get(piece);
  if (distance === undefined) {
    const colors = palette(context.kit, 12);
    distance = colors.length ? Math.min(...colors.map((c) => difference(c, piece.color))) : 0;
    known.set(piece, distance);
  }
  return distance;
}

/**
 * What a learned taste takes off a piece's cost, for each time it was shown; a favorite counts as four. From memory.
 */
const A_LIKE = 0.8;
const FAVORITE = 4;

/** What the owner's taste takes off a piece's cost, or adds to it. */
export const tasteCost = (piece: Piece, { likes, favorites }: Pick<Context, 'likes' | 'favorites'>): number =>
  -A_LIKE * ((own(likes, pieceKey(piece)) ?? 0) + (favorites.has(pieceKey(piece)) ? FAVORITE : 0));

/** Pieces sorted by what they would cost, the cheapest first; equal ones keep their order. */
export function byCost<T>(pieces: readonly T[], cost: (piece: T) => number): T[] {
  return pieces
    .map((piece, at) => ({ piece, at, cost: cost(piece) }))
    .filter((c) => Number.isFinite(c.cost))
    .sort((a, b) => a.cost - b.cost || a.at - b.at)
    .map((c) => c.piece);
}
