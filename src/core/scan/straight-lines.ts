import type { LabPlanes } from './lab-planes';

/** A straight line that goes about upright or about level through a picture: `at + tilt * along`, px. */
export interface StraightLine {
  readonly upright: boolean;
  /** where it is in the middle of the picture, across its way */
  readonly at: number;
  /** px across for each px along */
  readonly tilt: number;
}

/** Lines lean by no more, px across a px along; and the steps in which that is looked at. */
const LEAN = 0.26;
const STEP = 0.0125;
/** A step of color that is smaller is grain, one that is larger counts no more than a faint one, CIELAB. */
const FAINTEST = 1;
const STRONGEST = 5;
/** Lines nearer to one another at both ends are one, px. */
const APART = 4;

/** The lines along which most steps of color lie. Source: Hough (1962), Duda and Hart (1972), from memory. */
export function straightLines(planes: LabPlanes, upright: boolean, most: number): StraightLine[] {
  const { width, height } = planes;
  const [across, along] = upright ? [width, height] : [height, width];
  const leans = Math.round(LEAN / STEP);
  const count = 2 * leans + 1;
  const votes = new Float32Array(count * across);
  const at = (u: number, v: number): number => (upright ? v * width + u : u * width + v);
  for (let v = 1; v < along - 1; v++)
    for (let u = 2; u < across - 2; u++) {
      const step = apart(planes, at(u - 1, v), at(u + 1, v), at(0, 1) - at(0, 0));
      if (step < FAINTEST) continue;
      const much = Math.min(step, STRONGEST);
      for (let k = 0; k < count; k++) {
        const place = Math.round(u - (k - leans) * STEP * (v - along / 2));
        if (place >= 0 && place < across) votes[k * across + place]! += much;
      }
    }
  const found: StraightLine[] = [];
  const order = peaks(votes, across, count);
  for (const i of order) {
    const line = { upright, at: i % across, tilt: (Math.floor(i / across) - leans) * STEP };
    const far = (other: StraightLine): boolean =>
      [-1, 0, 1].some((s) => Math.abs(line.at - other.at + (s * along * (line.tilt - other.tilt)) / 2) > APART);
    if (found.every(far)) found.push(line);
    if (found.length >= most) break;
  }
  return found;
}

/** Places with more votes than their neighbors, most votes first. */
function peaks(votes: Float32Array, across: number, count: number): number[] {
  const found: number[] = [];
  for (let k = 0; k < count; k++)
    for (let u = 1; u < across - 1; u++) {
      const i = k * across + u;
      const own = votes[i] as number;
      if (own > 0 && own >= (votes[i - 1] as number) && own > (votes[i + 1] as number)) found.push(i);
    }
  return found.sort((p, q) => (votes[q] as number) - (votes[p] as number));
}

/** How far the colors of two places are apart, each the mean of three along. */
function apart({ l, a, b }: LabPlanes, i: number, j: number, on: number): number {
  const dl = three(l, j, on) - three(l, i, on);
  const da = three(a, j, on) - three(a, i, on);
  const db = three(b, j, on) - three(b, i, on);
  return Math.sqrt(dl * dl + 0.25 * (da * da + db * db));
}

const three = (plane: Float32Array, i: number, on: number): number =>
  ((plane[i - on] as number) + (plane[i] as number) + (plane[i + on] as number)) / 3;
