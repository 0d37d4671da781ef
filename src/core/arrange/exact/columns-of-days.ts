import type { DayPlan, SharedDay } from './shared-day';
import { usageOf } from './shared-day';

/** One plan of a day, with what it takes of each shared thing. */
interface Column {
  readonly plan: DayPlan;
  readonly used: ReadonlyMap<string, number>;
}

/** Plans looked into at most before the best found so far is taken. */
const MOST_NODES = 6_000;
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
    const priced = ({ plan, used }: Column): number =>
      [...used].reduce((sum, [key, n]) => sum + (prices.get(key) ?? 0) * n, plan.cost);
    const columns = this.byDay.map((day) => [...day.values()].sort((a, b) => priced(a) - priced(b)));
    const rest = columns.map((_, d) => columns.slice(d).reduce((sum, c) => sum + (c[0] ? priced(c[0]) : 0), 0));
    let most = given.reduce((sum, p) => sum + p.cost, 0);
    let best: DayPlan[] | null = null;
    let nodes = 0;
    const left = new Map(supply);
    const value = (): number => [...prices].reduce((sum, [key, price]) => sum + price * (left.get(key) ?? 0), 0);
    const chosen: DayPlan[] = [];
    const look = (d: number, cost: number): void => {
      if (d === columns.length) {
        if (cost < most - EPS) [most, best] = [cost, [...chosen]];
        return;
      }
      if (nodes++ > MOST_NODES || cost + (rest[d] as number) - value() >= most - EPS) return;
      for (const { plan, used } of columns[d] as Column[]) {
        if ([...used].some(([key, n]) => n > (left.get(key) ?? 0) + EPS)) continue;
        for (const [key, n] of used) left.set(key, (left.get(key) ?? 0) - n);
        chosen.push(plan);
        look(d + 1, cost + plan.cost);
        chosen.pop();
        for (const [key, n] of used) left.set(key, (left.get(key) ?? 0) + n);
      }
    };
    look(0, 0);
    return best;
  }
}
