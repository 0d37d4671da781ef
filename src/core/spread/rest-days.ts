import type { Context } from './placement';

/** Of more days without an item it is a light week, whose days are all dressed. From memory. */
const MOST = 2;

/**
 * Days that ask for nothing in a week that asks for much, a free Sunday: they are left alone but for their date and the
 * box that is their turn. No header says "today" there, and nothing fills them.
 */
export function restDays({ week }: Pick<Context, 'week'>): ReadonlySet<number> {
  const known = ofWeek.get(week);
  if (known) return known;
  const asks = (day: number): boolean => week.demands.some((d) => d.day <= day && d.lastDay >= day);
  const empty = week.days.map((_, day) => day).filter((day) => !asks(day));
  const rest = new Set(empty.length <= MOST ? empty : []);
  ofWeek.set(week, rest);
  return rest;
}

/** The eye asks some ten thousand times a week. */
const ofWeek = new WeakMap<Context['week'], ReadonlySet<number>>();
