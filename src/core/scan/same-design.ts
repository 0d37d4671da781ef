import { partsOf } from './parts';

/** What two stickers are compared by. */
export interface Look {
  /** mm */
  readonly w: number;
  readonly h: number;
  /** an edge of it was laid by a cut, and is less sure than one on bare backing */
  readonly cut: boolean;
  /** how many cells it has across and down, CELLS a millimeter; each is the mean of twice its width and height */
  readonly columns: number;
  readonly rows: number;
  /** CIELAB of the cells, three numbers each, from the top left */
  readonly cells: Float32Array;
}

/** Cells a millimeter. */
export const CELLS = 4;
/** Copies differ by less, mm; where an edge was laid by a cut they may by more. */
const SIZE = 0.8;
const SIZE_CUT = 1.5;
/** Their colors differ by less in the mean, CIELAB: light is never quite even. */
const OFFSET = 4;
/** A cell is strange that lies farther outside of what the other has around its place, CIELAB. */
const STRANGE = 3;
/** Where there are edges around, by so much of their height more: a fine line falls into cells one way or another. */
const STEEP = 0.2;
/**
 * So many cells may be strange: dust, and of a large sticker a share of what is beyond a small one. Numbers on small
 * dots differ by a dozen cells. Set by pairs of stickers of one size, made up from seeds 3 to 6, and the demo's dots.
 */
const DUST = 7;
const SMALL = 600;
const DIFFER = 0.02;
/** Cells that are clearly strange and hang together are a letter or a leaf where they are more. */
const CLEARLY = 9;
const SPECK = 14;
/** So many of a design's last copies are asked. */
const HELD_AGAINST = 3;
/** Color counts less than light: it smears in photographs. */
const COLOR = 0.5;
/** How far one may lie aside, cells; and the rim that is not compared. */
const ASIDE = 6;
const RIM = 4;

/**
 * Gathers equal designs: for each look the number of its design, in the order in which they first come. A sticker is of
 * a design when it is like half of those of its copies that it is held against, or more: of a chain of neighbors the
 * ends may be two designs. Parting copies costs a key, joining designs loses one's picture.
 */
export function designsOf(looks: readonly Look[]): number[] {
  const means = looks.map(meanOf);
  const designs: number[][] = [];
  looks.forEach((look, i) => {
    const isLike = (k: number): boolean =>
      mayBeSame(looks[k] as Look, look, means[k] as Lab, means[i] as Lab) && isSame(looks[k] as Look, look);
    const own = designs.find((copies) => {
      const some = copies.slice(-HELD_AGAINST);
      return some.filter(isLike).length * 2 >= some.length;
    });
    if (own) own.push(i);
    else designs.push([i]);
  });
  const numbers = new Array<number>(looks.length).fill(0);
  designs.forEach((copies, n) => copies.forEach((i) => (numbers[i] = n)));
  return numbers;
}

type Lab = readonly [number, number, number];

function mayBeSame(one: Look, other: Look, a: Lab, b: Lab): boolean {
  const size = one.cut || other.cut ? SIZE_CUT : SIZE;
  if (Math.abs(one.w - other.w) > size || Math.abs(one.h - other.h) > size) return false;
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) <= OFFSET;
}

/** Both ways: what is on one and not on the other tells them apart, whichever has it. */
function isSame(one: Look, other: Look): boolean {
  const { dx, dy } = bestShift(one, other);
  return hasNoStrangers(one, other, dx, dy) && hasNoStrangers(other, one, -dx, -dy);
}

/** Where the other lies best on the one, cells. */
function bestShift(one: Look, other: Look): { dx: number; dy: number } {
  let best = { dx: 0, dy: 0, apart: Infinity };
  for (let dy = -ASIDE; dy <= ASIDE; dy++)
    for (let dx = -ASIDE; dx <= ASIDE; dx++) {
      let [sum, n] = [0, 0];
      for (let y = RIM; y < one.rows - RIM; y += 4)
        for (let x = RIM; x < one.columns - RIM; x += 4) {
          if (!has(other, x + dx, y + dy)) continue;
          sum += difference(one, x, y, other, x + dx, y + dy);
          n++;
        }
      // where both do as well they lie as they are
      const apart = (n ? sum / n : Infinity) + 0.02 * (Math.abs(dx) + Math.abs(dy));
      if (apart < best.apart) best = { dx, dy, apart };
    }
  return best;
}

/**
 * Whether no more cells of one than dust would account for are strange to the other: outside of the span of what that
 * has in the cells around. So an edge that lies a hair aside is none, and a line that is missing is one.
 */
function hasNoStrangers(one: Look, other: Look, dx: number, dy: number): boolean {
  let [count, strange] = [0, 0];
  const marked = new Uint8Array(one.columns * one.rows);
  for (let y = RIM; y < one.rows - RIM; y++)
    for (let x = RIM; x < one.columns - RIM; x++) {
      if (!has(other, x + dx, y + dy)) continue;
      count++;
      let apart = 0;
      for (let c = 0; c < 3; c++) {
        const value = one.cells[3 * (y * one.columns + x) + c] as number;
        apart += (c ? COLOR : 1) * outside(value, other, x + dx, y + dy, c) ** 2;
      }
      if (apart <= STRANGE ** 2) continue;
      strange++;
      if (apart > CLEARLY ** 2) marked[y * one.columns + x] = 1;
    }
  if (strange > DUST + DIFFER * Math.max(0, count - SMALL)) return false;
  return partsOf(marked, one.columns, one.rows).parts.every((part) => part.count <= SPECK);
}

/** How far a value lies outside of what the cells around a place have. */
function outside(value: number, { cells, columns }: Look, x: number, y: number, c: number): number {
  let [low, high] = [Infinity, -Infinity];
  for (let v = y - 1; v <= y + 1; v++)
    for (let u = x - 1; u <= x + 1; u++) {
      const there = cells[3 * (v * columns + u) + c] as number;
      if (there < low) low = there;
      if (there > high) high = there;
    }
  return Math.max(0, Math.max(low - value, value - high) - STEEP * (high - low));
}

const has = ({ columns, rows }: Look, x: number, y: number): boolean =>
  x >= 1 && y >= 1 && x <= columns - 2 && y <= rows - 2;

function difference(one: Look, x: number, y: number, other: Look, u: number, v: number): number {
  const i = 3 * (y * one.columns + x);
  const j = 3 * (v * other.columns + u);
  const dl = (one.cells[i] as number) - (other.cells[j] as number);
  const da = (one.cells[i + 1] as number) - (other.cells[j + 1] as number);
  const db = (one.cells[i + 2] as number) - (other.cells[j + 2] as number);
  return Math.sqrt(dl * dl + da * da + db * db);
}

function meanOf({ cells }: Look): Lab {
  const sum = [0, 0, 0];
  for (let i = 0; i < cells.length; i++) sum[i % 3] = (sum[i % 3] as number) + (cells[i] as number);
  const n = Math.max(1, cells.length / 3);
  return [(sum[0] as number) / n, (sum[1] as number) / n, (sum[2] as number) / n];
}
