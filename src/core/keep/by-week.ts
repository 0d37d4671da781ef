import type { WeekStart } from '../week/week';
import { weekAfter, weekHolding } from '../week/week';
import type { DayRecord } from './day-record';

/**
 * Amounts by week and name: one row a week from the first to the last in which anything is, also the empty ones.
 * @returns weeks, names by their sums (the largest first), and amounts by week and name
 */
export function byWeekAndName(
  records: readonly Pick<DayRecord, 'day' | 'name' | 'amount'>[],
  weekStart: WeekStart = 'monday',
): {
  readonly weeks: readonly string[];
  readonly names: readonly string[];
  readonly of: (week: string, name: string) => number;
} {
  const sums = new Map<string, Map<string, number>>();
  const totals = new Map<string, number>();
  for (const { day, name, amount } of records) {
    const week = weekHolding(day, weekStart);
    const row = sums.get(week) ?? new Map<string, number>();
    row.set(name, (row.get(name) ?? 0) + amount);
    sums.set(week, row);
    totals.set(name, (totals.get(name) ?? 0) + amount);
  }
  const there = [...sums.keys()].sort();
  const weeks: string[] = [];
  for (let week = there[0]; week !== undefined && week <= (there.at(-1) as string); week = weekAfter(week))
    weeks.push(week);
  const names = [...totals].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([name]) => name);
  return { weeks, names, of: (week, name) => sums.get(week)?.get(name) ?? 0 };
}
