import { difference } from '../color/color';
import type { Kit, Piece } from '../kit/kit';

/** Colors nearer than this are one (CIEDE2000; just noticeable is about 2.3). */
const ONE = 2.3;
/** A kit of fewer designs may well be of one color. From memory. */
const FEW = 6;

/**
 * True where a kit's stickers have colors on record. A list without a color column gives all of them the same one: then
 * nothing can be said of how colors lie beside each other, and that is one thing to say, not a dozen (C2, C3, C4).
 */
export function colorsKnown({ pieces }: Kit): boolean {
  const known = byKit.get(pieces);
  if (known !== undefined) return known;
  const [first] = pieces;
  const isOther = (p: Piece): boolean => difference(p.color, first?.color ?? p.color) > ONE;
  const isKnown = pieces.length < FEW || pieces.some(isOther);
  byKit.set(pieces, isKnown);
  return isKnown;
}

const byKit = new WeakMap<Kit['pieces'], boolean>();
