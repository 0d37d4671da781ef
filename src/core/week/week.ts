import { DateTime } from 'luxon';

/** A week by its ISO 8601 name, such as `2027-W06`. */
export type WeekName = string;

/** A day as `2027-02-08`, with no time and no zone. */
export type IsoDay = string;

/** True for `2027-W06` when that year has that week. Source: ISO 8601 (the year's last week holds 28 December). */
export function isWeekName(text: string): boolean {
  const match = /^(\d{4})-W(\d{2})$/.exec(text);
  return match !== null && DateTime.fromObject({ weekYear: Number(match[1]), weekNumber: Number(match[2]) }).isValid;
}

/**
 * The week's seven days. A week that starts on Sunday bears the name of the ISO week whose Monday it holds.
 * @throws RangeError when the name is not a week
 */
export function daysOfWeek(week: WeekName, weekStart: 'monday' | 'sunday' = 'monday'): IsoDay[] {
  if (!isWeekName(week)) throw new RangeError(`not a week: ${week}`);
  const monday = DateTime.fromISO(`${week}-1`, { zone: 'utc' });
  const first = weekStart === 'monday' ? monday : monday.minus({ days: 1 });
  return Array.from({ length: 7 }, (_, i) => first.plus({ days: i }).toISODate() as string);
}

/** The ISO week that holds a day. */
export function weekOf(day: IsoDay): WeekName {
  const date = DateTime.fromISO(day, { zone: 'utc' });
  return `${date.weekYear}-W${String(date.weekNumber).padStart(2, '0')}`;
}

/** The week `count` weeks later (or earlier). */
export function weekAfter(week: WeekName, count = 1): WeekName {
  const monday = DateTime.fromISO(`${week}-1`, { zone: 'utc' }).plus({ weeks: count });
  return weekOf(monday.toISODate() as string);
}
