import type { Edges } from './edges';
import type { LabPlanes } from './lab-planes';

/** Print reaches no farther beyond the knife's line, and no less far where it is to be told from the edge, mm. */
const FARTHEST = 2.2;
const NEAREST = 0.4;
/** A knife's line is so thin, px to each side of its middle. */
const THIN = 2;
/** Points of a circle that are looked at; as many stickers tell where the line is as tell it well. */
const AROUND = 48;
const MOST_LOOKED_AT = 24;
const FEWEST = 3;
/** A line stands out from both sides by so much in the mean of a circle, lightness, on so many of the stickers. */
const STANDS_OUT = 0.5;
const OFTEN = 0.5;
/** A circle that stands out more in the mean is printed, lightness: the knife leaves 1 to 3 (tests/desk). */
const PRINTED = 6;
/** Whole ones are as wide and high as the larger ones of the sheet but for this share: no neighbor runs into them. */
const WHOLE = 0.02;
const LARGER = 0.8;

/** Where the knife went round a sticker: so large a circle, its middle so far from that of the print, px. */
export interface Knife {
  readonly radius: number;
  readonly dx: number;
  readonly dy: number;
}

const ANGLES = Array.from({ length: AROUND }, (_, i) => (i / AROUND) * 2 * Math.PI);
const [COS, SIN] = [ANGLES.map(Math.cos), ANGLES.map(Math.sin)];

/** What a disc's lightness is in the mean of a circle, around each middle and at each radius, once each. */
function ringsOf({ width, height, l }: LabPlanes, cx: number, cy: number) {
  return (radius: number): number => {
    let sum = 0;
    for (let i = 0; i < AROUND; i++) {
      const x = Math.round(cx + radius * (COS[i] as number));
      const y = Math.round(cy + radius * (SIN[i] as number));
      sum += l[Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))] as number;
    }
    return sum / AROUND;
  };
}

/** By how much a circle stands out from those just within and without, at each radius, lightness. */
function ridges(ring: (radius: number) => number, from: number, to: number): number[] {
  const light = Array.from({ length: to - from + 2 * THIN + 1 }, (_, i) => ring(from - THIN + i));
  return Array.from({ length: to - from + 1 }, (_, i) => {
    const [one, own, other] = [light[i], light[i + THIN], light[i + 2 * THIN]] as [number, number, number];
    return Math.max(0, Math.min(one, other) - own, own - Math.max(one, other));
  });
}

/**
 * As `bleedOf`, for round stickers of one size: a thin circle within all of them, slipped and as far in alike.
 * @param printed edges of round print, px; of those that ran into a neighbor they are too narrow
 * @param scale pixels a millimeter
 */
export function roundBleedOf(printed: readonly Edges[], planes: LabPlanes, scale: number): Knife | null {
  const sides = printed.map((e) => [e.right - e.left, e.bottom - e.top] as const);
  const sorted = sides.map(([w, h]) => Math.max(w, h)).sort((a, b) => a - b);
  const large = sorted[Math.floor(sorted.length * LARGER)] ?? 0;
  const whole = printed.filter((_, i) => sides[i]?.every((side) => Math.abs(side - large) <= WHOLE * large));
  if (whole.length < FEWEST) return null;
  const step = Math.max(1, Math.floor(whole.length / MOST_LOOKED_AT));
  const discs = whole.filter((_, i) => i % step === 0);
  const out = large / 2;
  const [from, to] = [Math.max(2 * THIN, Math.round(out - FARTHEST * scale)), Math.round(out - NEAREST * scale)];
  const slip = Math.round((FARTHEST * scale) / 2);
  let best = { sum: 0, dx: 0, dy: 0, radius: 0, often: 0 };
  for (let dy = -slip; dy <= slip; dy++)
    for (let dx = -slip; dx <= slip; dx++) {
      const of = discs.map((e) =>
        ridges(ringsOf(planes, (e.left + e.right) / 2 + dx, (e.top + e.bottom) / 2 + dy), from, to),
      );
      for (let r = from; r <= to; r++) {
        // the line lies within the print on every side
        if (Math.hypot(dx, dy) > out - r) continue;
        const seen = of.map((ridge) => ridge[r - from] as number);
        const sum = seen.reduce((n, ridge) => n + Math.min(2 * PRINTED, ridge), 0);
        if (sum > best.sum)
          best = { sum, dx, dy, radius: r, often: seen.filter((ridge) => ridge > STANDS_OUT).length / seen.length };
      }
    }
  if (best.sum > PRINTED * discs.length) return null;
  return best.often < OFTEN ? null : { radius: best.radius, dx: best.dx, dy: best.dy };
}
