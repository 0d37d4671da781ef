import { copyKey } from './ledger';
import type { Use } from './stock';
import { longDate } from '../week/day-names';
import type { WeekName } from '../week/week';
import { daysOfWeek, isWeekName } from '../week/week';

/** Where a copy went, in words: a week by its first day, all else as it is noted. */
export const saidWhere = (where: string): string =>
  isWeekName(where) ? longDate(daysOfWeek(where)[0] as string) : where;

/** `4 planned for Feb 22, 1 for Mar 1`; nothing for none. @param weeks the week of each copy */
export const sayPlanned = (weeks: readonly WeekName[]): string => sayByWeek(weeks, ' planned');

/** `4 for Feb 22, 1 for Mar 1` @param how what is said of the first */
export function sayByWeek(weeks: readonly WeekName[], how = ''): string {
  const counts = new Map<WeekName, number>();
  for (const week of [...weeks].sort()) counts.set(week, (counts.get(week) ?? 0) + 1);
  return [...counts].map(([week, n], i) => `${n}${i ? '' : how} for ${saidWhere(week)}`).join(', ');
}

/** The weeks that have copies planned, one entry a copy. */
export const plannedCopies = (
  gone: readonly (Pick<Use, 'kit' | 'code' | 'copy'> & { readonly plannedFor?: WeekName })[],
): WeekName[] => [
  ...new Map(gone.flatMap((u) => (u.plannedFor ? [[copyKey(u), u.plannedFor] as const] : []))).values(),
];
