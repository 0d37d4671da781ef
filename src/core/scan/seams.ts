import type { LabPlanes } from './lab-planes';

/** What is seen along one direction, by stretch, then by the place across it. */
export interface Stretches {
  /** by how much a fine line is lighter or darker than both its sides, lightness in hundredths */
  readonly lines: Int16Array;
  /** 1 where one color ends and another begins */
  readonly steps: Uint8Array;
  /** places across */
  readonly breadth: number;
}

/** Where the knife may have gone, seen over stretches of two millimeters: print changes along it, a cut does not. */
export interface Seams {
  /** px from the middle of one stretch to the next; each is twice as long */
  readonly stride: number;
  /** from top to bottom */
  readonly upright: Stretches;
  /** from left to right */
  readonly level: Stretches;
}

export const HUNDREDTHS = 100; // of lightness: the lines of a sheet are held as whole numbers

/** A stretch's middle is so far from the next one's, mm. */
const STRIDE = 1;
/** Colors that differ by less are one, CIELAB; and by less than so much of what they scatter by. */
const APART = 5;
const SCATTER = 1;
/** Px from a line's middle to what lies beside it. */
const BESIDE = 4;

/**
 * @param among where stickers are: elsewhere nothing is looked at
 * @param scale pixels a millimeter
 */
export function seamsOf(planes: LabPlanes, among: Int32Array, scale: number): Seams {
  const stride = Math.round(STRIDE * scale);
  const { width, height } = planes;
  const along = (length: number) => Math.floor(length / stride);
  const down: Direction = { onward: width, across: 1, count: along(height), breadth: width };
  const right: Direction = { onward: 1, across: width, count: along(width), breadth: height };
  return { stride, upright: stretches(planes, among, stride, down), level: stretches(planes, among, stride, right) };
}

/** Px from a pixel to the next one along and across, how many stretches go along, and how many places across. */
interface Direction {
  readonly onward: number;
  readonly across: number;
  readonly count: number;
  readonly breadth: number;
}

function stretches(planes: LabPlanes, among: Int32Array, stride: number, direction: Direction): Stretches {
  const { onward, across, count, breadth } = direction;
  const { lighter, darker, sides } = halves(planes, among, stride, direction);
  const [lines, steps] = [new Int16Array(count * breadth), new Uint8Array(count * breadth)];
  const values = new Float32Array(2 * stride);
  const both = new Float64Array(SIDES);
  for (let s = 1; s < count - 1; s++)
    for (let at = BESIDE + 1; at < breadth - BESIDE - 1; at++) {
      const middle = s * stride * onward + at * across;
      if (!among[middle]) continue;
      const [k, before] = [s * breadth + at, (s - 1) * breadth + at];
      const isLighter = (lighter[before] as number) + (lighter[k] as number) >= stride;
      const isDarker = (darker[before] as number) + (darker[k] as number) > stride;
      if (isLighter || isDarker)
        lines[k] = Math.round(lineOver(planes.l, middle - stride * onward, onward, across, values) * HUNDREDTHS);
      for (let n = 0; n < SIDES; n++)
        both[n] = (sides[SIDES * before + n] as number) + (sides[SIDES * k + n] as number);
      if (isStep(both, values.length)) steps[k] = 1;
    }
  return { lines, steps, breadth };
}

/**
 * What is seen from one stretch's middle to the next one's, added up: stretches overlap by half. Only where about half
 * of the pixels are lighter, or darker, than both sides can a line go.
 */
function halves(planes: LabPlanes, among: Int32Array, stride: number, direction: Direction) {
  const { onward, across, count, breadth } = direction;
  const [lighter, darker] = [new Uint8Array(count * breadth), new Uint8Array(count * breadth)];
  const sides = new Float32Array(SIDES * count * breadth);
  const long = stride * onward;
  for (let s = 0; s < count; s++)
    for (let at = BESIDE + 1; at < breadth - BESIDE - 1; at++) {
      const first = s * long + at * across;
      if (!among[first] && !among[first + long]) continue;
      let [rises, falls] = [0, 0];
      for (let i = first; i < first + long; i += onward) {
        const line = lineAt(planes.l, i, across);
        if (line > 0) rises++;
        else if (line < 0) falls++;
      }
      const k = s * breadth + at;
      lighter[k] = rises;
      darker[k] = falls;
      sidesOver(planes, first, onward, across, stride, sides, SIDES * k);
    }
  return { lighter, darker, sides };
}

/** Px that a line may stray. */
export const STRAY = 1;

/** How strong the line is that goes through a stretch at a place across, give or take, lightness. */
export function lineNear({ lines, breadth }: Stretches, stretch: number, at: number): number {
  let most = 0;
  for (let q = Math.max(0, at - STRAY); q <= Math.min(breadth - 1, at + STRAY); q++)
    most = Math.max(most, Math.abs(lines[stretch * breadth + q] as number));
  return most / HUNDREDTHS;
}

/** By how much most of a stretch is lighter, or darker, than both its sides; 0: not most, or not all the same way. */
export function lineOver(l: Float32Array, first: number, onward: number, across: number, values: Float32Array): number {
  for (let k = 0, i = first; k < values.length; k++, i += onward) values[k] = lineAt(l, i, across);
  values.sort();
  return values[values.length >> 1] as number;
}

/** By how much a pixel is lighter, or darker, than what lies to both sides of it; 0: it is neither. */
export function lineAt(l: Float32Array, i: number, across: number): number {
  const middle = ((l[i - across] as number) + 2 * (l[i] as number) + (l[i + across] as number)) / 4;
  const [one, other] = [l[i - BESIDE * across] as number, l[i + BESIDE * across] as number];
  const [low, high] = one < other ? [one, other] : [other, one];
  return middle < low ? middle - low : Math.max(0, middle - high);
}

/** Whether both sides differ, all along a stretch, and the same way. */
export function stepsOver(planes: LabPlanes, first: number, onward: number, across: number, length: number): boolean {
  const sides = new Float64Array(SIDES);
  sidesOver(planes, first, onward, across, length, sides, 0);
  return isStep(sides, length);
}

/** By how much two sides differ: three coordinates of CIELAB, and the squares of all three. */
const SIDES = 4;

/** Adds up by how much both sides differ along a stretch. @param k where in `out` that is put */
function sidesOver(
  { l, a, b }: LabPlanes,
  first: number,
  onward: number,
  across: number,
  length: number,
  out: Float32Array | Float64Array,
  k: number,
): void {
  let [dl, da, db, squares] = [0, 0, 0, 0];
  const aside = BESIDE * across;
  for (let n = 0, i = first; n < length; n++, i += onward) {
    const light = (l[i - aside] as number) - (l[i + aside] as number);
    const red = (a[i - aside] as number) - (a[i + aside] as number);
    const yellow = (b[i - aside] as number) - (b[i + aside] as number);
    dl += light;
    da += red;
    db += yellow;
    squares += light * light + red * red + yellow * yellow;
  }
  out[k] = dl;
  out[k + 1] = da;
  out[k + 2] = db;
  out[k + 3] = squares;
}

/** Whether two sides differ, given what `sidesOver` adds up over so many pixels. */
function isStep(sides: Float64Array, length: number): boolean {
  const [dl, da, db, squares] = [sides[0] as number, sides[1] as number, sides[2] as number, sides[3] as number];
  const far = (dl * dl + da * da + db * db) / (length * length);
  return far > APART * APART && far > SCATTER * SCATTER * (squares / length - far);
}
