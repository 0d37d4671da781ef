import type { Backing } from './backing';
import type { LabPlanes } from './lab-planes';

/** What is seen on a sheet, for each pixel. */
export interface Marks {
  readonly width: number;
  readonly height: number;
  /** how far the color is from the bare backing's, CIELAB, over 3 x 3 pixels */
  readonly unlike: Float32Array;
  /** how strongly a fine line goes from top to bottom: lightness by which it is darker, or lighter, than both sides */
  readonly upright: Float32Array;
  /** the same from left to right */
  readonly level: Float32Array;
  /** the same in whatever direction it is strongest */
  readonly line: Float32Array;
}

/** Half the length over which a line is averaged, px; what is shorter is dust or grain. */
const REACH = 5;
/** Color counts less than light, squared: it smears in photographs. */
const COLOR = 0.5;
/** How far a line's sides are from its middle, px. */
const ASIDE = 3;

export function marksOf(planes: LabPlanes, backing: Backing): Marks {
  const { width, height, l } = planes;
  const along = (dx: number, dy: number, aside = ASIDE): Float32Array =>
    ridges(l, averagedAlong(l, width, height, dx, dy, dx && dy ? REACH - 1 : REACH), width, height, dx, dy, aside);
  const upright = along(0, 1);
  const level = along(1, 0);
  const line = new Float32Array(width * height);
  const down = along(1, 1, 2);
  const up = along(1, -1, 2);
  for (let i = 0; i < line.length; i++)
    line[i] = Math.max(upright[i] as number, level[i] as number, down[i] as number, up[i] as number);
  return { width, height, unlike: unlikeness(planes, backing), upright, level, line };
}

/** Differences from the backing, over 3 x 3 pixels. The backing is asked every 16 pixels: it changes slowly. */
function unlikeness({ width, height, l, a, b }: LabPlanes, backing: Backing): Float32Array {
  const out = new Float32Array(width * height);
  const step = 16;
  for (let y = 1; y < height - 1; y++) {
    let [bl, ba, bb] = [0, 0, 0];
    for (let x = 1; x < width - 1; x++) {
      if ((x - 1) % step === 0) [bl, ba, bb] = backing.at(x + step / 2, y);
      const i = y * width + x;
      let sl = 0;
      let sa = 0;
      let sb = 0;
      for (let j = i - width; j <= i + width; j += width) {
        sl += (l[j - 1] as number) + (l[j] as number) + (l[j + 1] as number);
        sa += (a[j - 1] as number) + (a[j] as number) + (a[j + 1] as number);
        sb += (b[j - 1] as number) + (b[j] as number) + (b[j + 1] as number);
      }
      const dl = sl / 9 - bl;
      const da = sa / 9 - ba;
      const db = sb / 9 - bb;
      out[i] = Math.sqrt(dl * dl + COLOR * (da * da + db * db));
    }
  }
  return out;
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
  for (let y = uy * reach; y < height - uy * reach; y++)
    for (let x = ux ? reach : 0; x < width - (ux ? reach : 0); x++) {
      const i = y * width + x;
      const begins = y - uy < uy * reach || (ux > 0 && x - 1 < reach) || (ux < 0 && x + 1 >= width - reach);
      if (begins) {
        let sum = 0;
        for (let k = -reach; k <= reach; k++) sum += plane[i + k * step] as number;
        out[i] = sum / count;
      } else {
        const change = (plane[i + reach * step] as number) - (plane[i - (reach + 1) * step] as number);
        out[i] = (out[i - step] as number) + change / count;
      }
    }
  return out;
}

/** A weaker line is not looked at twice, lightness. */
const FAINTEST = 1;

/**
 * How much a middle differs from both of its sides, the same way. A line ends where it ends: what its long average
 * reaches beyond is held against the average of three pixels.
 */
function ridges(
  plane: Float32Array,
  averaged: Float32Array,
  width: number,
  height: number,
  dx: number,
  dy: number,
  aside: number,
): Float32Array {
  const out = new Float32Array(averaged.length);
  const step = aside * (dy - dx * width);
  const on = dy * width + dx;
  const rim = ASIDE + REACH;
  const three = (i: number): number =>
    ((plane[i - on] as number) + (plane[i] as number) + (plane[i + on] as number)) / 3;
  for (let y = rim; y < height - rim; y++)
    for (let x = rim; x < width - rim; x++) {
      const i = y * width + x;
      const long = ridge(averaged[i] as number, averaged[i - step] as number, averaged[i + step] as number);
      if (long > FAINTEST) out[i] = Math.min(long, 1.6 * ridge(three(i), three(i - step), three(i + step)));
    }
  return out;
}

function ridge(middle: number, one: number, other: number): number {
  const low = one < other ? one : other;
  const high = one < other ? other : one;
  if (middle < low) return low - middle;
  return middle > high ? middle - high : 0;
}
