/** Lengths are compared with this tolerance, in their own unit. */
const TOLERANCE = 1e-6;
/** Branches tried before the best plan so far is taken; small cases never come near it. */
const MOST_BRANCHES = 60_000;

/** A strip, roll or list to cut from: what is left of it, and whether it is begun already. */
export interface CutStock {
  readonly length: number;
  readonly begun: boolean;
}

export interface CutPlan {
  /** for each length the number of the stock it is cut from; null where nothing is long enough */
  readonly from: readonly (number | null)[];
  /** whole stock that has to be begun */
  readonly opened: number;
}

/**
 * Which length is cut from which strip, so that the fewest whole strips are begun and offcuts go first (handbook L3,
 * K5): the one-dimensional cutting-stock problem. Exact by branch and bound on the few pieces of a spread; on large
 * cases the better of best fit and sequential value correction.
 */
export function planCuts(lengths: readonly number[], stock: readonly CutStock[]): CutPlan {
  const order = lengths.map((_, i) => i).sort((a, b) => (lengths[b] as number) - (lengths[a] as number) || a - b);
  const bound = leastOpened(lengths, stock);
  const simple = bestFit(order, lengths, stock);
  if (missing(simple) === 0 && simple.opened <= bound) return simple;
  const other = filled(order, lengths, stock, bound);
  const start = better(other, simple) ? other : simple;
  return missing(start) === 0 && start.opened <= bound ? start : branch(order, lengths, stock, start);
}

const missing = (p: CutPlan): number => p.from.filter((s) => s === null).length;
const better = (a: CutPlan, b: CutPlan): boolean =>
  missing(a) < missing(b) || (missing(a) === missing(b) && a.opened < b.opened);

/** A bound from below: what does not fit on begun stock, on the longest whole ones. */
function leastOpened(lengths: readonly number[], stock: readonly CutStock[]): number {
  const begun = stock.filter((s) => s.begun).reduce((n, s) => n + s.length, 0);
  const longest = Math.max(0, ...stock.filter((s) => !s.begun).map((s) => s.length));
  const rest = lengths.reduce((n, l) => n + l, 0) - begun;
  return rest <= TOLERANCE || longest === 0 ? 0 : Math.ceil(rest / longest - TOLERANCE);
}

function bestFit(order: readonly number[], lengths: readonly number[], stock: readonly CutStock[]): CutPlan {
  const left = stock.map((s) => s.length);
  const open = stock.map((s) => s.begun);
  const from = new Array<number | null>(lengths.length).fill(null);
  for (const i of order) {
    const fits = stock.map((_, s) => s).filter((s) => (left[s] as number) >= (lengths[i] as number) - TOLERANCE);
    const s = fits.sort(
      (a, b) => Number(open[b]) - Number(open[a]) || (left[a] as number) - (left[b] as number) || a - b,
    )[0];
    if (s === undefined) continue;
    from[i] = s;
    open[s] = true;
    left[s] = (left[s] as number) - (lengths[i] as number);
  }
  return { from, opened: countOpened(from, stock) };
}

const countOpened = (from: readonly (number | null)[], stock: readonly CutStock[]): number =>
  stock.filter((s, n) => !s.begun && from.includes(n)).length;

/** What a length counts for when a strip is filled. */
type Worth = (length: number) => number;

/**
 * Fills one strip after the other, begun ones first, each with the lengths that are worth most: at first their
 * millimeters, then corrected by how much was wasted where they were used, round after round (sequential value
 * correction: Mukhacheva, 1993).
 */
function filled(
  order: readonly number[],
  lengths: readonly number[],
  stock: readonly CutStock[],
  enough: number,
): CutPlan {
  const worth = new Map<number, number>();
  const of: Worth = (l) => worth.get(l) ?? l;
  let best: CutPlan | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const { plan, fills } = fillAll(order, lengths, stock, of);
    if (!best || better(plan, best)) best = plan;
    if (missing(best) === 0 && best.opened <= enough) break;
    for (const { used, room, waste } of fills) {
      for (const l of used)
        worth.set(l, of(l) * KEPT + (1 - KEPT) * l ** POWER * (room / Math.max(room - waste, TOLERANCE)));
    }
  }
  return best as CutPlan;
}

/** Tries with lengths valued anew: how many; by which power of its length one is valued, and how much of that stays. */
const ROUNDS = 60;
const POWER = 1.02;
const KEPT = 0.5;

interface Fill {
  readonly used: readonly number[];
  readonly room: number;
  readonly waste: number;
}

function fillAll(
  order: readonly number[],
  lengths: readonly number[],
  stock: readonly CutStock[],
  worth: Worth,
): { plan: CutPlan; fills: Fill[] } {
  const from = new Array<number | null>(lengths.length).fill(null);
  const kinds: Kind[] = [];
  for (const i of order) {
    const kind = kinds.find((k) => Math.abs(k.length - (lengths[i] as number)) < TOLERANCE);
    if (kind) kind.items.push(i);
    else kinds.push({ length: lengths[i] as number, items: [i] });
  }
  const fills: Fill[] = [];
  const strips = stock
    .map((s, n) => ({ ...s, n }))
    .sort((a, b) => Number(b.begun) - Number(a.begun) || b.length - a.length || a.n - b.n);
  for (const strip of strips) {
    const counts = fill(kinds, strip.length, worth);
    const used = counts.flatMap((n, k) => (kinds[k] as Kind).items.splice(0, n));
    for (const i of used) from[i] = strip.n;
    fills.push({
      used: used.map((i) => lengths[i] as number),
      room: strip.length,
      waste: strip.length - used.reduce((mm, i) => mm + (lengths[i] as number), 0),
    });
  }
  return { plan: { from, opened: countOpened(from, stock) }, fills: fills.filter((f) => f.used.length > 0) };
}

/** Equal lengths, told apart by count only. */
interface Kind {
  readonly length: number;
  readonly items: number[];
}

/** How many of each kind fill a strip with the most worth: a bounded knapsack, searched from the longest on. */
function fill(kinds: readonly Kind[], room: number, worth: Worth): number[] {
  const worths = kinds.map((k) => worth(k.length));
  const best = { worth: 0, counts: [] as number[] };
  const densest = kinds.map((_, k) =>
    Math.max(0, ...kinds.slice(k).map((x, i) => (worths[k + i] as number) / x.length)),
  );
  let tries = 0;
  const search = (k: number, left: number, sum: number, counts: number[]): void => {
    if (sum > best.worth + TOLERANCE) {
      best.worth = sum;
      best.counts = [...counts];
    }
    const kind = kinds[k];
    if (!kind || tries++ > 20_000 || sum + left * (densest[k] as number) <= best.worth + TOLERANCE) return;
    for (let n = Math.min(kind.items.length, Math.floor(left / kind.length + TOLERANCE)); n >= 0; n--) {
      counts.push(n);
      search(k + 1, left - n * kind.length, sum + n * (worths[k] as number), counts);
      counts.pop();
    }
  };
  search(0, room, 0, []);
  return best.counts;
}

function branch(
  order: readonly number[],
  lengths: readonly number[],
  stock: readonly CutStock[],
  start: CutPlan,
): CutPlan {
  let best = start;
  let branches = 0;
  const left = stock.map((s) => s.length);
  const open = stock.map((s) => s.begun);
  const from = new Array<number | null>(lengths.length).fill(null);
  const longest = Math.max(0, ...stock.filter((s) => !s.begun).map((s) => s.length));
  const walk = (at: number, opened: number, lacking: number, rest: number): void => {
    if (branches++ > MOST_BRANCHES) return;
    const there = left.reduce((n, l, s) => n + (open[s] ? l : 0), 0);
    const bound = opened + (longest ? Math.max(0, Math.ceil((rest - there) / longest - TOLERANCE)) : 0);
    if (lacking > missing(best) || (lacking === missing(best) && bound >= best.opened)) return;
    if (at === order.length) {
      best = { from: [...from], opened };
      return;
    }
    const i = order[at] as number;
    const length = lengths[i] as number;
    const seen = new Set<string>();
    for (let s = 0; s < stock.length; s++) {
      const key = `${open[s]} ${(left[s] as number).toFixed(4)}`;
      if ((left[s] as number) < length - TOLERANCE || seen.has(key)) continue;
      seen.add(key);
      const wasOpen = open[s] as boolean;
      from[i] = s;
      open[s] = true;
      left[s] = (left[s] as number) - length;
      walk(at + 1, opened + (wasOpen ? 0 : 1), lacking, rest - length);
      left[s] = (left[s] as number) + length;
      open[s] = wasOpen;
      from[i] = null;
    }
    if (seen.size === 0) walk(at + 1, opened, lacking + 1, rest - length);
  };
  walk(
    0,
    0,
    0,
    lengths.reduce((n, l) => n + l, 0),
  );
  return best;
}
