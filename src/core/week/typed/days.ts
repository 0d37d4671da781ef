import { parse as parseDates } from 'chrono-node/en';
import { DateTime } from 'luxon';
import type { IsoDay } from '../week';
import {
  DAY,
  MONTH,
  dateOf,
  dayIndex,
  daysFrom,
  monthNumber,
  next,
  nextDate,
  nextMonthDay,
  nthOf,
  ofNextWeek,
  plus,
} from './calendar-days';
import type { TypingHabits } from './habits';
import type { Line } from './line';
import { anywhere } from './line';

/** A day, and how many; of a birthday the year it is counted from. */
export interface Found {
  readonly day: IsoDay;
  readonly days: number;
  readonly year?: number;
}

const WHEN = '(?:(?:on|from|starting|since)\\s+)?(?:the\\s+)?';
const TO = '\\s*(?:-|–|to|until|till|thru|through)\\s*';
const TH = '(?:st|nd|rd|th)?';
const TOMORROW = '(?:tomorrow|tmrw|tmr|tmw|2morrow)';
/** Which of several; one group. */
export const ORDER = '(last|first|1st|second|2nd|third|3rd|fourth|4th)';
const COUNT = '(a|an|one|two|three|four|\\d{1,2})';
/** A date that is surely one. */
const DATE = `(?:the\\s+)?(?:\\d{1,2}${TH}(?:\\s+of)?\\s+${MONTH}|${MONTH}\\s+\\d{1,2}|\\d{1,2}(?:st|nd|rd|th)|\\d{1,2}/\\d{1,2}|\\d{1,2}\\.\\d{1,2}\\.)(?![\\p{L}\\p{N}:])`;

/** `fri-sun`, `3-9 aug`, `aug 3 to 9`, `28 jul - 3 aug`. */
export function readRange(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  const weekend = line.take(anywhere('(?:(?:on|at)\\s+)?(?:the\\s+)?(this|next|coming)\\s+weekend'), 'day');
  if (weekend) return { day: /next/i.test(weekend[1] as string) ? ofNextWeek(from, 5) : next(from, 5), days: 2 };
  const names = line.take(anywhere(`${WHEN}(next\\s+)?${DAY}${TO}${DAY}`), 'day');
  if (names) {
    const first = dayIndex(names[2] as string);
    const day = names[1] ? ofNextWeek(from, first) : next(from, first);
    return { day, days: daysFrom(day, next(day, dayIndex(names[3] as string))) + 1 };
  }
  const within =
    line.take(anywhere(`${WHEN}(\\d{1,2})${TH}${TO}(\\d{1,2})${TH}(?:\\s+of)?\\s+${MONTH}`), 'day') ??
    swapped(line.take(anywhere(`${WHEN}(?<!\\d\\s)${MONTH}\\s+(\\d{1,2})${TH}${TO}(\\d{1,2})${TH}`), 'day'));
  if (within) return spanOf(from, Number(within[1]), within[3] as string, Number(within[2]), within[3] as string);
  const over = line.take(anywhere(`${WHEN}(\\d{1,2})${TH}\\s+${MONTH}${TO}(\\d{1,2})${TH}\\s+${MONTH}`), 'day');
  if (over) return spanOf(from, Number(over[1]), over[2] as string, Number(over[3]), over[4] as string);
  const slashed =
    line.take(anywhere(`${WHEN}(\\d{1,2})/(\\d{1,2})${TO}(\\d{1,2})/(\\d{1,2})`), 'day') ??
    line.take(anywhere(`${WHEN}(\\d{1,2})\\.(\\d{1,2})\\.${TO}(\\d{1,2})\\.(\\d{1,2})\\.`), 'day');
  if (slashed) {
    const [a, b, c, d] = slashed.slice(1, 5).map(Number) as [number, number, number, number];
    const dayFirst = (habits.dateOrder === 'day first' && b <= 12 && d <= 12) || a > 12 || c > 12;
    const day = dayFirst ? nextDate(from, b, a) : nextDate(from, a, b);
    const end = day && (dayFirst ? nextDate(day, d, c) : nextDate(day, c, d));
    return day && end ? { day, days: daysFrom(day, end) + 1 } : null;
  }
  const turned = line.take(anywhere(`${WHEN}${MONTH}\\s+(\\d{1,2})${TH}${TO}${MONTH}\\s+(\\d{1,2})${TH}`), 'day');
  if (turned) return spanOf(from, Number(turned[2]), turned[1] as string, Number(turned[4]), turned[3] as string);
  return null;
}

/** A month that was named first, in the places where it would be named last. */
const swapped = (m: RegExpExecArray | null): readonly (string | undefined)[] | null => m && [m[0], m[2], m[3], m[1]];

function spanOf(from: IsoDay, first: number, month: string, last: number, lastMonth: string): Found | null {
  const day = nextDate(from, monthNumber(month), first);
  const end = day && nextDate(day, monthNumber(lastMonth), last);
  return day && end ? { day, days: daysFrom(day, end) + 1 } : null;
}

/** One day: a date, a name, `tomorrow`, `the 3rd`, `last working day`, or in other words. */
export function readDay(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  const one = (day: IsoDay | null, year?: number): Found | null =>
    day ? { day, days: 1, ...(year ? { year } : {}) } : null;
  const iso = line.take(anywhere(`${WHEN}(\\d{4}-\\d{2}-\\d{2})`), 'day')?.[1];
  if (iso && DateTime.fromISO(iso).isValid) return one(iso);
  const on = fromNow(line, from);
  if (on) return one(on);
  const near = line
    .take(anywhere(`(?:the )?day after tomorrow|today|${TOMORROW}`), 'day')?.[0]
    .trim()
    .toLowerCase();
  if (near) return one(plus(from, near === 'today' ? 0 : near.includes('after') ? 2 : 1));
  const ofMonth = nthOfMonth(line, from);
  if (ofMonth) return one(ofMonth);
  // `sun 14`: the Sunday that is a 14th
  const numbered = anywhere(
    `${WHEN}${DAY}\\s+(1[3-9]|2\\d|3[01])(?![:./–-]|\\s?(?:h|[ap]\\.?m)|\\s+(?:of\\s+)?${MONTH})`,
  ).exec(line.rest);
  const sundays = numbered ? [0, 7, 14, 21, 28].map((n) => plus(next(from, dayIndex(numbered[1] as string)), n)) : [];
  const sunday = sundays.find((d) => Number(d.slice(8)) === Number(numbered?.[2]));
  if (numbered && sunday) {
    line.use(numbered.index, numbered[0], 'day');
    return one(sunday);
  }
  // `fri 12 feb`: the name of a day beside its date says nothing more
  line.take(anywhere(`(?:on\\s+)?${DAY},?(?=\\s+${DATE})`), 'day');
  const named =
    line.take(anywhere(`${WHEN}(\\d{1,2})${TH}(?:\\s+of)?\\s+${MONTH}(?:,?\\s+(\\d{4}))?(?!\\s*:)`), 'day') ??
    fromMonth(line.take(anywhere(`${WHEN}${MONTH}\\s+(\\d{1,2})${TH}(?:,?\\s+(\\d{4}))?(?![:.]\\d)`), 'day'));
  if (named) return dated(from, Number(named[1]), monthNumber(named[2] as string), named[3]);
  const slashed = slashedDate(line, from, habits);
  if (slashed) return slashed;
  const nth = line.take(anywhere(`${WHEN}${ORDER}\\s+(?:(work(?:ing)?\\s?day)|${DAY})`), 'day');
  if (nth) return one(nthOf(from, nthNamed(nth[1] as string), nth[2] ? null : dayIndex(nth[3] as string)));
  const th = line.take(anywhere(`${WHEN}(\\d{1,2})(?:st|nd|rd|th)`), 'day');
  if (th) return one(nextMonthDay(from, Number(th[1])));
  const weekday = line.take(anywhere(`${WHEN}(?:(next|this|coming)\\s+)?${DAY}`), 'day');
  if (weekday) {
    const index = dayIndex(weekday[2] as string);
    return one(weekday[1]?.toLowerCase() === 'next' ? ofNextWeek(from, index) : next(from, index));
  }
  return one(otherWords(line, from));
}

/** `2nd sunday of may`: the next one that comes. */
function nthOfMonth(line: Line, from: IsoDay): IsoDay | null {
  const said = line.take(anywhere(`${WHEN}${ORDER}\\s+${DAY}\\s+(?:of|in)\\s+${MONTH}`), 'day');
  if (!said) return null;
  const [order, weekday] = [nthNamed(said[1] as string), dayIndex(said[2] as string)];
  const year = Number(from.slice(0, 4));
  const days = [year, year + 1].map((y) => nthOf(dateOf(y, monthNumber(said[3] as string), 1) ?? from, order, weekday));
  return days.find((d) => d !== null && d >= from) ?? null;
}

/** `3 weeks from today`, `in a fortnight`. */
function fromNow(line: Line, from: IsoDay): IsoDay | null {
  const said =
    line.take(anywhere(`${COUNT}\\s+(day|week|fortnight)s?\\s+from\\s+(today|now|${TOMORROW})`), 'day') ??
    line.take(anywhere(`in\\s+${COUNT}\\s+(fortnight)s?`), 'day');
  if (!said) {
    // `a week on thursday`, `thursday week`: the one after the next
    const week = line.take(anywhere(`a\\s+week\\s+on\\s+${DAY}|(?:on\\s+)?${DAY}\\s+week(?!\\s?end)`), 'day');
    return week && plus(next(from, dayIndex((week[1] ?? week[2]) as string)), 7);
  }
  const days = { day: 1, week: 7, fortnight: 14 }[(said[2] as string).toLowerCase()] ?? 0;
  const later = said[3] !== undefined && !/today|now/i.test(said[3]) ? 1 : 0;
  return plus(from, countNamed(said[1] as string) * days + later);
}

/** `11/02`, `11/2/27`, `11.2.`, by its owner's order. */
function slashedDate(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  const match =
    anywhere(`${WHEN}(\\d{1,2})/(\\d{1,2})(?:/(\\d{4}|\\d{2}))?`).exec(line.rest) ??
    anywhere(`${WHEN}(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})?`).exec(line.rest);
  if (!match) return null;
  const [a, b] = [Number(match[1]), Number(match[2])];
  // a month has no 13: then it was the day, whatever the habit
  const dayFirst = (habits.dateOrder === 'day first' && b <= 12) || a > 12;
  const year = match[3]?.length === 2 ? `20${match[3]}` : match[3];
  const found = dated(from, dayFirst ? a : b, dayFirst ? b : a, year);
  if (found) line.use(match.index, match[0], 'day');
  return found;
}

const fromMonth = (m: RegExpExecArray | null): readonly (string | undefined)[] | null => m && [m[0], m[2], m[1], m[3]];

/** A year long past is one that something is counted from. */
function dated(from: IsoDay, day: number, month: number, year: string | undefined): Found | null {
  const asked = year ? dateOf(Number(year), month, day) : null;
  if (asked && asked >= `${Number(from.slice(0, 4)) - 1}`) return { day: asked, days: 1 };
  const coming = nextDate(from, month, day);
  return coming === null ? null : { day: coming, days: 1, ...(year ? { year: Number(year) } : {}) };
}

export const nthNamed = (word: string): number =>
  ({ last: -1, first: 1, second: 2, third: 3, fourth: 4 })[word.toLowerCase()] ?? Number(word[0]);

export const countNamed = (word: string): number =>
  ({ a: 1, an: 1, one: 1, two: 2, three: 3, four: 4 })[word.toLowerCase()] ?? Number(word);

/** A date that is said in other words (`in two weeks`), where it names a day for certain: by chrono-node. */
function otherWords(line: Line, from: IsoDay): IsoDay | null {
  const instant = { instant: new Date(`${from}T12:00:00Z`), timezone: 0 };
  const found = parseDates(line.rest, instant, { forwardDate: true })[0];
  const relative =
    found &&
    /\b(?:day|week|fortnight|month|year)s?\b/i.test(found.text) &&
    !/^(?:a|an|one)\s+\w+$/i.test(found.text.trim());
  if (!found || !relative) return null;
  // what it took for an hour is left to those who read hours
  const hour = found.start.isCertain('hour')
    ? /\s+(?:at\s+)?\d{1,2}(?:[:.]\d{2})?\s?(?:am|pm)?\s*$/i.exec(found.text)
    : null;
  line.use(found.index, hour ? found.text.slice(0, hour.index) : found.text, 'day');
  const part = (name: 'year' | 'month' | 'day') => found.start.get(name) as number;
  return dateOf(part('year'), part('month'), part('day'));
}
