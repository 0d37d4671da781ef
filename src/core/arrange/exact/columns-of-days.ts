import type { DayPlan, SharedDay } from './shared-day';
import { usageOf } from './shared-day';

/** One plan of a day, with what it takes of each shared thing. */
interface Column {
  readonly plan: DayPlan;
  readonly used: ReadonlyMap<string, number>;
}

/** Plans looked into at most before the best found so far is taken. */
const MOST_NODES = 12_000;
/** Sums of the same costs differ by less. */
const EPS = 1e-9;

/** The plans that days had at some prices, and the best of them that go together. */
export class Columns {
  private readonly byDay: Map<string, Column>[];

  constructor(private readonly days: readonly SharedDay[]) {
    this.byDay = days.map(() => new Map<string, Column>());
  }

  /** Keeps a plan for each day; of two that take the same, the cheaper one. */
  note(plans: readonly DayPlan[]): void {
    plans.forEach((plan, d) => {
      const used = usageOf(this.days[d] as SharedDay, plan);
      const key = [...used]
        .map(([k, n]) => `${k}=${n}`)
        .sort()
        .join();
      const known = this.byDay[d]?.get(key);
      if (!known || plan.cost < known.plan.cost) this.byDay[d]?.set(key, { plan, used });
    });
  }

  /**
   * One plan a day, so that nothing is used more often than it is there, at the least cost: by branch and bound, the
   * prices telling what the days to come cost at least.
   * @param given a plan to be bettered
   * @returns null where none is better
   */
  together(
    supply: ReadonlyMap<string, number>,
    prices: ReadonlyMap<string, number>,
    given: readonly DayPlan[],
  ): DayPlan[] | null {
    const priced = this.byDay.map((day) =>
      [...day.values()]
        .map((c) => ({ ...c, price: [...c.used].reduce((sum, [k, n]) => sum + (prices.get(k) ?? 0) * n, c.plan.cost) }))
        .sort((a, b) => a.price - b.price),
    );
    const rest = priced.map((_, d) => priced.slice(d).reduce((sum, c) => sum + (c[0]?.price ?? 0), 0));
    const worth = [...prices].reduce((sum, [key, price]) => sum + price * (supply.get(key) ?? 0), 0);
    let most = given.reduce((sum, p) => sum + p.cost, 0);
    let best: DayPlan[] | null = null;
    let nodes = 0;
    const left = new Map(supply);
    const chosen: DayPlan[] = [];
    const look = (d: number, cost: number, paid: number): void => {
      if (d === priced.length) {
        if (cost < most - EPS) [most, best] = [cost, [...chosen]];
        return;
      }
      for (const { plan, used, price } of priced[d] as (typeof priced)[number]) {
        if (nodes++ > MOST_NODES || paid + price + (rest[d + 1] ?? 0) - worth >= most - EPS) return;
        if ([...used].some(([key, n]) => n > (left.get(key) ?? 0) + EPS)) continue;
        for (const [key, n] of used) left.set(key, (left.get(key) ?? 0) - n);
        chosen.push(plan);
        look(d + 1, cost + plan.cost, paid + price);
        chosen.pop();
        for (const [key, n] of used) left.set(key, (left.get(key) ?? 0) + n);
      }
    };
    look(0, 0, 0);
    return best;
  }
}
