import type { Hex, Lab } from './color';
import { differenceOfLab, hexOfLab } from './color';

/** Bins in which colors are counted, CIELAB. */
const BIN = 10;
/** Two colors of a theme are at least so far apart (CIEDE2000). From memory. */
const OTHER = 18;
/** A color that takes less of the picture is none of its main ones. */
const SEEN = 0.02;
/** A color counts by its chroma too: what one sees in a photo is seldom its gray. CIELAB. From memory. */
const GRAY = 12;

/**
 * The main colors of a picture, at most so many, each another one than those before.
 * @param l lightness of its pixels, and a and b: CIELAB under D65
 */
export function mainColors({ l, a, b }: Readonly<Record<'l' | 'a' | 'b', ArrayLike<number>>>, most: number): Hex[] {
  const bins = new Map<string, { n: number; l: number; a: number; b: number }>();
  for (let i = 0; i < l.length; i++) {
    const [x, y, z] = [l[i] as number, a[i] as number, b[i] as number];
    const key = [x, y, z].map((v) => Math.floor(v / BIN)).join(' ');
    const bin = bins.get(key) ?? { n: 0, l: 0, a: 0, b: 0 };
    bins.set(key, { n: bin.n + 1, l: bin.l + x, a: bin.a + y, b: bin.b + z });
  }
  const weight = (c: Lab & { n: number }): number => c.n * (GRAY + Math.hypot(c.a, c.b));
  const seen = [...bins.values()]
    .filter((c) => c.n / l.length >= SEEN)
    .map((c) => ({ n: c.n, l: c.l / c.n, a: c.a / c.n, b: c.b / c.n }))
    .sort((p, q) => weight(q) - weight(p));
  const chosen: Lab[] = [];
  for (const c of seen) if (chosen.length < most && chosen.every((d) => differenceOfLab(c, d) >= OTHER)) chosen.push(c);
  return chosen.map(hexOfLab);
}
