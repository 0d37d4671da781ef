import { parse as parseDates } from 'chrono-node/en';
import { DateTime } from 'luxon';
import type { IsoDay } from '../week';
import {
  DAY,
  MONTH,
  dateOf,
  dayIndex,
  monthNumber,
  next,
  nextDate,
  nextMonthDay,
  nthOf,
  ofNextWeek,
  plus,
} from './calendar-days';
import type { Found } from './day-words';
import { ONE_DAY, ORDER, TH, TOMORROW, WHEN, nthNamed, withoutNames } from './day-words';
import { atTheEnd, fromNow, ofThatWeek } from './from-now';
import type { TypingHabits } from './habits';
import type { Line } from './line';
import { anywhere } from './line';

/** One day: a date, a name, `tomorrow`, `the 3rd`, `last working day`, or in other words. */
export function readDay(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  const one = (day: IsoDay | null, year?: number): Found | null =>
    day ? { day, days: 1, ...(year ? { year } : {}) } : null;
  const iso = line.take(anywhere(`${WHEN}(\\d{4}-\\d{2}-\\d{2})`), 'day')?.[1];
  if (iso && DateTime.fromISO(iso).isValid) return one(iso);
  const on = fromNow(line, from) ?? ofThatWeek(line, from) ?? atTheEnd(line, from);
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
  withoutNames(line);
  const named =
    line.take(
      anywhere(`${WHEN}(\\d{1,2})${TH}(?:\\s+of)?\\s{0,2}${MONTH}(?:,?\\s+((?:19|20)\\d{2}))?(?!\\s*:\\d)`),
      'day',
    ) ??
    fromMonth(
      line.take(
        anywhere(`${WHEN}${MONTH}\\s*(\\d{1,2})(?:st|nd|rd|th)?(?:,?\\s+((?:19|20)\\d{2}))?(?![:.]\\d)`),
        'day',
      ),
    );
  if (named) return dated(from, Number(named[1]), monthNumber(named[2] as string), named[3]);
  const slashed = slashedDate(line, from, habits);
  if (slashed) return slashed;
  const nth = line.take(anywhere(`${WHEN}${ORDER}\\s+(?:(work(?:ing)?\\s?day)|${DAY})`), 'day');
  if (nth) return one(nthOf(from, nthNamed(nth[1] as string), nth[2] ? null : dayIndex(nth[3] as string)));
  const th = numberedDay(line);
  if (th !== null) return one(nextMonthDay(from, th));
  const weekday = line.take(anywhere(`${WHEN}(?:(next|this coming|this|coming)\\s+)?${DAY}`), 'day');
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

/** What is counted by such words and is no day. From memory. */
const COUNTED =
  '(?!\\s+(?:class|grade|hand|floor|place|half|team|edition|coat|year|birthday|anniversary|draft|round|aid|time|dose|jab)s?)';

/** `the 16th`; `1st grade` is none where another day is named. */
function numberedDay(line: Line): number | null {
  const surely = anywhere(`(?:(?:on|from|starting|since)\\s+)?the\\s+(\\d{1,2})(?:st|nd|rd|th)`);
  const maybe = anywhere(`${WHEN}(\\d{1,2})(?:st|nd|rd|th)(?!\\s\\p{Ll})`);
  const any = anywhere(`${WHEN}(\\d{1,2})(?:st|nd|rd|th)${COUNTED}`);
  const isNamed = anywhere(ONE_DAY).test(line.rest.replace(any, ' '));
  const found = line.take(surely, 'day') ?? line.take(isNamed ? maybe : any, 'day');
  return found && Number(found[1]);
}

/** `11/02`, `11/2/27`, `11.2.`, by its owner's order. */
function slashedDate(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  const match =
    anywhere(`${WHEN}(\\d{1,2})/(\\d{1,2})(?:/(\\d{4}|\\d{2}))?`).exec(line.rest) ??
    anywhere(`${WHEN}(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})?`).exec(line.rest) ??
    anywhere(`${WHEN}(\\d{1,2})-(\\d{1,2})-(\\d{4})`).exec(line.rest);
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

/** A date that is said in other words (`in two weeks`), where it names a day for certain: by chrono-node. */
function otherWords(line: Line, from: IsoDay): IsoDay | null {
  const instant = { instant: new Date(`${from}T12:00:00Z`), timezone: 0 };
  const found = parseDates(line.rest, instant, { forwardDate: true })[0];
  const relative =
    found &&
    /\b(?:day|week|fortnight|month|year)s?\b/i.test(found.text) &&
    !/\b(?:next|this|last)\s+(?:month|year)\b/i.test(found.text) &&
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
