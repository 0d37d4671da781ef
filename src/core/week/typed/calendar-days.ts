import { DateTime } from 'luxon';
import type { IsoDay } from '../week';

export const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
export const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
export const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;

/** `Easter Monday` is what the day is called. Common practice. */
const FEAST =
  '(?<!(?:easter|good|shrove|pancake|ash|palm|whit|mothering|maundy|holy|black|cyber|super|advent|fat|bright)\\s+)';
/** As many write them. From memory. */
const MISSPELT = 'wednsday|wednesdy|wendesday|wensday|thurday|thusday|satuday|saterday|sundy|tuseday|tusday';
/** A day's name, whole or shortened; one group. */
export const DAY = `${FEAST}(monday|tuesday|wednesday|thursday|friday|saturday|sunday|${MISSPELT}|mon|tues|tue|weds|wed|thurs|thur|thu|fri|sat|sun(?!\\s+(?:cream|screen|hat|block|lotion|glasses|bed|room|lounger|rise|set)))`;
/** A month's name, whole or shortened; one group. */
export const MONTH = `(${MONTHS.map((m) => `${m}|${m === 'september' ? 'sept|sep' : m === 'february' ? 'febuary|feburary|feb' : m.slice(0, 3)}`).join('|')})\\.?`;

export const dayIndex = (name: string): number => DAYS.findIndex((d) => d.startsWith(name.toLowerCase().slice(0, 2)));
export const monthNumber = (name: string): number =>
  MONTHS.findIndex((m) => m.startsWith(name.toLowerCase().slice(0, 3))) + 1;

const DAY_MS = 86_400_000;
const at = (day: IsoDay): number => Date.parse(`${day}T00:00:00Z`);

export const plus = (day: IsoDay, days: number): IsoDay => new Date(at(day) + days * DAY_MS).toISOString().slice(0, 10);
export const daysFrom = (first: IsoDay, last: IsoDay): number => Math.round((at(last) - at(first)) / DAY_MS);
/** 0 for Monday */
export const weekdayOf = (day: IsoDay): number => (new Date(at(day)).getUTCDay() + 6) % 7;

const monthOf = (day: IsoDay): DateTime<true> =>
  DateTime.fromISO(day, { zone: 'utc' }).startOf('month') as DateTime<true>;

/** The next such weekday, that day itself among them. */
export const next = (from: IsoDay, weekday: number): IsoDay => plus(from, (weekday - weekdayOf(from) + 7) % 7);

/** That weekday of the week after this one; weeks begin on Monday (ISO 8601). */
export const ofNextWeek = (from: IsoDay, weekday: number): IsoDay => plus(from, 7 - weekdayOf(from) + weekday);

/** The next day of a month with that number; months that have none are passed over. */
export function nextMonthDay(from: IsoDay, dayOfMonth: number): IsoDay {
  for (let i = 0, month = monthOf(from); i < 14; i++, month = month.plus({ months: 1 })) {
    const day = month.set({ day: dayOfMonth });
    const iso = day.toISODate();
    if (iso && day.month === month.month && iso >= from) return iso;
  }
  return from;
}

/** The last day of a month, of this year's or the next one's. */
export function endOfMonth(from: IsoDay, month: number): IsoDay {
  const end = (year: number) => DateTime.utc(year, month).endOf('month').toISODate() as string;
  const year = Number(from.slice(0, 4));
  return end(year) < from ? end(year + 1) : end(year);
}

/** The next such day of a year. */
export function nextDate(from: IsoDay, month: number, day: number): IsoDay | null {
  const year = Number(from.slice(0, 4));
  for (let i = 0; i < 9; i++) {
    const date = dateOf(year + i, month, day);
    if (date && date >= from) return date;
  }
  return null;
}

export function dateOf(year: number, month: number, day: number): IsoDay | null {
  const date = DateTime.fromObject({ year, month, day }, { zone: 'utc' });
  return date.isValid ? date.toISODate() : null;
}

/** Which of its weekdays a month counts: the first of them, or with -1 the last; `null` stands for any working day. */
export function nthOf(from: IsoDay, nth: number, weekday: number | null): IsoDay | null {
  for (let i = 0, month = monthOf(from); i < 14; i++, month = month.plus({ months: 1 })) {
    const days = Array.from({ length: month.daysInMonth ?? 0 }, (_, d) => month.plus({ days: d }))
      .filter((d) => (weekday === null ? d.weekday <= 5 : d.weekday - 1 === weekday))
      .map((d) => d.toISODate());
    const day = days.at(nth < 0 ? nth : nth - 1);
    if (day && day >= from) return day;
  }
  return null;
}
