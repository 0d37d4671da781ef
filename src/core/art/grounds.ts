import type { Hex } from '../color/color';
import { mix } from '../color/color';
import type { Piece } from '../kit/kit';
import type { Kind } from '../kit/kinds';
import type { Tones } from './tones';
import { tonesOf } from './tones';

/** Nearly white, as printed paper is. */
export const CREAM = '#fffdf8';
/** How much of what is under it the disc of a date cover hides. */
export const DISC = 0.92;

/** The plain field of what is made to be written on. */
export const fieldOf = ({ color, dark }: Tones): Hex => mix(color, CREAM, dark ? 0 : 0.35);

/** The rows of a list, every other one darker. */
export const rowsOf = ({ color }: Tones): readonly [light: Hex, dark: Hex] => {
  const light = mix(color, CREAM, 0.3);
  return [light, mix(light, color, 0.45)];
};

const whole = ({ color }: Tones): Hex[] => [color];

/** How much of the paper washi hides: even the thinnest tints it. */
export const hides = (opacity: number): number => 0.45 + opacity * 0.5;

const sheer = ({ color }: Tones, opacity: number): Hex[] => [mix(CREAM, color, hides(opacity))];

/** Kinds whose letters do not stand on a plain field, and what is painted under them. */
const GROUNDS: Readonly<Partial<Record<Kind, (t: Tones, opacity: number) => readonly Hex[]>>> = {
  'date-cover': ({ color }) => [mix(color, CREAM, DISC)],
  'date-dot': whole,
  checklist: rowsOf,
  little: ({ color }) => [mix(color, CREAM, 0.35)],
  header: whole,
  banner: whole,
  'full-box': whole,
  'double-box': whole,
  washi: sheer,
  'bottom-washi': sheer,
  'week-tracker': ({ color }) => [color, mix(color, CREAM, 0.6)],
};

/**
 * The colors that are painted where a sticker is written on: of its drawing, or, where it was scanned, what its picture
 * shows there (its main color where nobody looked).
 */
export const groundsOf = (
  piece: Pick<Piece, 'kind' | 'color' | 'accent' | 'opacity' | 'picture' | 'ground'>,
): readonly Hex[] =>
  piece.picture
    ? (piece.ground ?? [piece.color])
    : (GROUNDS[piece.kind] ?? ((t: Tones) => [fieldOf(t)]))(tonesOf(piece.color, piece.accent), piece.opacity);
