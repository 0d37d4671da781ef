import type { Hex } from '../color/color';
import { contrast, luminance, mix } from '../color/color';

/** The colors a piece is drawn in, all mixed from its two printed ones. */
export interface Tones {
  readonly color: Hex;
  readonly accent: Hex;
  /** nearly the color of the paper */
  readonly pale: Hex;
  readonly soft: Hex;
  readonly deep: Hex;
  readonly mid: Hex;
  readonly dark: boolean;
}

export function tonesOf(color: Hex, accent: Hex): Tones {
  const dark = luminance(color) < 0.25;
  return {
    color,
    accent,
    pale: mix(color, '#fffdf8', 0.82),
    soft: mix(color, '#fffdf8', 0.45),
    deep: mix(color, '#14222e', 0.38),
    mid: mix(color, accent, 0.4),
    dark,
  };
}

/**
 * The first of some colors that shows on a ground; dark or white ink when none does (WCAG 2 contrast of 3, large
 * text).
 */
export function legible(ground: Hex, ...wanted: readonly Hex[]): Hex {
  return (
    wanted.find((c) => contrast(ground, c) >= 3) ??
    (contrast(ground, '#ffffff') > contrast(ground, '#1f2a33') ? '#ffffff' : '#1f2a33')
  );
}
