import type { Hex } from '../color/color';
import type { Kind, Shape } from '../kit/kinds';
import type { Rect } from '../measure/rect';

/**
 * Why a piece should be looked at first: its outline hardly shows, a spot of light lies on it, it was cut from its
 * neighbors with a size that nothing else has, its kind is a guess, or it may be
 * a place whose sticker was used.
 */
export type Doubt = 'faint' | 'glare' | 'parting' | 'kind' | 'used';

/** A sticker found on a sheet, in mm from the sheet's top left corner. */
export interface FoundPiece extends Rect {
  readonly shape: Shape;
  readonly color: Hex;
  readonly accent: Hex;
  readonly foil: 'none' | 'gold' | 'silver' | 'rose-gold';
  readonly rows: number;
  readonly kind: Kind;
  /** pieces of one design have one number, by first place on the sheet from 0 */
  readonly design: number;
  readonly doubts: readonly Doubt[];
}

/** What was read from one sheet. */
export interface ReadSheet {
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly backing: Hex;
  readonly pieces: readonly FoundPiece[];
}
