/** A week by its ISO 8601 name, such as `2027-W06`. */
export type WeekName = string;

/** A day as `2027-02-08`, with no time and no zone. */
export type IsoDay = string;

/** The first day of a week's pages. */
export type WeekStart = 'monday' | 'sunday';

const DAY = 86_400_000;

/** A moment of UTC, ms; also of the years before 100, which `Date.UTC` takes for others. */
const utc = (year: number, month: number, date: number): number => new Date(0).setUTCFullYear(year, month - 1, date);
const isoOf = (ms: number): IsoDay => new Date(ms).toISOString().slice(0, 10);
/** The Monday of the week that holds a moment. */
const mondayOf = (ms: number): number => ms - ((new Date(ms).getUTCDay() + 6) % 7) * DAY;
/** The Monday of a year's first week: the one that holds 4 January (ISO 8601). */
const firstMonday = (year: number): number => mondayOf(utc(year, 1, 4));
const nameOf = (monday: number): WeekName => {
  // a week is of the year that has its Thursday
  const year = new Date(monday + 3 * DAY).getUTCFullYear();
  const number = 1 + Math.round((monday - firstMonday(year)) / (7 * DAY));
  return `${String(year).padStart(4, '0')}-W${String(number).padStart(2, '0')}`;
};
const WEEK = /^(\d{4})-W(\d{2})$/;

/** Its Monday, ms; null for what is no week. */
function startOf(week: WeekName): number | null {
  const [, year, number] = WEEK.exec(week) ?? [];
  if (year === undefined) return null;
  const monday = firstMonday(Number(year)) + (Number(number) - 1) * 7 * DAY;
  return nameOf(monday) === week ? monday : null;
}

/** True for `2027-W06` when that year has that week. Source: ISO 8601 (the year's last week holds 28 December). */
export const isWeekName = (text: string): boolean => startOf(text) !== null;

/**
 * The week's seven days. A week that starts on Sunday bears the name of the ISO week whose Monday it holds.
 * @throws RangeError when the name is not a week
 */
export function daysOfWeek(week: WeekName, weekStart: WeekStart = 'monday'): IsoDay[] {
  const monday = startOf(week);
  if (monday === null) throw new RangeError(`not a week: ${week}`);
  const first = weekStart === 'monday' ? monday : monday - DAY;
  return Array.from({ length: 7 }, (_, i) => isoOf(first + i * DAY));
}

/** The ISO week that holds a day. */
export const weekOf = (day: IsoDay): WeekName => nameOf(mondayOf(Date.parse(`${day}T00:00:00Z`)));

/** The week `count` weeks later (or earlier). @throws RangeError when the name is not a week */
export function weekAfter(week: WeekName, count = 1): WeekName {
  const monday = startOf(week);
  if (monday === null) throw new RangeError(`not a week: ${week}`);
  return nameOf(monday + count * 7 * DAY);
}

/** The day that a week's seven days begin on. */
export const startOfDays = (days: readonly IsoDay[]): WeekStart =>
  weekOf(days[0] as IsoDay) === weekOf(days[6] as IsoDay) ? 'monday' : 'sunday';

/** The week whose page holds a day: in a book that starts on Sunday, that day is of the week that follows. */
export const weekHolding = (day: IsoDay, weekStart: WeekStart): WeekName =>
  daysOfWeek(weekOf(day), weekStart).includes(day) ? weekOf(day) : weekAfter(weekOf(day));
