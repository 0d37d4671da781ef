import type { Backing } from './backing';
import type { Blobs } from './blobs';
import type { LabPlanes } from './lab-planes';
import type { Share } from './share';

/** A rectangle in px, edges between pixels. */
export interface Edges {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Px to both sides of a rough edge in which the true one is looked for. */
const AROUND = 8;
/** An outline that is so near to the rectangle's side takes part, px. */
const TOUCHES = 2;
/** Color counts less than light: it smears in photographs. */
const COLOR = 0.5;
/** The sticker ends in the middle of the knife's line: where that alone is seen, its outer half is added, px. */
const HALF_LINE = 0.6;

/**
 * The true edges of a share: where the difference from the backing has risen to its half, taken over all places where
 * the outline touches the rectangle's side. An edge that was laid by a cut stays there.
 */
export function edgesOf(share: Share, blobs: Blobs, planes: LabPlanes, backing: Backing): Edges {
  const { x0, y0, x1, y1, cut } = share;
  return {
    left: cut.left ? x0 - 0.5 : x0 - shift(share, blobs, planes, backing, 'left'),
    right: cut.right ? x1 + 1.5 : x1 + 1 + shift(share, blobs, planes, backing, 'right'),
    top: cut.top ? y0 - 0.5 : y0 - shift(share, blobs, planes, backing, 'top'),
    bottom: cut.bottom ? y1 + 1.5 : y1 + 1 + shift(share, blobs, planes, backing, 'bottom'),
  };
}

/** How far outside the rough edge the true one lies, px; negative: inside. */
function shift(
  { label, x0, y0, x1, y1 }: Share,
  { labels, width, height }: Blobs,
  { l, a, b }: LabPlanes,
  backing: Backing,
  side: keyof Edges,
): number {
  const upright = side === 'left' || side === 'right';
  const inward = side === 'left' || side === 'top' ? 1 : -1;
  const edge = side === 'left' ? x0 : side === 'right' ? x1 : side === 'top' ? y0 : y1;
  const [from, to] = upright ? [y0, y1] : [x0, x1];
  const at = (along: number, across: number): number => (upright ? along * width + across : across * width + along);
  const profile = new Float64Array(2 * AROUND + 1);
  const middle = (from + to) >> 1;
  const [cx, cy] = upright ? [edge, middle] : [middle, edge];
  const [bl, ba, bb] = backing.at(cx, cy);
  let count = 0;
  for (let along = from; along <= to; along++) {
    let touches = false;
    for (let k = 0; k <= TOUCHES; k++) if (labels[at(along, edge + k * inward)] === label) touches = true;
    if (!touches) continue;
    const first = edge - AROUND * inward;
    const last = edge + AROUND * inward;
    if (Math.min(first, last) < 0 || Math.max(first, last) >= (upright ? width : height)) return 0;
    count++;
    for (let d = -AROUND; d <= AROUND; d++) {
      const i = at(along, edge + d * inward);
      const dl = (l[i] as number) - bl;
      const [da, db] = [(a[i] as number) - ba, (b[i] as number) - bb];
      const apart = Math.sqrt(dl * dl + COLOR * COLOR * (da * da + db * db)); // Math.hypot takes its time
      profile[d + AROUND] = (profile[d + AROUND] as number) + apart;
    }
  }
  if (count === 0) return 0;
  return crossing(profile, count);
}

function crossing(profile: Float64Array, count: number): number {
  const ground = Math.min(...profile.subarray(0, 4));
  let peak = 0;
  for (let d = AROUND - 3; d <= AROUND + 3; d++) peak = Math.max(peak, (profile[d] as number) - ground);
  if (peak / count < 1) return 0;
  // a line with nothing behind it: only its outer flank is an edge
  const beyond = Math.max(...profile.subarray(AROUND + 4)) - ground;
  const half = peak / 2;
  for (let d = 1; d < profile.length; d++) {
    const now = (profile[d] as number) - ground;
    const before = (profile[d - 1] as number) - ground;
    if (now >= half && before < half) {
      const inward = d - 1 + (half - before) / (now - before) - AROUND + 0.5;
      return -(inward + (beyond < half ? HALF_LINE : 0));
    }
  }
  return 0;
}
