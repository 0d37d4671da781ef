/** Lengths are compared with this tolerance, in their own unit. */
const HAIR = 1e-6;
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
 * Which length is cut from which strip, so that the fewest whole strips are begun and offcuts go first (handbook L3, K5):
 * the one-dimensional cutting-stock problem. Exact by branch and bound on the few pieces of a spread; on large cases the better of
 * best fit and minimum bin slack (Gupta and Ho, 1999).
 */
export function planCuts(lengths: readonly number[], stock: readonly CutStock[]): CutPlan {
  const order = lengths.map((_, i) => i).sort((a, b) => (lengths[b] as number) - (lengths[a] as number) || a - b);
  const starts = [bestFit(order, lengths, stock), leastSlack(order, lengths, stock)];
  const start = starts.reduce((a, b) => (better(b, a) ? b : a));
  return start.opened <= leastOpened(lengths, stock) ? start : branch(order, lengths, stock, start);
}

const missing = (p: CutPlan): number => p.from.filter((s) => s === null).length;
const better = (a: CutPlan, b: CutPlan): boolean => missing(a) < missing(b) || (missing(a) === missing(b) && a.opened < b.opened);

/** A bound from below: what does not fit on begun stock, on the longest whole ones. */
function leastOpened(lengths: readonly number[], stock: readonly CutStock[]): number {
  const begun = stock.filter((s) => s.begun).reduce((n, s) => n + s.length, 0);
  const longest = Math.max(0, ...stock.filter((s) => !s.begun).map((s) => s.length));
  const rest = lengths.reduce((n, l) => n + l, 0) - begun;
  return rest <= HAIR || longest === 0 ? 0 : Math.ceil(rest / longest - HAIR);
}

function bestFit(order: readonly number[], lengths: readonly number[], stock: readonly CutStock[]): CutPlan {
  const left = stock.map((s) => s.length);
  const open = stock.map((s) => s.begun);
  const from = new Array<number | null>(lengths.length).fill(null);
  for (const i of order) {
    const fits = stock.map((_, s) => s).filter((s) => (left[s] as number) >= (lengths[i] as number) - HAIR);
    const s = fits.sort((a, b) => Number(open[b]) - Number(open[a]) || (left[a] as number) - (left[b] as number) || a - b)[0];
    if (s === undefined) continue;
    from[i] = s;
    open[s] = true;
    left[s] = (left[s] as number) - (lengths[i] as number);
  }
  return { from, opened: countOpened(from, stock) };
}

const countOpened = (from: readonly (number | null)[], stock: readonly CutStock[]): number =>
  stock.filter((s, n) => !s.begun && from.includes(n)).length;

/** Fills one strip after the other, begun ones first, each with the lengths that leave the least of it. */
function leastSlack(order: readonly number[], lengths: readonly number[], stock: readonly CutStock[]): CutPlan {
  const from = new Array<number | null>(lengths.length).fill(null);
  let open = [...order];
  const strips = stock.map((s, n) => ({ ...s, n })).sort((a, b) => Number(b.begun) - Number(a.begun) || b.length - a.length || a.n - b.n);
  for (const strip of strips) {
    if (!open.length) break;
    const chosen = fill(open, lengths, strip.length);
    for (const i of chosen) from[i] = strip.n;
    open = open.filter((i) => !chosen.includes(i));
  }
  return { from, opened: countOpened(from, stock) };
}

/** The lengths that fill a strip best, the longest open one among them where it fits; equal lengths are told apart by count only. */
function fill(open: readonly number[], lengths: readonly number[], room: number): number[] {
  const kinds: { length: number; items: number[] }[] = [];
  for (const i of open) {
    const kind = kinds.find((k) => Math.abs(k.length - (lengths[i] as number)) < HAIR);
    if (kind) kind.items.push(i);
    else kinds.push({ length: lengths[i] as number, items: [i] });
  }
  let best: { slack: number; counts: number[] } = { slack: room, counts: [] };
  let tries = 0;
  const search = (k: number, left: number, counts: readonly number[]): void => {
    if (left < best.slack - HAIR) best = { slack: left, counts: [...counts] };
    const kind = kinds[k];
    if (!kind || best.slack <= HAIR || tries++ > 20_000) return;
    for (let n = Math.min(kind.items.length, Math.floor(left / kind.length + HAIR)); n >= 0; n--) search(k + 1, left - n * kind.length, [...counts, n]);
  };
  const first = kinds.findIndex((k) => k.length <= room + HAIR);
  if (first < 0) return [];
  const head = kinds[first] as (typeof kinds)[number];
  for (let n = Math.min(head.items.length, Math.floor(room / head.length + HAIR)); n >= 1; n--) search(first + 1, room - n * head.length, [...new Array<number>(first).fill(0), n]);
  return best.counts.flatMap((n, k) => (kinds[k] as (typeof kinds)[number]).items.slice(0, n));
}

function branch(order: readonly number[], lengths: readonly number[], stock: readonly CutStock[], start: CutPlan): CutPlan {
  let best = start;
  let branches = 0;
  const left = stock.map((s) => s.length);
  const open = stock.map((s) => s.begun);
  const from = new Array<number | null>(lengths.length).fill(null);
  const longest = Math.max(0, ...stock.filter((s) => !s.begun).map((s) => s.length));
  const walk = (at: number, opened: number, lacking: number, rest: number): void => {
    if (branches++ > MOST_BRANCHES) return;
    const there = left.reduce((n, l, s) => n + (open[s] ? l : 0), 0);
    const bound = opened + (longest ? Math.max(0, Math.ceil((rest - there) / longest - HAIR)) : 0);
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
      if ((left[s] as number) < length - HAIR || seen.has(key)) continue;
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
  walk(0, 0, 0, lengths.reduce((n, l) => n + l, 0));
  return best;
}
