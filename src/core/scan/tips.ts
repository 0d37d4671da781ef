import { lineAt, lineOver, stepsOver } from './seams';
import type { Sight } from './sight';

/** A way through a block: its place across, px, and where along it begins and ends. */
export interface Way {
  readonly upright: boolean;
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/** The last bits of a way that must show: how many, how long, mm, how far from the edge, px, give or take. */
const TIPS = 2;
const LONG = 0.8;
const RIM = 2;
const STRAY = 2;
/** How strong a line must be there: as strong as so much of what it usually is, lightness at the most. */
const SHOWN = 0.35;
const ENOUGH = 0.9;
const FAINTEST = 0.3;
/** Px to both sides that are of the block where a way begins. */
const ASIDE = 4;
/** Px by which a wedge of backing is deeper than the edge so far beside it. */
const WEDGE = 3;
const WIDE = 16;

/**
 * At how many of its ends a way shows: a printed line stops short of the sticker's edges, the knife's does not.
 * @param usual how strong its line is elsewhere, lightness
 */
export function endsShown(label: number, sight: Sight, { upright, at, from, to }: Way, usual: number): number {
  const least = Math.max(FAINTEST, Math.min(ENOUGH, SHOWN * usual));
  const { width } = sight.blobs;
  const [onward, across] = upright ? [width, 1] : [1, width];
  const first = from * onward + at * across;
  const last = to * onward + at * across;
  return [
    strengthAtTip(label, sight, first, onward, across, to - from),
    strengthAtTip(label, sight, last, -onward, across, to - from),
  ].filter((strength) => strength >= least).length;
}

/** How strong a line is in the last bits of a way, lightness; where two colors meet, without end. */
function strengthAtTip(
  label: number,
  { planes, blobs: { labels }, scale }: Sight,
  tip: number,
  onward: number,
  across: number,
  length: number,
): number {
  const depthAt = (aside: number): number => {
    let depth = 0;
    for (let i = tip + aside * across; depth < length; depth++, i += onward)
      if (labels[i - ASIDE * across] === label && labels[i + ASIDE * across] === label) break;
    return depth;
  };
  const depth = depthAt(0);
  // between rounded corners a wedge of backing goes on, narrower than what is looked at
  const isWedge = depth > WEDGE + Math.max(depthAt(-WIDE), depthAt(WIDE));
  const begin = isWedge ? 2 * depth : depth;
  const bit = Math.round(LONG * scale);
  const values = new Float32Array(bit);
  let least = Infinity;
  for (let k = 0; k < TIPS && length - begin >= k * bit + RIM + bit; k++) {
    const first = tip + (begin + RIM + k * bit) * onward;
    let most = 0;
    for (let stray = -STRAY; stray <= STRAY; stray++) {
      const i = first + stray * across;
      if (stepsOver(planes, i, onward, across, bit)) most = Infinity;
      else most = Math.max(most, Math.abs(lineOver(planes.l, i, onward, across, values)));
    }
    least = Math.min(least, most);
  }
  return least;
}

/** A line is there where it is so much as strong as it usually is; a cut is, almost everywhere. */
const THERE = 0.4;
const WHOLE = 0.6;

/** Whether a way's line has many short gaps: it was printed so. */
export function isDashed({ planes, blobs: { width } }: Sight, { upright, at, from, to }: Way, usual: number): boolean {
  const [onward, across] = upright ? [width, 1] : [1, width];
  let shown = 0;
  for (let along = from; along < to; along++) {
    const i = along * onward + at * across;
    if ([-across, 0, across].some((d) => Math.abs(lineAt(planes.l, i + d, across)) >= THERE * usual)) shown++;
  }
  return shown < WHOLE * (to - from);
}
