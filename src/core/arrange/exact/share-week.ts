import { Columns } from './columns-of-days';
import type { Packing } from './day-packing';
import type { Alternative, DayPlan, SharedDay, SharedItem, SharedOption } from './shared-day';
import { usageOf } from './shared-day';

type Supply = ReadonlyMap<string, number>;
type Prices = ReadonlyMap<string, number>;

/** Rounds of bidding for what the days share. */
const ROUNDS = 24;
/** Rounds without a better bound after which the steps become half as long. */
const PATIENCE = 3;
/** Sums of the same costs differ by less. */
const EPS = 1e-9;
const FREE: Prices = new Map();

/**
 * Shares what the week has among its days at once, so that none is better off for coming first: the cheapest plan that
 * uses nothing more often than it is there. By Lagrangian relaxation of what is shared (Fisher, 1981): prices are
 * raised on what is wanted too often, by Polyak's steps, each day being packed exactly. Every plan that a day had at
 * some price is kept, and the best of them that go together are found by branch and bound (Dantzig and Wolfe's columns,
 * 1960), then bettered day by day and pair by pair of days. Against HiGHS in `share-week.test.ts`.
 * @param supply how much there is of each thing; what is not named is not there
 */
export function shareWeek(days: readonly SharedDay[], supply: Supply): DayPlan[] {
  const alone = days.map((day) => packDay(day, FREE, null));
  if (!overdrawn(days, alone, supply)) return alone;
  const columns = new Columns(days);
  const note = (plans: readonly DayPlan[]): readonly DayPlan[] => (columns.note(plans), plans);
  let best = note(evenly(days, supply, alone));
  best = cheaper(best, note(carriedOut(days, supply, FREE)));
  let prices: Prices = FREE;
  if (days.reduce((n, day) => n + wants(day), 0) > MOST_ITEMS) return [...best];
  let bound = { value: -Infinity, prices: FREE };
  let stretch = 1;
  let waited = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const plans = round === 0 ? alone : days.map((day) => packDay(day, prices, null));
    columns.note(plans);
    const used = usage(days, plans);
    const value = total(plans) + dot(prices, used) - dot(prices, supply);
    waited = value > bound.value + 1e-6 ? 0 : waited + 1;
    if (value > bound.value) bound = { value, prices };
    if (waited >= PATIENCE) [stretch, waited] = [stretch / 2, 0];
    const most = total(best);
    if (most - bound.value < NEAR) break;
    const over = new Map([...used].map(([key, n]) => [key, n - (supply.get(key) ?? 0)] as const));
    for (const key of prices.keys()) if (!over.has(key)) over.set(key, -(supply.get(key) ?? 0));
    const length = [...over].reduce((sum, [key, n]) => sum + (n > 0 || (prices.get(key) ?? 0) > 0 ? n * n : 0), 0);
    if (length < EPS) break;
    const step = (stretch * (most - value)) / length;
    prices = new Map([...over].map(([key, n]) => [key, Math.max(0, (prices.get(key) ?? 0) + step * n)] as const));
    if (round % 3 === 2) best = cheaper(best, note(carriedOut(days, supply, prices)));
  }
  for (let again = 0; again < 2 && total(best) - bound.value > NEAR; again++) {
    const before = total(best);
    best = cheaper(best, columns.together(supply, bound.prices, best) ?? best);
    best = bettered(days, supply, best, alone, note);
    if (total(best) > before - EPS) break;
  }
  return [...best];
}

/** A week of more items than these is no week that anyone has: it is shared evenly, and left at that. */
const MOST_ITEMS = 150;
/** A plan this near to the bound is as good as the best. */
const NEAR = 0.05;

const cheaper = (a: readonly DayPlan[], b: readonly DayPlan[]): readonly DayPlan[] =>
  total(b) < total(a) - EPS ? b : a;

const total = (plans: readonly DayPlan[]): number => plans.reduce((sum, p) => sum + p.cost, 0);
const dot = (prices: Prices, amounts: Supply): number =>
  [...prices].reduce((sum, [key, price]) => sum + price * (amounts.get(key) ?? 0), 0);

function usage(days: readonly SharedDay[], plans: readonly DayPlan[]): Map<string, number> {
  const sum = new Map<string, number>();
  days.forEach((day, d) => {
    for (const [key, n] of usageOf(day, plans[d] as DayPlan)) sum.set(key, (sum.get(key) ?? 0) + n);
  });
  return sum;
}

const overdrawn = (days: readonly SharedDay[], plans: readonly DayPlan[], supply: Supply): boolean =>
  [...usage(days, plans)].some(([key, n]) => n > (supply.get(key) ?? 0) + EPS);

/** What is left of the supply when some days have theirs. */
export function leftBeside(
  days: readonly SharedDay[],
  plans: readonly (DayPlan | null)[],
  supply: Supply,
  without: readonly number[],
): Map<string, number> {
  const left = new Map(supply);
  days.forEach((day, d) => {
    const plan = plans[d];
    if (!plan || without.includes(d)) return;
    for (const [key, n] of usageOf(day, plan)) left.set(key, (left.get(key) ?? 0) - n);
  });
  return left;
}

/**
 * A plan that uses nothing too often: day by day, those first that lose most by waiting; prices hold the first ones
 * back.
 */
function carriedOut(days: readonly SharedDay[], supply: Supply, prices: Prices): DayPlan[] {
  const plans: (DayPlan | null)[] = days.map(() => null);
  const order = days
    .map((_, d) => d)
    .sort((a, b) => wants(days[b] as SharedDay) - wants(days[a] as SharedDay) || a - b);
  for (const d of order) plans[d] = packDay(days[d] as SharedDay, prices, leftBeside(days, plans, supply, [d]));
  return plans as DayPlan[];
}

/**
 * A plan in which every day has of each scarce thing in proportion to what it would take alone, and then of what is
 * left over: of plans that cost the same it is the fairest.
 */
function evenly(days: readonly SharedDay[], supply: Supply, alone: readonly DayPlan[]): DayPlan[] {
  const wanted = days.map((day, d) => usageOf(day, alone[d] as DayPlan));
  const totals = usage(days, alone);
  const plans: (DayPlan | null)[] = days.map(() => null);
  const given = new Map<string, number>();
  days.forEach((day, d) => {
    const left = leftBeside(days, plans, supply, [d]);
    for (const [key, all] of totals) {
      const there = supply.get(key) ?? 0;
      if (all <= there + EPS) continue;
      const share = (given.get(key) ?? 0) + (there * ((wanted[d] as Map<string, number>).get(key) ?? 0)) / all;
      given.set(key, share);
      const had = there - (left.get(key) ?? 0);
      left.set(key, Math.max(0, Math.round(share) - had));
    }
    plans[d] = packDay(day, FREE, left);
  });
  days.forEach((day, d) => {
    const next = packDay(day, FREE, leftBeside(days, plans, supply, [d]));
    if (next.cost < (plans[d] as DayPlan).cost - EPS) plans[d] = next;
  });
  return plans as DayPlan[];
}

const wants = (day: SharedDay): number => day.alternatives[0]?.items.length ?? 0;

/** A day that could gain no more than this is not looked at again. */
const WORTH_A_LOOK = 0.3;

/**
 * The plan with each day planned anew with what the others leave; then each day that has to do without much, together
 * with one that might spare it, as long as it gets better.
 * @param alone the days as if each had everything
 * @param note is told every plan that was tried
 */
function bettered(
  days: readonly SharedDay[],
  supply: Supply,
  given: readonly DayPlan[],
  alone: readonly DayPlan[],
  note: (plans: readonly DayPlan[]) => void,
): DayPlan[] {
  let plans = [...given];
  const attempt = (...which: readonly number[]): boolean => {
    const next: (DayPlan | null)[] = plans.map((p, d) => (which.includes(d) ? null : p));
    for (const d of which) next[d] = packDay(days[d] as SharedDay, FREE, leftBeside(days, next, supply, [d]));
    note(next as DayPlan[]);
    const better = which.reduce((sum, d) => sum + (next[d] as DayPlan).cost - (plans[d] as DayPlan).cost, 0) < -EPS;
    if (better) plans = next as DayPlan[];
    return better;
  };
  const lacks = (d: number): number => (plans[d] as DayPlan).cost - (alone[d] as DayPlan).cost;
  days.forEach((_, d) => lacks(d) > WORTH_A_LOOK && attempt(d));
  const needy = days.map((_, d) => d).filter((d) => lacks(d) > WORTH_A_LOOK);
  for (const d of needy) days.forEach((_, other) => d !== other && attempt(d, other));
  return plans;
}

/**
 * The best way to see and stand a day at some prices.
 * @param left what it may use at most of each thing; null: whatever it wants
 */
export function packDay(day: SharedDay, prices: Prices, left: Supply | null): DayPlan {
  let best: { plan: DayPlan; priced: number } | null = null;
  day.alternatives.forEach((one, alternative) => {
    const items = one.items.map((item) => ({
      ...item,
      options: item.options.map((o) => ({
        ...o,
        cost: left && o.uses && o.uses.amount > (left.get(o.uses.key) ?? 0) + EPS ? Infinity : priced(o, prices),
      })),
    }));
    const packing = left ? within(items, one, left) : one.pack(items);
    const price = packing.chosen.reduce<number>((sum, o, i) => {
      const uses = o === null ? null : (one.items[i] as SharedItem).options[o]?.uses;
      return sum + (uses ? (prices.get(uses.key) ?? 0) * uses.amount : 0);
    }, 0);
    const { cost } = packing;
    if (!best || cost < best.priced - EPS) best = { plan: { alternative, packing, cost: cost - price }, priced: cost };
  });
  return (best as { plan: DayPlan } | null)?.plan ?? NOTHING;
}

const NOTHING: DayPlan = { alternative: 0, packing: { chosen: [], stretch: [], cost: 0 }, cost: 0 };

const priced = (o: SharedOption, prices: Prices): number =>
  o.cost + (o.uses ? (prices.get(o.uses.key) ?? 0) * o.uses.amount : 0);

/** A packing that uses nothing more often than it is left: those who lose least take another option instead. */
function within(given: readonly SharedItem[], { pack }: Alternative, left: Supply): Packing {
  const items = given.map((item) => ({ ...item, options: [...item.options] }));
  for (;;) {
    const packing = pack(items);
    const users = new Map<string, { sum: number; items: number[] }>();
    packing.chosen.forEach((o, i) => {
      const uses = o === null ? null : (items[i] as SharedItem).options[o]?.uses;
      if (!uses) return;
      const known = users.get(uses.key) ?? { sum: 0, items: [] };
      users.set(uses.key, { sum: known.sum + uses.amount, items: [...known.items, i] });
    });
    const over = [...users].filter(([key, { sum }]) => sum > (left.get(key) ?? 0) + EPS);
    if (!over.length) return packing;
    for (const [key, { sum, items: takers }] of over) {
      const regret = (i: number): number => {
        const { options, leaveOut } = items[i] as SharedItem;
        const own = Math.min(...options.filter((o) => o.uses?.key === key).map((o) => o.cost));
        return Math.min(leaveOut, ...options.filter((o) => o.uses?.key !== key).map((o) => o.cost)) - own;
      };
      let much = sum - (left.get(key) ?? 0);
      for (const i of takers.map((taker) => ({ taker, lost: regret(taker) })).sort((a, b) => a.lost - b.lost)) {
        if (much <= EPS) break;
        const loser = items[i.taker] as { options: SharedOption[] };
        much -= loser.options.find((o) => o.uses?.key === key)?.uses?.amount ?? 0;
        loser.options = loser.options.map((o) => (o.uses?.key === key ? { ...o, cost: Infinity } : o));
      }
    }
  }
}
