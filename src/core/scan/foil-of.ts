import type { FoundPiece } from './found';

/** Light goes up and down by so much along foil, lightness. */
const SWING = 14;
/** From one place to the next it changes by no more than this share of its whole swing. */
const SOFT = 0.4;

/**
 * Guesses foil: along a line over the piece its light goes up and down softly, as no print does, while its hue stays
 * that of a metal.
 * @param line CIELAB along the line, every half millimeter, three numbers each
 */
export function foilOf(line: Float32Array): FoundPiece['foil'] {
  const n = line.length / 3;
  if (n < 8) return 'none';
  let [turns, way, last] = [0, 0, line[0] as number];
  let [a, b, top, low, jump] = [0, 0, 0, 100, 0];
  for (let i = 0; i < n; i++) {
    const l = line[3 * i] as number;
    a += (line[3 * i + 1] as number) / n;
    b += (line[3 * i + 2] as number) / n;
    top = Math.max(top, l);
    low = Math.min(low, l);
    if (i) jump = Math.max(jump, Math.abs(l - (line[3 * i - 3] as number)));
    const moved = l - last;
    if (way >= 0 ? moved > 0 : moved < 0) last = l;
    else if (Math.abs(moved) > SWING) {
      turns++;
      way = Math.sign(moved);
      last = l;
    }
    if (way === 0 && Math.abs(l - (line[0] as number)) > SWING) way = Math.sign(l - (line[0] as number));
  }
  if (turns < 2 || top < 82 || jump > SOFT * (top - low)) return 'none';
  const chroma = Math.hypot(a, b);
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  if (chroma < 7) return 'silver';
  if (hue > 68 && hue < 105 && chroma > 14) return 'gold';
  if (hue > 20 && hue <= 68 && chroma < 38) return 'rose-gold';
  return 'none';
}
