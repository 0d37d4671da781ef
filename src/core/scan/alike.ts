import type { Share } from './share';

const FIELD = 4;
/** Px by which a copy may lie aside. */
const ASIDE = 2;
/** Px of its rim that are not compared. */
const RIM = 6;

/** By how much two shares of one size differ where they lie best on each other, lightness over fields of FIELD px. */
export function apartBy(one: Share, other: Share, l: Float32Array, width: number): number {
  const w = Math.min(one.x1 - one.x0, other.x1 - other.x0) - 2 * RIM;
  const h = Math.min(one.y1 - one.y0, other.y1 - other.y0) - 2 * RIM;
  const many = (length: number): number => Math.max(0, Math.floor((length - FIELD) / (2 * FIELD)) + 1);
  let least = Infinity;
  for (let dx = -ASIDE; dx <= ASIDE; dx++)
    for (let dy = -ASIDE; dy <= ASIDE; dy++) {
      let sum = 0;
      for (let v = 0; v + FIELD <= h && sum < least; v += FIELD * 2)
        for (let u = 0; u + FIELD <= w; u += FIELD * 2) {
          let apart = 0;
          for (let k = 0; k < FIELD; k++) {
            const i = (one.y0 + RIM + v + k) * width + one.x0 + RIM + u + k;
            const j = (other.y0 + RIM + dy + v + k) * width + other.x0 + RIM + dx + u + k;
            apart += (l[i] as number) - (l[j] as number);
          }
          sum += Math.abs(apart) / FIELD;
        }
      least = Math.min(least, sum);
    }
  return least / Math.max(1, many(w) * many(h));
}
