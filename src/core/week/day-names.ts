import type { IsoDay } from './week';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
/** What the months before a month bring to the day of the week, from March on (Sakamoto, 1992, from memory). */
const SHIFTS = [0, 3, 2, 5, 0, 3, 5, 1, 4, 6, 2, 4] as const;

const parts = (day: IsoDay): [year: number, month: number, date: number] => [
  Number(day.slice(0, 4)),
  Number(day.slice(5, 7)),
  Number(day.slice(8, 10)),
];

/** Day of the month, 1-31: what a date dot must say (handbook B5). */
export const dayOfMonth = (day: IsoDay): number => parts(day)[2];

/** `Monday`, `Tuesday`, … in the Gregorian calendar. */
export function longDay(day: IsoDay): string {
  const [year, month, date] = parts(day);
  const y = month < 3 ? year - 1 : year;
  const index =
    (y + Math.floor(y / 4) - Math.floor(y / 100) + Math.floor(y / 400) + (SHIFTS[month - 1] ?? 0) + date) % 7;
  return DAYS[index] ?? day;
}

/** `Mon`, `Tue`, … */
export const shortDay = (day: IsoDay): string => longDay(day).slice(0, 3);

/** The next day in the Gregorian calendar. */
export function dayAfter(day: IsoDay): IsoDay {
  const [year, month, date] = parts(day);
  return new Date(Date.UTC(year, month - 1, date + 1)).toISOString().slice(0, 10);
}

/** `Feb 8` */
export const longDate = (day: IsoDay): string => `${MONTHS[parts(day)[1] - 1]} ${parts(day)[2]}`;

/** `Feb 8 – 14`, or `Jan 29 – Feb 4` over a month's end. */
export function spokenWeek(days: readonly IsoDay[]): string {
  const [, first, from] = parts(days[0] as string);
  const [, last, to] = parts(days.at(-1) as string);
  return `${MONTHS[first - 1]} ${from} – ${first === last ? '' : `${MONTHS[last - 1]} `}${to}`;
}

/** A moment on its reader's clock, as `Feb 8, 2027, 4:30 PM`: a server elsewhere says the same. @param zone IANA */
export const spokenMoment = (at: number | string, zone: string): string =>
  new Date(at).toLocaleString('en-US', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone });
