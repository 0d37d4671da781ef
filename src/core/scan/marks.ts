import type { Backing } from './backing';
import type { LabPlanes } from './lab-planes';

/** What is seen on a sheet, for each pixel. */
export interface Marks {
  readonly width: number;
  readonly height: number;
  /** how far the color is from the bare backing's, CIELAB, over 3 x 3 pixels */
  readonly unlike: Float32Array;
  /**
   * how strongly a fine line goes, in whatever direction it is strongest: by how much lightness it leaves its sides;
   * not looked for where the color is not the backing's
   */
  readonly line: Float32Array;
}

/** Half the length over which a line is averaged, px; what is shorter is dust or grain. */
const REACH = 5;
/** Color counts less than light, squared: it smears in photographs. */
const COLOR = 0.5;
/** How far a line's sides are from its middle, px; those of a slanting one so much across and down. */
const ASIDE = 3;
const ASLANT = 2;

export function marksOf(planes: LabPlanes, backing: Backing): Marks {
  const { width, height } = planes;
  const marks: Marks = { width, height, unlike: unlikeness(planes, backing), line: new Float32Array(width * height) };
  const differs = leastUnlike(backing.grain);
  markLines(marks, planes, differs, 0, 1, ASIDE);
  markLines(marks, planes, differs, 1, 0, ASIDE);
  markLines(marks, planes, differs, 1, 1, ASLANT);
  markLines(marks, planes, differs, 1, -1, ASLANT);
  return marks;
}

/** What differs from the backing by less is backing, CIELAB. @param grain of the backing */
export const leastUnlike = (grain: number): number => Math.max(2.6, grain * 2.2);

/** Differences from the backing, over 3 x 3 pixels. The backing is asked every few pixels: it changes slowly. */
function unlikeness({ width, height, l, a, b }: LabPlanes, backing: Backing): Float32Array {
  const out = new Float32Array(width * height);
  const step = 8;
  const [cl, ca, cb] = [l, a, b].map(() => new Float32Array(width)) as [Float32Array, Float32Array, Float32Array];
  for (let y = 1; y < height - 1; y++) {
    threeRows(l, width, y, cl);
    threeRows(a, width, y, ca);
    threeRows(b, width, y, cb);
    for (let from = 1; from < width - 1; from += step) {
      const [bl, ba, bb] = backing.at(from + step / 2, y);
      const to = Math.min(from + step, width - 1);
      for (let x = from; x < to; x++) {
        const dl = ((cl[x - 1] as number) + (cl[x] as number) + (cl[x + 1] as number)) / 9 - bl;
        const da = ((ca[x - 1] as number) + (ca[x] as number) + (ca[x + 1] as number)) / 9 - ba;
        const db = ((cb[x - 1] as number) + (cb[x] as number) + (cb[x + 1] as number)) / 9 - bb;
        out[y * width + x] = Math.sqrt(dl * dl + COLOR * (da * da + db * db));
      }
    }
  }
  return out;
}

/** Each column's sum over a row and the two beside it. */
function threeRows(plane: Float32Array, width: number, y: number, out: Float32Array): void {
  for (let x = 0, i = y * width; x < width; x++, i++)
    out[x] = (plane[i - width] as number) + (plane[i] as number) + (plane[i + width] as number);
}

/** Means over `2 reach + 1` pixels along a direction, each from the one before it. */
function averagedAlong(
  plane: Float32Array,
  width: number,
  height: number,
  dx: number,
  dy: number,
  reach: number,
): Float32Array {
  const out = new Float32Array(plane.length);
  // the same line walked downwards, so that the pixel before it is done already
  const [ux, uy] = dy < 0 ? [-dx, -dy] : [dx, dy];
  const step = uy * width + ux;
  const count = 2 * reach + 1;
  const [left, right] = ux ? [reach, width - reach] : [0, width];
  const top = uy * reach;
  const begin = (i: number): void => {
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += plane[i + k * step] as number;
    out[i] = sum / count;
  };
  for (let y = top; y < height - top; y++) {
    const row = y * width;
    // lines that begin in this row: all of them in the first, else those that come in from a side
    const first = uy > 0 && y === top ? right : ux > 0 ? left + 1 : left;
    const last = ux < 0 ? right - 1 : right;
    for (let x = left; x < first; x++) begin(row + x);
    for (let i = row + first; i < row + last; i++) {
      const change = (plane[i + reach * step] as number) - (plane[i - (reach + 1) * step] as number);
      out[i] = (out[i - step] as number) + change / count;
    }
    for (let x = Math.max(first, last); x < right; x++) begin(row + x);
  }
  return out;
}

/** A weaker line is not looked at twice, lightness. */
const FAINTEST = 1;

/**
 * Marks by how much a middle differs from both of its sides, the same way. A line ends where it ends: what its long
 * average reaches beyond is held against the average of three pixels.
 */
function markLines(
  { width, height, unlike, line }: Marks,
  { l }: LabPlanes,
  differs: number,
  dx: number,
  dy: number,
  aside: number,
): void {
  const averaged = averagedAlong(l, width, height, dx, dy, dx && dy ? REACH - 1 : REACH);
  const step = aside * (dy - dx * width);
  const on = dy * width + dx;
  const rim = ASIDE + REACH;
  for (let y = rim; y < height - rim; y++)
    for (let i = y * width + rim; i < y * width + width - rim; i++) {
      if ((unlike[i] as number) > differs) continue;
      const long = ridge(averaged[i] as number, averaged[i - step] as number, averaged[i + step] as number);
      if (long <= FAINTEST) continue;
      const short = ridge(three(l, i, on), three(l, i - step, on), three(l, i + step, on));
      line[i] = Math.max(line[i] as number, Math.min(long, 1.6 * short));
    }
}

const three = (plane: Float32Array, i: number, on: number): number =>
  ((plane[i - on] as number) + (plane[i] as number) + (plane[i + on] as number)) / 3;

function ridge(middle: number, one: number, other: number): number {
  const low = one < other ? one : other;
  const high = one < other ? other : one;
  if (middle < low) return low - middle;
  return middle > high ? middle - high : 0;
}
