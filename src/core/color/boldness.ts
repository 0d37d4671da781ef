import { modeOklab, parse, useMode } from 'culori/fn';
import type { Hex } from './color';

const oklab = useMode(modeOklab);

/**
 * How bold a color looks: the darker and the more saturated, the bolder; about 0 (white) to 1.3. By lightness and chroma in OKLab.
 * @throws RangeError where it is no color
 */
export function boldness(color: Hex): number {
  const known = measured.get(color);
  if (known !== undefined) return known;
  const read = parse(color);
  const lab = read && oklab(read);
  if (!lab) throw new RangeError(`not a color: ${color}`);
  const bold = 1 - lab.l + Math.hypot(lab.a, lab.b);
  if (measured.size >= MOST_MEASURED) measured.clear();
  measured.set(color, bold);
  return bold;
}

const measured = new Map<Hex, number>();
const MOST_MEASURED = 50_000;
