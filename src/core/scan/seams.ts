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
  const seen = (onward: number, across: number, length: number, breadth: number): Stretches => {
    const count = Math.floor(length / stride);
    const [lines, steps] = [new Int16Array(count * breadth), new Uint8Array(count * breadth)];
    const values = new Float32Array(2 * stride);
    for (let s = 1; s < count - 1; s++)
      for (let at = BESIDE + 1; at < breadth - BESIDE - 1; at++) {
        const first = (s - 1) * stride * onward + at * across;
        if (!among[first + stride * onward]) continue;
        const line = lineOver(planes.l, first, onward, across, values) * HUNDREDTHS;
        lines[s * breadth + at] = Math.round(line);
        if (stepsOver(planes, first, onward, across, values.length)) steps[s * breadth + at] = 1;
      }
    return { lines, steps, breadth };
  };
  return { stride, upright: seen(width, 1, height, width), level: seen(1, width, width, height) };
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
export function stepsOver(
  { l, a, b }: LabPlanes,
  first: number,
  onward: number,
  across: number,
  length: number,
): boolean {
  let [far, scatter] = [0, 0];
  for (const plane of [l, a, b]) {
    let [sum, squares] = [0, 0];
    for (let k = 0, i = first; k < length; k++, i += onward) {
      const d = (plane[i - BESIDE * across] as number) - (plane[i + BESIDE * across] as number);
      sum += d;
      squares += d * d;
    }
    const mean = sum / length;
    far += mean * mean;
    scatter += squares / length - mean * mean;
  }
  return far > APART * APART && far > SCATTER * SCATTER * scatter;
}
