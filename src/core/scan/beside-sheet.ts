import type { Quad } from './homography';
import type { LabPlanes } from './lab-planes';

/** A step of so much lightness is of something that lies there; so many px of it are dust and hairs. */
const CONTENT = 12;
const STRAY = 60;
/** Nothing is counted so near to the picture's rim: a sliver of what is behind may show there, px. */
const SLIVER = 4;
/** The rim is so broad a share of the picture, and is looked at in so many parts a side. */
const RIM = 0.05;
const PARTS = 10;
/** A table is busy where something is in so many of them. */
const BUSY = 0.8;
/** What is nearer to a figure is of its own edge, px. */
const APART = 7;

/** What lies in a picture beside a figure that may be the sheet. */
export interface Beside {
  /** the table is even, or its pattern soft: what stands out on it is a thing */
  readonly isEven: boolean;
  /** whether more than dust and hairs lies beyond a figure */
  readonly beyond: (quad: Quad) => boolean;
}

export function besideOf(planes: LabPlanes): Beside {
  const content = contentOf(planes);
  return { isEven: !isBusy(planes, content), beyond: (quad) => content.beyond(...boundsOf(quad)) };
}

function boundsOf(quad: Quad): [number, number, number, number] {
  const [xs, ys] = [quad.map((p) => p.x), quad.map((p) => p.y)];
  return [Math.min(...xs) - APART, Math.min(...ys) - APART, Math.max(...xs) + APART, Math.max(...ys) + APART];
}

/** Counts what stands out within any rectangle. Source: summed-area tables, Crow (1984), from memory. */
function contentOf(planes: LabPlanes) {
  const { width, height, l } = planes;
  const sums = new Int32Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++)
    for (let x = 0, row = 0; x < width; x++) {
      const i = y * width + x;
      if (
        Math.min(x, y, width - 1 - x, height - 1 - y) >= SLIVER &&
        Math.max(
          Math.abs((l[i] as number) - (l[i - 1] as number)),
          Math.abs((l[i] as number) - (l[i - width] as number)),
        ) > CONTENT
      )
        row++;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  const at = (x: number, y: number): number =>
    sums[Math.min(height, Math.max(0, Math.round(y))) * (width + 1) + Math.min(width, Math.max(0, Math.round(x)))]!;
  const all = at(width, height);
  const within = (x0: number, y0: number, x1: number, y1: number): number =>
    at(x1, y1) - at(x0, y1) - at(x1, y0) + at(x0, y0);
  return {
    within,
    beyond: (x0: number, y0: number, x1: number, y1: number): boolean => all - within(x0, y0, x1, y1) > STRAY,
  };
}

/** Whether there is something to be seen all along the picture's rim, as on a mat with its lines. */
function isBusy({ width, height }: LabPlanes, { within }: ReturnType<typeof contentOf>): boolean {
  let busy = 0;
  for (let k = 0; k < PARTS; k++) {
    const [x0, x1, y0, y1] = [width, width, height, height].map((n, i) => (n * (k + (i % 2))) / PARTS) as [
      number,
      number,
      number,
      number,
    ];
    const [wide, high] = [RIM * width, RIM * height];
    if (within(x0, 0, x1, high)) busy++;
    if (within(x0, height - high, x1, height)) busy++;
    if (within(0, y0, wide, y1)) busy++;
    if (within(width - wide, y0, width, y1)) busy++;
  }
  return busy > BUSY * 4 * PARTS;
}
