import type { Stretch } from '../../spread/free-room';

/** Positions in a column are counted in cells of this many mm. */
const CELL = 0.5;
const cellsUp = (mm: number): number => Math.ceil(mm / CELL - 1e-6);
const cellsDown = (mm: number): number => Math.floor(mm / CELL + 1e-6);

export interface PackOption {
  /** mm of column */
  readonly height: number;
  readonly cost: number;
}

export interface PackItem {
  readonly options: readonly PackOption[];
  /** cost of leaving it out */
  readonly leaveOut: number;
  /** number of the one stretch it may stand in; any where it is not given */
  readonly onlyIn?: number;
  /** number of the first stretch it may stand in; the first of all where it is not given */
  readonly notBefore?: number;
}

export interface Packing {
  /** for each item the number of its option, or null when it is left out */
  readonly chosen: readonly (number | null)[];
  /** for each item the number of the stretch it stands in */
  readonly stretch: readonly (number | null)[];
  readonly cost: number;
}

/**
 * The cheapest way to stand items in their order on the free stretches of a column, one option each, `gap` mm apart,
 * none across two stretches. Exact on a half-millimeter grid: a multiple-choice knapsack solved by dynamic
 * programming over positions (Kellerer, Pferschy, Pisinger: Knapsack Problems, 2004, chapter 11, from memory).
 */
export function packColumn(items: readonly PackItem[], stretches: readonly Stretch[], gap: number): Packing {
  const starts: number[] = [];
  const ends: number[] = [];
  let total = 0;
  for (const s of stretches) {
    starts.push(total);
    total += cellsDown(s.to - s.from);
    ends.push(total);
    total += 1; // a cell that belongs to none, so that stretches never touch
  }
  const gapCells = cellsUp(gap);
  const size = total + 1;
  const costs: Float64Array[] = [new Float64Array(size).fill(Infinity)];
  const from: Int32Array[] = [];
  const option: Int16Array[] = [];
  (costs[0] as Float64Array)[0] = 0;
  items.forEach((item, i) => {
    const before = costs[i] as Float64Array;
    const after = new Float64Array(size).fill(Infinity);
    const back = new Int32Array(size).fill(-1);
    const took = new Int16Array(size).fill(-1);
    const worth = undominated(item.options);
    let least = Infinity;
    for (let p = 0; p < size; p++) {
      const cost = before[p] as number;
      if (cost >= least) continue; // further down and no cheaper: never better
      least = cost;
      if (cost + item.leaveOut < (after[p] as number)) {
        after[p] = cost + item.leaveOut;
        back[p] = p;
        took[p] = -1;
      }
      for (const { o, cells, cost: own } of worth) {
        const end = earliestEnd(p, cells, starts, ends, gapCells, item.onlyIn ?? item.notBefore, item.onlyIn);
        const next = cost + own;
        if (end >= 0 && next < (after[end] as number)) {
          after[end] = next;
          back[end] = p;
          took[end] = o;
        }
      }
    }
    costs.push(after);
    from.push(back);
    option.push(took);
  });
  return trace(items.length, costs.at(-1) as Float64Array, from, option, ends);
}

/** The options that are not both as high as another and as dear; the first of equal ones. */
function undominated(options: readonly PackOption[]): { o: number; cells: number; cost: number }[] {
  const sorted = options
    .map(({ height, cost }, o) => ({ o, cells: cellsUp(height), cost }))
    .sort((a, b) => a.cells - b.cells || a.cost - b.cost || a.o - b.o);
  let least = Infinity;
  return sorted.filter(({ cost }) => {
    if (cost >= least) return false;
    least = cost;
    return true;
  });
}

/** Where an item of `height` cells ends when it stands as early as it can after position `p`; -1 when nowhere. */
function earliestEnd(
  p: number,
  height: number,
  starts: readonly number[],
  ends: readonly number[],
  gap: number,
  first = 0,
  last = starts.length - 1,
): number {
  for (let k = first; k <= Math.min(last, starts.length - 1); k++) {
    const start = starts[k] as number;
    const end = ends[k] as number;
    if (end < p) continue;
    const at = p <= start ? start : p + gap;
    if (at + height <= end) return at + height;
  }
  return -1;
}

function trace(
  count: number,
  last: Float64Array,
  from: readonly Int32Array[],
  option: readonly Int16Array[],
  ends: readonly number[],
): Packing {
  let p = 0;
  for (let q = 1; q < last.length; q++) if ((last[q] as number) < (last[p] as number)) p = q;
  const cost = last[p] ?? 0;
  const chosen: (number | null)[] = [];
  const stretch: (number | null)[] = [];
  for (let i = count - 1; i >= 0; i--) {
    const o = (option[i] as Int16Array)[p] as number;
    const at = p;
    chosen.unshift(o < 0 ? null : o);
    stretch.unshift(o < 0 ? null : ends.findIndex((end) => end >= at));
    p = (from[i] as Int32Array)[p] as number;
  }
  return { chosen, stretch, cost };
}
