import { matchDemands } from '../spread/placement';
import type { Context, Placement } from '../spread/placement';
import type { Way } from './let-in';
import { waysIn } from './let-in';

/** Ways on its own day, and on each other one. */
const ON_ITS_DAY = 5;
const ELSEWHERE = 1;

/**
 * Where an item without a place could go, and on what: on its own day the best suited bases, then one way on each other
 * day, the nearest first. An item on another day keeps its own in the agenda. Empty where it has a place, or fits
 * nowhere.
 * @example offersFor(context, placements, 'plumber').map((o) => [o.day, o.base?.code, o.moved])
 */
export function offersFor(context: Context, placements: readonly Placement[], key: string): Way[] {
  const demand = context.week.demands.find((d) => d.key === key);
  if (!demand || demand.kind === 'band' || matchDemands(placements, context.week.demands).has(key)) return [];
  const days = [0, 1, 2, 3, 4, 5, 6].sort((a, b) => Math.abs(a - demand.day) - Math.abs(b - demand.day) || a - b);
  return days.flatMap((day) =>
    waysIn(context, placements, { ...demand, day, lastDay: day }, day === demand.day ? ON_ITS_DAY : ELSEWHERE),
  );
}

/** The best way of an item onto a day that it was dragged to. Null where it does not fit there. */
export function dressThere(context: Context, placements: readonly Placement[], key: string, day: number): Way | null {
  const demand = context.week.demands.find((d) => d.key === key);
  if (!demand || matchDemands(placements, context.week.demands).has(key)) return null;
  return waysIn(context, placements, { ...demand, day, lastDay: day }, 1)[0] ?? null;
}
