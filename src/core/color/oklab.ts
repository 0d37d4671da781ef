import { modeLrgb, modeOklab, modeRgb, parse, useMode } from 'culori/fn';
import type { Hex } from './color';

useMode(modeRgb);
useMode(modeLrgb);
const toOklab = useMode(modeOklab);

/**
 * A color's lightness (0-1), chroma (0 to about 0.4) and hue in degrees, in OKLab.
 * @throws RangeError where it is no color
 */
export function oklabOf(color: Hex): { readonly l: number; readonly c: number; readonly h: number } {
  const read = parse(color);
  const lab = read && toOklab(read);
  if (!lab) throw new RangeError(`not a color: ${color}`);
  return { l: lab.l, c: Math.hypot(lab.a, lab.b), h: ((Math.atan2(lab.b, lab.a) * 180) / Math.PI + 360) % 360 };
}
