import type { IsoDay } from '../week';
import {
  CODES,
  DAY,
  MONTH,
  dayIndex,
  endOfMonth,
  monthNumber,
  next,
  nextDate,
  nextMonthDay,
  nthOf,
  plus,
  weekdayOf,
} from './calendar-days';
import { DATE, ONE_DAY, ORDER, nthNamed } from './day-words';
import { readDay } from './days';
import type { TypingHabits } from './habits';
import { Line, anywhere, anywhereAll } from './line';

/** How something comes again (RFC 5545, RRULE), and on which day it comes first. */
export interface Repeat {
  readonly rule: string;
  readonly day: IsoDay;
  /** the days that are named come once each; it may be meant for every week */
  readonly once?: true;
  /** what else it may mean: `every second friday` */
  readonly or?: { readonly is: 'of each month' | 'by weeks'; readonly rule: string; readonly day: IsoDay };
}

const EACH = '(?:every|each)';
const AND = '(?:\\s*,\\s*(?:and\\s+)?|\\s+and\\s+|\\s*&\\s*|\\s*\\+\\s*|\\s*/\\s*)';
/** Two days or more, with a blank between them at the least. */
const LIST = `${DAY}s?(?:(?:${AND}|\\s+)${DAY}s?)+`;
/** `m/w/f`, `tu/th`: letters that are days only beside each other. */
const SHORT = '(?:mo|m|tu|t|we|w|th|fr|f|sa|su)';
/** `mwf`, `tuth`: run together; the usual ones alone, others are words. From memory. */
const TOGETHER = '(mtwthf|mtwtf|mtwth|mwf|mw|wf|tuth|tth|mth|tf)';
const PAIR = '(?:mo|tu|we|th|fr|sa|su)';
const SHORT_DAYS = ['m', 't', 'w', 'th', 'f', 'sa', 'su'];
const UNITS = { day: 'DAILY', week: 'WEEKLY', wk: 'WEEKLY', month: 'MONTHLY', year: 'YEARLY' } as const;
const WORKDAYS = [0, 1, 2, 3, 4];

/** Every way in which a line says that something comes again; null where it does not. */
export function readRepeat(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const until = readUntil(line, from, habits);
  const repeat =
    ofEachMonth(line, from, habits) ??
    byUnits(line, from, habits) ??
    onDays(line, from, habits) ??
    byAdverb(line, from, habits) ??
    severalDays(line, from);
  // without a series it is no end of one: `form to office until friday`
  if (!repeat) line.giveBack('until');
  if (!repeat || !until) return repeat;
  return { day: repeat.day, rule: `${repeat.rule.replace(/;COUNT=\d+/, '')};UNTIL=${until.replaceAll('-', '')}` };
}

/** `until 25 march`, `till june`: the last day of a series; of a month alone the last before it begins. */
function readUntil(line: Line, from: IsoDay, habits: TypingHabits): IsoDay | null {
  const word = '(?:until|till|til|thru|through|ending)\\s+(?:the\\s+)?(?:end\\s+of\\s+)?';
  const month = line.take(anywhere(`${word}${MONTH}(?!\\s*\\d)`), 'until');
  if (month) {
    const number = monthNumber(month[1] as string);
    const first = nextDate(from, number, 1);
    return /end\s+of/i.test(month[0]) ? endOfMonth(from, number) : first && plus(first, -1);
  }
  const date = line.take(anywhere(`${word}(${DATE})`), 'until')?.[1];
  return date ? (readDay(new Line(date), from, habits)?.day ?? null) : null;
}

/** `the 3rd of each month`, `first monday of every month`, `every last working day`. */
function ofEachMonth(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const end = `\\s+(?:(?:(?:of|in)\\s+(?:the|${EACH})|of|in|${EACH})\\s+month|monthly)`;
  const numbered = line.take(
    anywhere(`(?:on\\s+)?(?:the\\s+)?(?:(\\d{1,2})(?:st|nd|rd|th)?|(?:(last)|(first))(?:\\s+day)?)${end}`),
    'repeat',
  );
  if (numbered) return monthly(from, numbered[2] ? -1 : numbered[3] ? 1 : Number(numbered[1]));
  const which = `${ORDER}\\s+(?:(work(?:ing)?\\s?day|weekday)|${DAY})`;
  const nth = line.take(anywhere(`(?:on\\s+)?(?:the\\s+)?${which}${end}|${EACH}\\s+${which}(${end})?`), 'repeat');
  if (!nth) {
    const day = line.take(anywhere(`${EACH}\\s+month\\s+on\\s+the\\s+(\\d{1,2})(?:st|nd|rd|th)?`), 'repeat');
    return day ? monthly(from, Number(day[1])) : null;
  }
  const [order, working, name] = nth[1] ? nth.slice(1, 4) : nth.slice(4, 7);
  const n = nthNamed(order as string);
  const weekday = working ? null : dayIndex(name as string);
  // `every second tuesday` is every other one; the second of a month is said with its month
  const isOpen = !nth[1] && !nth[7] && n > 1 && weekday !== null;
  const byWeeks = isOpen ? ruled('WEEKLY', n, next(startsOn(line, from, habits), weekday), [weekday]) : null;
  const day = nthOf(from, n, weekday);
  if (!day) return null;
  const ofMonth = {
    day,
    rule:
      weekday === null
        ? `FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=${n}`
        : `FREQ=MONTHLY;BYDAY=${n}${CODES[weekday] as string}`,
  };
  if (!byWeeks) return ofMonth;
  return n === 2
    ? { ...byWeeks, or: { is: 'of each month', ...ofMonth } }
    : { ...ofMonth, or: { is: 'by weeks', ...byWeeks } };
}

/** The day on which a line says that it starts, `from 9 feb`. */
function startsOn(line: Line, from: IsoDay, habits: TypingHabits): IsoDay {
  const says = anywhere(`(?:from|starting|since)(?=\\s+(?:on\\s+)?${ONE_DAY})`).test(line.rest);
  return (says ? readDay(line, from, habits)?.day : null) ?? from;
}

const monthly = (from: IsoDay, n: number): Repeat => ({
  rule: `FREQ=MONTHLY;BYMONTHDAY=${n}`,
  day: n < 0 ? (nthOfMonth(from) ?? from) : nextMonthDay(from, n),
});
/** The last day of the month. */
const nthOfMonth = (from: IsoDay): IsoDay | null =>
  [31, 30, 29, 28].map((n) => nextMonthDay(from, n)).find((d) => d.slice(0, 7) === from.slice(0, 7)) ?? null;

/** `every 2 weeks from 10 feb`, `every other day`, `every month`, `every 1st`. */
function byUnits(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const match = line.take(
    anywhere(
      `${EACH}\\s+(?:(other|second|2nd|3rd|\\d{1,2}|two|three|four|six)\\s+)?(day|week|wk|month|year)s?(?:\\s+on\\s+(${DAY}s?(?:${AND}${DAY}s?)*))?`,
    ),
    'repeat',
  );
  if (match) {
    const count = countOf(match[1]);
    const unit = UNITS[(match[2] as string).toLowerCase() as keyof typeof UNITS];
    const named = namesIn(match[3]);
    const found = named.length ? null : readDay(line, from, habits);
    const first = found?.day ?? (named.length ? firstOf(from, named) : from);
    return ruled(unit, count, first, named);
  }
  const dayOfMonth = line.take(anywhere(`${EACH}\\s+(\\d{1,2})(?:st|nd|rd|th)`), 'repeat');
  return dayOfMonth ? monthly(from, Number(dayOfMonth[1])) : null;
}

/** `every mon, wed and fri`, `every other sat`, `weekdays`, `wednesdays`. */
function onDays(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const every = line.take(
    anywhere(
      `${EACH}\\s+(?:(other|second|\\d)\\s+)?((?:${DAY})s?(?:(?:${AND}|\\s+)(?:${DAY})s?)*|week\\s?days?|work(?:ing)?\\s?days?|weekends?)`,
    ),
    'repeat',
  );
  if (every) return weekly(startsOn(line, from, habits), every[2] as string, countOf(every[1]));
  const alternate = line.take(anywhere(`alternate\\s+(${DAY}s?)`), 'repeat');
  if (alternate) return weekly(startsOn(line, from, habits), alternate[1] as string, 2);
  const habit =
    line.take(anywhere('(?:on\\s+)?(week\\s?days|work(?:ing)?\\s?days|weekends)'), 'repeat') ??
    // a plural says every week; `tues` and `thurs` are none
    line.take(
      anywhere(
        `(?:on\\s+)?((?:${DAY}s?${AND})*(?:mondays|tuesdays|wednesdays|thursdays|fridays|saturdays|sundays|mons|fris|sats|suns)(?:${AND}${DAY}s?)*)`,
      ),
      'repeat',
    );
  return habit ? weekly(startsOn(line, from, habits), habit[1] as string, 1) : null;
}

/** `daily`, `weekly on fri`, `fortnightly`, and `every` before a morning that was read already. */
function byAdverb(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const word = line.take(
    anywhere(
      'daily|nightly|weekly|bi-?weekly|fortnightly|monthly|yearly|annually|everyday|(?:every|each)(?=\\s{2,}|\\s*$)',
    ),
    'repeat',
  );
  if (!word) return null;
  const said = word[0].trim().toLowerCase();
  const first = readDay(line, from, habits)?.day ?? from;
  if (/^(daily|nightly|every|each)/.test(said)) return ruled('DAILY', 1, first, []);
  if (/^(bi|fort)/.test(said)) return ruled('WEEKLY', 2, first, []);
  return ruled(said === 'weekly' ? 'WEEKLY' : said === 'monthly' ? 'MONTHLY' : 'YEARLY', 1, first, []);
}

/** `mon, wed and fri`, `tue & thu`: those days, once each, unless it is said that they come again. */
function severalDays(line: Line, from: IsoDay): Repeat | null {
  const match =
    line.take(anywhere(`(?:on\\s+)?${LIST}`), 'day') ??
    line.take(anywhere(`(?:on\\s+)?${SHORT}(?:/${SHORT})+`), 'day') ??
    line.take(anywhere(`(?:on\\s+)?(?:${TOGETHER}|${PAIR}(?:\\s+${PAIR})+)`), 'day');
  if (!match) return null;
  const long = namesIn(match[0]);
  const named = long.length ? long : shortIn(match[0]);
  const { rule, day } = ruled('WEEKLY', 1, firstOf(from, named), named);
  return { rule: `${rule};COUNT=${new Set(named).size}`, day, once: true };
}

function weekly(from: IsoDay, words: string, every: number): Repeat {
  const named = /weekend/i.test(words) ? [5, 6] : /week|work/i.test(words) ? WORKDAYS : namesIn(words);
  return ruled('WEEKLY', every, firstOf(from, named), named);
}

function ruled(
  unit: (typeof UNITS)[keyof typeof UNITS],
  every: number,
  first: IsoDay,
  named: readonly number[],
): Repeat {
  const interval = every > 1 ? `;INTERVAL=${every}` : '';
  const days = [...new Set(named.length ? named : [weekdayOf(first)])].sort().map((d) => CODES[d]);
  const on =
    unit === 'WEEKLY' ? `;BYDAY=${days.join(',')}` : unit === 'MONTHLY' ? `;BYMONTHDAY=${Number(first.slice(8))}` : '';
  return { rule: `FREQ=${unit}${interval}${on}`, day: first };
}

const namesIn = (words: string | undefined): number[] =>
  [...(words ?? '').matchAll(anywhereAll(`${DAY}s?`))].map((m) => dayIndex(m[1] as string));
const shortIn = (words: string): number[] =>
  words
    .replace(/^\s*on\s+/i, '')
    .split(/[/\s]+/)
    .flatMap((w) => (anywhere(TOGETHER).test(w) ? (w.match(/th|tu|[mtwf]/giu) ?? []) : [w]))
    .filter(Boolean)
    .map((w) => SHORT_DAYS.findLastIndex((d) => w.trim().toLowerCase().startsWith(d)));
const firstOf = (from: IsoDay, named: readonly number[]): IsoDay => named.map((d) => next(from, d)).sort()[0] ?? from;
const countOf = (word: string | undefined): number =>
  word === undefined
    ? 1
    : ({ other: 2, second: 2, '2nd': 2, '3rd': 3, two: 2, three: 3, four: 4, six: 6 }[word.toLowerCase()] ??
      Number(word));
