import type { Hex } from '../color/color';
import type { Rect } from '../measure/rect';
import type { Faces, Finish, Kind, Shape, Writable } from './kinds';

/** One design of sticker in a kit, with its number of copies. Sizes in mm as printed, upright (docs/formats/kit.md). */
export interface Piece {
  readonly kit: string;
  readonly code: string;
  readonly kind: Kind;
  readonly count: number;
  readonly width: number;
  readonly height: number;
  readonly sheet: number;
  readonly shape: Shape;
  readonly color: Hex;
  readonly accent: Hex;
  readonly motif: string;
  readonly words: string;
  readonly icon: string;
  readonly writable: Writable;
  readonly opacity: number;
  readonly finish: Finish;
  readonly foil: string;
  /** rows of a checklist or tracker; 0 where it has none */
  readonly rows: number;
  readonly faces: Faces;
  /** names its picture, where it was scanned: a hash of the picture's bytes */
  readonly picture?: string;
  /** the part of it that can be written on, where its picture was looked at for that; in its own mm */
  readonly clear?: Rect;
  /** what its picture shows where it is written on, the darkest and the lightest */
  readonly ground?: readonly Hex[];
}

/** A kit or a stash: pieces under one name. */
export interface Kit {
  readonly name: string;
  /** what its owner calls it, where that is another name */
  readonly title?: string;
  /** its pieces are of other kits, gathered for one week: each has the stock of its own */
  readonly gathered?: true;
  readonly pieces: readonly Piece[];
}

/** A name for the design, unique over all kits of a spread. */
export const pieceKey = (p: { readonly kit: string; readonly code: string }): string => `${p.kit}/${p.code}`;

/**
 * A kit's name as people say it: `night-almanac` is “Night Almanac”. One that somebody spelled, with a capital letter
 * or a blank in it, stays as it is.
 */
export const spokenName = (name: string): string =>
  /[\p{Lu}\s]/u.test(name) ? name : name.replace(/[-_]+/g, ' ').replace(/(^|\s)\p{Ll}/gu, (c) => c.toUpperCase());

/** A kit as its owner calls it. */
export const calledName = (kit: Pick<Kit, 'name' | 'title'>): string => kit.title || spokenName(kit.name);

/** A roll is washi too long for any sheet: it is shown and counted by length. */
export const isRoll = (piece: Piece): boolean => piece.kind === 'washi' && piece.width > 320;

/** The kit's colors, the most seen first, near-equal ones only once; at most `most`. */
export function palette(kit: Kit, most = 6): Hex[] {
  const seen = new Map<Hex, number>();
  for (const piece of kit.pieces) {
    for (const [color, share] of [
      [piece.color, 1],
      [piece.accent, 0.4],
    ] as const) {
      seen.set(color, (seen.get(color) ?? 0) + share * piece.count * Math.min(piece.width * piece.height, 2000));
    }
  }
  return [...seen.entries()]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, most)
    .map(([color]) => color);
}
