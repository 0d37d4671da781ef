import type { Backing } from './backing';
import type { LabPlanes } from './lab-planes';

/** What is seen on a sheet, for each pixel. */
export interface Marks {
  readonly width: number;
  readonly height: number;
  /** how far the color is from the bare backing's, CIELAB, over 3 x 3 pixels */
  readonly unlike: Float32Array;
  /** how strongly a fine line goes through from top to bottom: lightness that it is darker (or lighter) than both sides */
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
  const along = (dx: number, dy: number, aside = ASIDE): Float32Array => {
    const long = ridges(
      averagedAlong(l, width, height, dx, dy, dx && dy ? REACH - 1 : REACH),
      width,
      height,
      dy,
      -dx,
      aside,
    );
    const short = ridges(averagedAlong(l, width, height, dx, dy, 1), width, height, dy, -dx, aside);
    // a line ends where it ends: what its average reaches beyond is no line
    for (let i = 0; i < long.length; i++) long[i] = Math.min(long[i] as number, 1.6 * (short[i] as number));
    return long;
  };
  const upright = along(0, 1);
  const level = along(1, 0);
  const line = new Float32Array(width * height);
  const down = along(1, 1, 2);
  const up = along(1, -1, 2);
  for (let i = 0; i < line.length; i++)
    line[i] = Math.max(upright[i] as number, level[i] as number, down[i] as number, up[i] as number);
  return { width, height, unlike: unlikeness(planes, backing), upright, level, line };
}

/** Differences from the backing, averaged over 3 x 3 pixels. The backing is asked every 16 pixels, it changes slowly. */
function unlikeness({ width, height, l, a, b }: LabPlanes, backing: Backing): Float32Array {
  const out = new Float32Array(width * height);
  const step = 16;
  for (let y = 1; y < height - 1; y++) {
    let [bl, ba, bb] = [0, 0, 0];
    for (let x = 1; x < width - 1; x++) {
      if ((x - 1) % step === 0) {
        bl = backing.l(x + step / 2, y);
        ba = backing.a(x + step / 2, y);
        bb = backing.b(x + step / 2, y);
      }
      const i = y * width + x;
      let [sl, sa, sb] = [0, 0, 0];
      for (let j = i - width; j <= i + width; j += width) {
        sl += (l[j - 1] as number) + (l[j] as number) + (l[j + 1] as number);
        sa += (a[j - 1] as number) + (a[j] as number) + (a[j + 1] as number);
        sb += (b[j - 1] as number) + (b[j] as number) + (b[j + 1] as number);
      }
      const [dl, da, db] = [sl / 9 - bl, sa / 9 - ba, sb / 9 - bb];
      out[i] = Math.sqrt(dl * dl + COLOR * (da * da + db * db));
    }
  }
  return out;
}

function averagedAlong(
  plane: Float32Array,
  width: number,
  height: number,
  dx: number,
  dy: number,
  reach: number,
): Float32Array {
  const out = new Float32Array(plane.length);
  const step = dy * width + dx;
  const count = 2 * reach + 1;
  for (let y = dy ? reach : 0; y < height - (dy ? reach : 0); y++)
    for (let x = dx ? reach : 0; x < width - (dx ? reach : 0); x++) {
      const i = y * width + x;
      let sum = 0;
      for (let k = -reach; k <= reach; k++) sum += plane[i + k * step] as number;
      out[i] = sum / count;
    }
  return out;
}

/** How much a middle differs from both of its sides, the same way. */
function ridges(
  averaged: Float32Array,
  width: number,
  height: number,
  dx: number,
  dy: number,
  aside = ASIDE,
): Float32Array {
  const out = new Float32Array(averaged.length);
  const step = aside * (dy * width + dx);
  const rim = ASIDE + REACH;
  for (let y = rim; y < height - rim; y++)
    for (let x = rim; x < width - rim; x++) {
      const i = y * width + x;
      const one = averaged[i - step] as number;
      const other = averaged[i + step] as number;
      const middle = averaged[i] as number;
      const dark = Math.min(one, other) - middle;
      const light = middle - Math.max(one, other);
      out[i] = Math.max(0, dark, light);
    }
  return out;
}
