import type { Hex, Lab } from '../color/color';
import { differenceOfLab, hexOfLab } from '../color/color';

/** Bins of the first count, CIELAB. */
const BIN = 6;
/** Pixels so near to a color are of it, CIELAB. */
const NEAR = 5;
/** A second color is farther from the first (CIEDE2000) and takes so much of the piece. */
const OTHER = 10;
const SEEN = 0.03;

/**
 * The color that most of a piece has, and the next that is another one; where there is none, the second is the first.
 * @param samples CIELAB of its pixels, three numbers each
 */
export function colorsOf(samples: Float32Array): { color: Hex; accent: Hex; share: number } {
  const bins = new Map<number, { count: number; l: number; a: number; b: number }>();
  const n = samples.length / 3;
  for (let i = 0; i < samples.length; i += 3) {
    const l = samples[i] as number;
    const a = samples[i + 1] as number;
    const b = samples[i + 2] as number;
    const key = (Math.floor(l / BIN) * 64 + Math.floor((a + 128) / BIN)) * 64 + Math.floor((b + 128) / BIN);
    const bin = bins.get(key);
    if (bin) {
      bin.count++;
      bin.l += l;
      bin.a += a;
      bin.b += b;
    } else bins.set(key, { count: 1, l, a, b });
  }
  const modes = [...bins.values()]
    .sort((p, q) => q.count - p.count)
    .slice(0, 12)
    .map((bin) => settled(samples, { l: bin.l / bin.count, a: bin.a / bin.count, b: bin.b / bin.count }))
    .sort((p, q) => q.count - p.count);
  const [first] = modes;
  if (!first) return { color: '#ffffff', accent: '#ffffff', share: 0 };
  const second = modes.find((m) => m.count / n > SEEN && differenceOfLab(m.lab, first.lab) > OTHER);
  const color = hexOfLab(first.lab);
  return { color, accent: second ? hexOfLab(second.lab) : color, share: first.count / n };
}

/** The middle of all samples near a color, sought thrice (mean shift). */
function settled(samples: Float32Array, from: Lab): { lab: Lab; count: number } {
  let lab = from;
  let count = 0;
  for (let round = 0; round < 3; round++) {
    let [l, a, b] = [0, 0, 0];
    count = 0;
    for (let i = 0; i < samples.length; i += 3) {
      const dl = (samples[i] as number) - lab.l;
      const da = (samples[i + 1] as number) - lab.a;
      const db = (samples[i + 2] as number) - lab.b;
      if (dl * dl + da * da + db * db > NEAR * NEAR) continue;
      count++;
      l += dl;
      a += da;
      b += db;
    }
    if (!count) break;
    lab = { l: lab.l + l / count, a: lab.a + a / count, b: lab.b + b / count };
  }
  return { lab, count };
}
