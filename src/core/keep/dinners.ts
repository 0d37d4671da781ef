import { daysFrom } from '../week/typed/calendar-days';
import type { IsoDay } from '../week/week';
import type { DayRecord } from './day-record';
import { median } from '../measure/median';

/** One dinner over the years. */
export interface Dinner {
  /** as it was written last */
  readonly name: string;
  readonly times: number;
  readonly last: IsoDay;
  /** days since it was last had */
  readonly since: number;
  /** days from one time to the next, the median; null: it was had once */
  readonly usual: number | null;
}

/** Two dinners are one when they are written alike but for capitals and spaces. */
const alike = (text: string): string => text.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en-US');

/** Every dinner up to today, the latest first. */
export function dinnersOf(records: readonly Pick<DayRecord, 'day' | 'text'>[], today: IsoDay): Dinner[] {
  const byName = new Map<string, { name: string; days: IsoDay[] }>();
  for (const { day, text } of [...records].sort((a, b) => (a.day < b.day ? -1 : 1))) {
    if (!text.trim() || day > today) continue;
    const known = byName.get(alike(text)) ?? { name: '', days: [] };
    known.name = text.trim();
    if (known.days.at(-1) !== day) known.days.push(day);
    byName.set(alike(text), known);
  }
  return [...byName.values()]
    .map(({ name, days }): Dinner => {
      const last = days.at(-1) as IsoDay;
      const gaps = days.slice(1).map((day, i) => daysFrom(days[i] as IsoDay, day));
      return { name, times: days.length, last, since: daysFrom(last, today), usual: gaps.length ? median(gaps) : null };
    })
    .sort((a, b) => (a.last < b.last ? 1 : a.last > b.last ? -1 : a.name.localeCompare(b.name, 'en-US')));
}

/** So many days of a dinner that was had once are long. From memory. */
const LONG = 42;

/**
 * Dinners not had for long: longer than twice their usual gap (six weeks where there is none), the most missed first.
 * @param most as many of them
 */
export function notForLong(dinners: readonly Dinner[], most: number): Dinner[] {
  const late = (d: Dinner): number => d.since / (d.usual === null ? LONG : Math.max(7, 2 * d.usual));
  return dinners
    .filter((d) => late(d) >= 1)
    .sort((a, b) => b.times - a.times || late(b) - late(a))
    .slice(0, most);
}
