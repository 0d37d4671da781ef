import type { Share } from './share';

/** Copies differ by less, lightness over fields of FIELD px. */
const COPIES = 3;
const FIELD = 4;
/** Whether two shares of one size show the same, give or take a pixel or two. */
export function areAlike(one: Share, other: Share, l: Float32Array, width: number): boolean {
  const rim = 6;
  const w = Math.min(one.x1 - one.x0, other.x1 - other.x0) - 2 * rim;
  const h = Math.min(one.y1 - one.y0, other.y1 - other.y0) - 2 * rim;
  const many = (length: number): number => Math.max(0, Math.floor((length - FIELD) / (2 * FIELD)) + 1);
  const most = COPIES * Math.max(1, many(w) * many(h));
  for (let dx = -2; dx <= 2; dx++)
    for (let dy = -2; dy <= 2; dy++) {
      let sum = 0;
      for (let v = 0; v + FIELD <= h && sum < most; v += FIELD * 2)
        for (let u = 0; u + FIELD <= w; u += FIELD * 2) {
          let apartBy = 0;
          for (let k = 0; k < FIELD; k++) {
            const i = (one.y0 + rim + v + k) * width + one.x0 + rim + u + k;
            const j = (other.y0 + rim + dy + v + k) * width + other.x0 + rim + dx + u + k;
            apartBy += (l[i] as number) - (l[j] as number);
          }
          sum += Math.abs(apartBy) / FIELD;
        }
      if (sum < most) return true;
    }
  return false;
}
