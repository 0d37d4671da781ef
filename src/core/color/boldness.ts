import type { Hex } from './color';
import { oklabOf } from './oklab';

/**
 * How bold a color looks: the darker and the more saturated, the bolder; about 0 (white) to 1.3. By lightness and
 * chroma in OKLab.
 * @throws RangeError where it is no color
 */
export function boldness(color: Hex): number {
  const known = measured.get(color);
  if (known !== undefined) return known;
  const { l, c } = oklabOf(color);
  const bold = 1 - l + c;
  if (measured.size >= MOST_MEASURED) measured.clear();
  measured.set(color, bold);
  return bold;
}

const measured = new Map<Hex, number>();
const MOST_MEASURED = 50_000;
