import type { IsoDay } from '../week';
import { CODES, DAY, dayIndex, next, nextMonthDay, nthOf, weekdayOf } from './calendar-days';
import { ORDER, nthNamed, readDay } from './days';
import type { TypingHabits } from './habits';
import type { Line } from './line';
import { anywhere, anywhereAll } from './line';

/** How something comes again (RFC 5545, RRULE), and on which day it comes first. */
export interface Repeat {
  readonly rule: string;
  readonly day: IsoDay;
  /** the days that are named come once each; it may be meant for every week */
  readonly once?: true;
}

const EACH = '(?:every|each)';
const AND = '(?:\\s*,\\s*(?:and\\s+)?|\\s+and\\s+|\\s*&\\s*|\\s*\\+\\s*|\\s*/\\s*)';
/** Two days or more, with a blank between them at the least. */
const LIST = `${DAY}s?(?:(?:${AND}|\\s+)${DAY}s?)+`;
/** `m/w/f`, `tu/th`: letters that are days only beside each other. */
const SHORT = '(?:mo|m|tu|t|we|w|th|fr|f|sa|su)';
const SHORT_DAYS = ['m', 't', 'w', 'th', 'f', 'sa', 'su'];
const UNITS = { day: 'DAILY', week: 'WEEKLY', month: 'MONTHLY', year: 'YEARLY' } as const;
const WORKDAYS = [0, 1, 2, 3, 4];

/** Every way in which a line says that something comes again; null where it does not. */
export function readRepeat(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  return (
    ofEachMonth(line, from, habits) ??
    byUnits(line, from, habits) ??
    onDays(line, from) ??
    byAdverb(line, from, habits) ??
    severalDays(line, from)
  );
}

/** `the 3rd of each month`, `first monday of every month`, `every last working day`. */
function ofEachMonth(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const end = `\\s+(?:of\\s+(?:the|${EACH})|${EACH})\\s+month`;
  const numbered = line.take(
    anywhere(`(?:on\\s+)?(?:the\\s+)?(?:(\\d{1,2})(?:st|nd|rd|th)?|(last)\\s+day)${end}`),
    'repeat',
  );
  if (numbered) return monthly(from, numbered[2] ? -1 : Number(numbered[1]));
  const which = `${ORDER}\\s+(?:(work(?:ing)?\\s?day|weekday)|${DAY})`;
  const nth = line.take(anywhere(`(?:on\\s+)?(?:the\\s+)?${which}${end}|${EACH}\\s+${which}`), 'repeat');
  if (!nth) {
    const day = line.take(anywhere(`${EACH}\\s+month\\s+on\\s+the\\s+(\\d{1,2})(?:st|nd|rd|th)?`), 'repeat');
    return day ? monthly(from, Number(day[1])) : null;
  }
  const [order, working, name] = nth[1] ? nth.slice(1, 4) : nth.slice(4, 7);
  const n = nthNamed(order as string);
  const weekday = working ? null : dayIndex(name as string);
  // `every second tuesday` is every other one; the second of a month is said with its month
  if (!nth[1] && n === 2 && weekday !== null)
    return ruled('WEEKLY', 2, startOf(line, from, habits, weekday), [weekday]);
  const day = nthOf(from, n, weekday);
  if (!day) return null;
  return {
    day,
    rule:
      weekday === null
        ? `FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=${n}`
        : `FREQ=MONTHLY;BYDAY=${n}${CODES[weekday] as string}`,
  };
}

/** The first such weekday from the day on that a line says it starts, `from 9 feb`. */
function startOf(line: Line, from: IsoDay, habits: TypingHabits, weekday: number): IsoDay {
  const says = anywhere('from|starting|since').test(line.rest);
  return next((says ? readDay(line, from, habits)?.day : null) ?? from, weekday);
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
      `${EACH}\\s+(?:(other|second|2nd|3rd|\\d{1,2}|two|three|four|six)\\s+)?(day|week|month|year)s?(?:\\s+on\\s+(${DAY}s?(?:${AND}${DAY}s?)*))?`,
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
function onDays(line: Line, from: IsoDay): Repeat | null {
  const every = line.take(
    anywhere(
      `${EACH}\\s+(?:(other|second|\\d)\\s+)?((?:${DAY})s?(?:${AND}(?:${DAY})s?)*|week\\s?days?|work(?:ing)?\\s?days?|weekends?)`,
    ),
    'repeat',
  );
  if (every) return weekly(from, every[2] as string, countOf(every[1]));
  const alternate = line.take(anywhere(`alternate\\s+(${DAY}s?)`), 'repeat');
  if (alternate) return weekly(from, alternate[1] as string, 2);
  const habit =
    line.take(anywhere('(?:on\\s+)?(week\\s?days|work(?:ing)?\\s?days|weekends)'), 'repeat') ??
    // a plural says every week; `tues` and `thurs` are none
    line.take(
      anywhere(
        `(?:on\\s+)?((?:${DAY}s?${AND})*(?:mondays|tuesdays|wednesdays|thursdays|fridays|saturdays|sundays|mons|fris|sats|suns)(?:${AND}${DAY}s?)*)`,
      ),
      'repeat',
    );
  return habit ? weekly(from, habit[1] as string, 1) : null;
}

/** `daily`, `weekly on fri`, `fortnightly`, and `every` before a morning that was read already. */
function byAdverb(line: Line, from: IsoDay, habits: TypingHabits): Repeat | null {
  const word = line.take(
    anywhere('daily|weekly|bi-?weekly|fortnightly|monthly|yearly|annually|everyday|(?:every|each)(?=\\s{2,}|\\s*$)'),
    'repeat',
  );
  if (!word) return null;
  const said = word[0].trim().toLowerCase();
  const first = readDay(line, from, habits)?.day ?? from;
  if (/^(daily|every|each)/.test(said)) return ruled('DAILY', 1, first, []);
  if (/^(bi|fort)/.test(said)) return ruled('WEEKLY', 2, first, []);
  return ruled(said === 'weekly' ? 'WEEKLY' : said === 'monthly' ? 'MONTHLY' : 'YEARLY', 1, first, []);
}

/** `mon, wed and fri`, `tue & thu`: those days, once each, unless it is said that they come again. */
function severalDays(line: Line, from: IsoDay): Repeat | null {
  const match =
    line.take(anywhere(`(?:on\\s+)?${LIST}`), 'day') ?? line.take(anywhere(`(?:on\\s+)?${SHORT}(?:/${SHORT})+`), 'day');
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
    .split('/')
    .map((w) => SHORT_DAYS.findLastIndex((d) => w.trim().toLowerCase().startsWith(d)));
const firstOf = (from: IsoDay, named: readonly number[]): IsoDay => named.map((d) => next(from, d)).sort()[0] ?? from;
const countOf = (word: string | undefined): number =>
  word === undefined
    ? 1
    : ({ other: 2, second: 2, '2nd': 2, '3rd': 3, two: 2, three: 3, four: 4, six: 6 }[word.toLowerCase()] ??
      Number(word));
