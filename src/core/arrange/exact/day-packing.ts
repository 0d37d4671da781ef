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

/** Room at the foot of a column that is rather left free. */
export interface Kept {
  readonly mm: number;
  /** what each mm taken of it costs */
  readonly perMm: number;
}

/**
 * The cheapest way to stand items in their order on the free stretches of a column, one option each, `gap` mm apart,
 * none across two stretches. Exact on a half-millimeter grid: a multiple-choice knapsack solved by dynamic
 * programming over positions (Kellerer, Pferschy, Pisinger: Knapsack Problems, 2004, chapter 11, from memory).
 */
export const packColumn = (
  items: readonly PackItem[],
  stretches: readonly Stretch[],
  gap: number,
  kept: readonly Kept[] = [],
): Packing => pack(items, columnOf(items, stretches, gap, kept));

/** The same, where every item has a place so; null where one would be left out. */
export function packAll(
  items: readonly PackItem[],
  stretches: readonly Stretch[],
  gap: number,
  kept: readonly Kept[] = [],
): Packing | null {
  const column = columnOf(items, stretches, gap, kept);
  if (!column.holdsAll) return null;
  const packing = pack(items, column);
  return packing.chosen.includes(null) ? null : packing;
}

/** A column counted in cells, and what may stand in it. */
interface Column {
  readonly starts: readonly number[];
  readonly ends: readonly number[];
  readonly size: number;
  readonly gap: number;
  /** what it costs when the last item ends at a cell; the further down, the more */
  readonly foot: (cell: number) => number;
  /** of each item what is worth looking at */
  readonly worths: readonly (readonly Worth[])[];
  /** whether all fit at their lowest */
  readonly holdsAll: boolean;
  /** what a plan costs that is known to fit */
  readonly most: number;
  /** all at their cheapest, where there is room for that */
  readonly ideal: Packing | null;
}

function columnOf(
  items: readonly PackItem[],
  stretches: readonly Stretch[],
  gap: number,
  kept: readonly Kept[],
): Column {
  const starts: number[] = [];
  const ends: number[] = [];
  let total = 0;
  for (const s of stretches) {
    starts.push(total);
    total += cellsDown(s.to - s.from);
    ends.push(total);
    total += 1; // a cell that belongs to none, so that stretches never touch
  }
  const worths = items.map((item) => undominated(item.options));
  const end = ends.at(-1) ?? 0;
  const foot = (cell: number): number =>
    kept.reduce((sum, { mm, perMm }) => sum + Math.max(0, (cell - end) * CELL + mm) * perMm, 0);
  const column = { starts, ends, size: total + 1, gap: cellsUp(gap), worths, foot };
  const lowest = allOn(items, column, 0);
  const cheapest = lowest && allOn(items, column, -1);
  return {
    ...column,
    holdsAll: lowest !== null,
    most: lowest ? lowest.packing.cost + foot(lowest.end) : asManyAsFit(items, column),
    ideal: cheapest && foot(cheapest.end) === 0 ? cheapest.packing : null,
  };
}

function pack(items: readonly PackItem[], { starts, ends, size, gap, worths, most, ideal, foot }: Column): Packing {
  if (ideal) return ideal;
  const lasts = starts.length - 1;
  // no plan dearer than one that is known to fit, the rest at its cheapest, comes to anything
  const rest = cheapestFrom(items, worths);
  const costs: Float64Array[] = [new Float64Array(size).fill(Infinity)];
  const from: Int32Array[] = [];
  const option: Int16Array[] = [];
  (costs[0] as Float64Array)[0] = 0;
  items.forEach((item, i) => {
    const before = costs[i] as Float64Array;
    const after = new Float64Array(size).fill(Infinity);
    const back = new Int32Array(size);
    const took = new Int16Array(size).fill(-1);
    const worth = worths[i] as readonly Worth[];
    const first = item.onlyIn ?? item.notBefore ?? 0;
    const last = Math.min(item.onlyIn ?? lasts, lasts);
    let least = most - (rest[i] as number) + 1e-6;
    for (let p = 0; p < size; p++) {
      const cost = before[p] as number;
      if (cost >= least) continue; // further down and no cheaper: never better
      least = cost;
      if (cost + item.leaveOut < (after[p] as number)) {
        after[p] = cost + item.leaveOut;
        back[p] = p;
        took[p] = -1;
      }
      // the lower options stand in the first stretch that is left, the higher ones further down
      let n = 0;
      for (let k = first; k <= last && n < worth.length; k++) {
        const start = starts[k] as number;
        const end = ends[k] as number;
        if (end < p) continue;
        const at = p <= start ? start : p + gap;
        for (; n < worth.length; n++) {
          const one = worth[n] as Worth;
          const foot = at + one.cells;
          if (foot > end) break;
          const next = cost + one.cost;
          if (next < (after[foot] as number)) {
            after[foot] = next;
            back[foot] = p;
            took[foot] = one.o;
          }
        }
      }
    }
    costs.push(after);
    from.push(back);
    option.push(took);
  });
  return trace(items.length, costs.at(-1) as Float64Array, from, option, { ends, foot });
}

/** A column before anything is known of it. */
type Unsolved = Omit<Column, 'most' | 'ideal' | 'holdsAll'>;

/** Where an item of so many cells stands when it stands as early as it can after position `p`; null when nowhere. */
function earliest(
  { starts, ends, gap }: Unsolved,
  p: number,
  { onlyIn, notBefore }: PackItem,
  cells: number,
): { readonly stretch: number; readonly end: number } | null {
  const last = Math.min(onlyIn ?? Infinity, starts.length - 1);
  for (let k = onlyIn ?? notBefore ?? 0; k <= last; k++) {
    const [start, foot] = [starts[k] as number, ends[k] as number];
    const end = (p <= start ? start : p + gap) + cells;
    if (foot >= p && end <= foot) return { stretch: k, end };
  }
  return null;
}

/** All of them standing, each on one option and as early as it can; null where they do not fit so. */
function allOn(items: readonly PackItem[], column: Unsolved, which: 0 | -1): { packing: Packing; end: number } | null {
  const chosen: number[] = [];
  const stretch: number[] = [];
  let p = 0;
  let cost = 0;
  for (const [i, item] of items.entries()) {
    const option = column.worths[i]?.at(which);
    const place = option && option.cost <= item.leaveOut ? earliest(column, p, item, option.cells) : null;
    if (!option || !place) return null;
    p = place.end;
    cost += option.cost;
    chosen.push(option.o);
    stretch.push(place.stretch);
  }
  return { packing: { chosen, stretch, cost }, end: p };
}

/** What it costs where each item in turn stands at its lowest if it still fits, and is left out else. */
function asManyAsFit(items: readonly PackItem[], column: Unsolved): number {
  let p = 0;
  let cost = 0;
  for (const [i, item] of items.entries()) {
    const lowest = column.worths[i]?.[0];
    const place = lowest && lowest.cost <= item.leaveOut ? earliest(column, p, item, lowest.cells) : null;
    cost += lowest && place ? lowest.cost : item.leaveOut;
    p = place?.end ?? p;
  }
  return cost + column.foot(p);
}

/** What each item and all after it cost at least. */
function cheapestFrom(items: readonly PackItem[], worths: readonly (readonly Worth[])[]): number[] {
  const rest = new Array<number>(items.length + 1).fill(0);
  for (let i = items.length - 1; i >= 0; i--)
    rest[i] = (rest[i + 1] as number) + Math.min(items[i]?.leaveOut ?? 0, worths[i]?.at(-1)?.cost ?? Infinity);
  return rest;
}

interface Worth {
  readonly o: number;
  readonly cells: number;
  readonly cost: number;
}

/** The options that are not both as high as another and as dear; the first of equal ones. */
function undominated(options: readonly PackOption[]): Worth[] {
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

function trace(
  count: number,
  last: Float64Array,
  from: readonly Int32Array[],
  option: readonly Int16Array[],
  { ends, foot }: Pick<Column, 'ends' | 'foot'>,
): Packing {
  const costAt = (q: number): number => (last[q] as number) + foot(q);
  let p = 0;
  for (let q = 1; q < last.length; q++) if ((last[q] as number) < (last[p] as number) && costAt(q) < costAt(p)) p = q;
  const cost = costAt(p);
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
