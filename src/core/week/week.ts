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

/** Day of the month, 1-31: what a date dot must say (handbook B5). */
export const dayOfMonth = (day: IsoDay): number => Number(day.slice(8, 10));

const NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
/** The review names days hundreds of times after every edit; the same few of them. */
const named = new Map<IsoDay, string>();
const MOST_NAMED = 2000;

/** `Monday`, `Tuesday`, … */
export function longDay(day: IsoDay): string {
  const known = named.get(day);
  if (known !== undefined) return known;
  const name = NAMES[DateTime.fromISO(day, { zone: 'utc' }).weekday - 1] ?? day;
  if (named.size >= MOST_NAMED) named.clear();
  named.set(day, name);
  return name;
}

/** `Mon`, `Tue`, … */
export const shortDay = (day: IsoDay): string => longDay(day).slice(0, 3);

/** `Feb 8 – 14`, or `Jan 29 – Feb 4` over a month's end. */
export function spokenWeek(days: readonly IsoDay[]): string {
  const first = DateTime.fromISO(days[0] as string, { zone: 'utc' });
  const last = DateTime.fromISO(days.at(-1) as string, { zone: 'utc' });
  return `${first.toFormat('LLL d', { locale: 'en-US' })} – ${last.toFormat(first.month === last.month ? 'd' : 'LLL d', { locale: 'en-US' })}`;
}
