import { difference } from '../color/color';
import type { Kit, Piece } from './kit';
import { palette } from './kit';

/** Stickers this near to a kit's palette (CIEDE2000) go with it. From memory: looked at, not measured. */
const TOGETHER = 12;
/** How much a sticker's second color counts. */
const SECOND = 0.3;

/** How far stickers are from a kit's colors (CIEDE2000, both their colors to the nearest of them). */
export function apartFrom(kit: Kit): (piece: Piece) => number {
  const colors = palette(kit, 10);
  const nearest = (color: Piece['color']): number => Math.min(...colors.map((c) => difference(c, color)));
  return (p) => (1 - SECOND) * nearest(p.color) + SECOND * nearest(p.accent);
}

/** The stickers of other kits that go with one, the nearest in color first. */
export function thatGoWith(kit: Kit, pieces: readonly Piece[]): Piece[] {
  const apart = apartFrom(kit);
  return pieces
    .filter((p) => p.kit !== kit.name)
    .map((piece) => ({ piece, apart: apart(piece) }))
    .filter((p) => p.apart <= TOGETHER)
    .sort((a, b) => a.apart - b.apart)
    .map((p) => p.piece);
}
