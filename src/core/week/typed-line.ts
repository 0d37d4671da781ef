import { own } from '../measure/own';
import { parse as parseDates } from 'chrono-node/en';
import { DateTime } from 'luxon';
import { isCounted } from './age';
import type { AgendaEntry } from './agenda-entry';
import { blankEntry } from './agenda-entry';
import type { Part } from './demand';
import { spokenTime } from './demand';
import type { Round } from './round';
import { spokenRound } from './round';
import type { IsoDay } from './week';

const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
const MONTHS = [
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
];
const DAY = '(mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun|monday|tuesday|wednesday|thursday|friday|saturday|sunday)s?';
const PARTS: Readonly<Record<string, Part>> = {
  morning: 'morning',
  mornings: 'morning',
  afternoon: 'day',
  noon: 'day',
  evening: 'evening',
  evenings: 'evening',
  night: 'evening',
  tonight: 'evening',
};

/** Draws words out of a line: each reader takes what it understands and leaves the rest to be the title. */
class Line {
  constructor(public rest: string) {}

  take(pattern: RegExp): RegExpExecArray | null {
    const match = pattern.exec(this.rest);
    if (match) this.rest = `${this.rest.slice(0, match.index)} ${this.rest.slice(match.index + match[0].length)}`;
    return match;
  }
}

const anywhere = (words: string): RegExp => new RegExp(`(?<![\\p{L}\\p{N}])(?:${words})(?![\\p{L}\\p{N}])`, 'iu');

/**
 * What one typed line means: `vet thu 16:30 for 45 min`, `bins every mon evening`, `rent due 1st, 2 days before`,
 * `choir camp fri-sun`, `soap list to buy`, `time sheet every mon only with payday`, `concert apr 12, count 30 days`,
 * `Wren’s birthday feb 13 since 1991`. Days are the next ones from `from` on. Dates in other words (`in two weeks`,
 * `3/14`) are left to chrono-node.
 * @returns null when no words are left for a title
 */
export function readTypedLine(text: string, from: IsoDay): AgendaEntry | null {
  const line = new Line(` ${text.trim()} `);
  const list = line.take(/(?<=\s)(?:on |in )?list\s+(.+?)\s*$/iu)?.[1] ?? null;
  const onlyWith = line.take(/(?<=\s)only\s+(?:with|in weeks of)\s+(.+?)\s*$/iu)?.[1] ?? null;
  const countdown = readCountdown(line);
  const leadDays = readLead(line);
  const since = line.take(anywhere('(?:since|born)\\s+(\\d{4})'))?.[1];
  const minutes = readLength(line);
  const repeated = readRepeat(line, from);
  const range = repeated ? null : readRange(line, from);
  const due = line.take(anywhere('due(?: on)?')) !== null;
  const day = repeated?.day ?? range?.day ?? readDay(line, from) ?? from;
  const start = readTime(line);
  const part = start === null ? readPart(line) : null;
  const tentative = line.take(/\?|(?<![\p{L}])(?:maybe|perhaps)(?![\p{L}])/iu) !== null;
  const title = line.rest
    .replace(/\s+(?:on|at|the|by)\s*(?=[,\s]*$)/iu, ' ')
    .replace(/\s*,\s*(?=,|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,–-]+|[\s,–-]+$/g, '');
  if (!title) return null;
  return {
    ...blankEntry(day),
    title,
    list,
    leadDays,
    minutes: start === null ? null : minutes,
    start,
    part,
    tentative,
    task: due || list !== null,
    kind: due ? 'deadline' : null,
    days: range?.days ?? 1,
    onlyWith,
    countdown,
    since: since ? Number(since) : isCounted(title, []) ? 0 : null,
    dueShown: due && leadDays > 0,
    repeat: repeated?.rule ?? (isCounted(title, []) && !range ? yearlyRule(day) : null),
  };
}

/** Every year on that day; 29 February is kept on the last day of the month (see `keptEveryYear`). */
const yearlyRule = (day: IsoDay): string =>
  day.endsWith('-02-29') ? 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1' : 'FREQ=YEARLY';

/** `recycling / refuse every mon`: alternatives that take turns by the week; null when the line is no such thing. */
export function typedRound(e: AgendaEntry): Round | null {
  const texts = e.title.split(/\s+\/\s+/).filter(Boolean);
  if (texts.length < 2 || e.task || !/^FREQ=WEEKLY;BYDAY=[A-Z]{2}$/.test(e.repeat ?? '')) return null;
  return {
    name: texts.join(', '),
    first: e.day,
    every: 'week',
    turns: texts.map((text) => ({ text, start: e.start, minutes: e.minutes })),
    kind: e.kind,
    part: e.part,
  };
}

/** The entry in words, to be shown before it is saved. */
export function spokenEntry(e: AgendaEntry): string {
  const round = typedRound(e);
  if (round)
    return `taking turns, ${spokenRound(round)}, from ${DateTime.fromISO(e.day, { zone: 'utc' }).toFormat('cccc, LLL d', { locale: 'en-US' })}`;
  const day = DateTime.fromISO(e.day, { zone: 'utc' });
  const name = (d: DateTime): string => d.toFormat('cccc, LLL d', { locale: 'en-US' });
  const when = e.repeat
    ? `${spokenRule(e.repeat)}, from ${name(day)}`
    : e.days > 1
      ? `${name(day)} to ${name(day.plus({ days: e.days - 1 }))}`
      : name(day);
  const facts = [
    e.task && e.kind === 'deadline' ? `due ${when}` : when,
    e.start === null
      ? e.part
        ? `in the ${e.part === 'day' ? 'middle of the day' : e.part}`
        : ''
      : `at ${spokenTime(e.start)}${e.minutes ? ` for ${e.minutes} min` : ''}`,
    e.leadDays ? `planned ${e.leadDays} ${e.leadDays === 1 ? 'day' : 'days'} before` : '',
    e.list ? `on the list “${e.list}”` : '',
    e.onlyWith ? `only in weeks with “${e.onlyWith}”` : '',
    e.countdown.length
      ? `days left counted ${e.countdown.join(', ')} ${e.countdown.at(-1) === 1 ? 'day' : 'days'} before`
      : '',
    e.since ? `counted from ${e.since}` : '',
    e.tentative ? 'not sure yet' : '',
  ];
  return `“${e.title}”: ${facts.filter(Boolean).join(', ')}`;
}

/** A rule in words, as far as this project writes rules itself; others are named as they are. */
export function spokenRule(rule: string): string {
  const get = (key: string): string | undefined => new RegExp(`(?:^|;)${key}=([^;]+)`).exec(rule)?.[1];
  const every = Number(get('INTERVAL') ?? 1);
  const unit = { DAILY: 'day', WEEKLY: 'week', MONTHLY: 'month', YEARLY: 'year' }[get('FREQ') ?? ''];
  if (!unit) return rule;
  const days = get('BYDAY')
    ?.split(',')
    .map((c) => DAYS[CODES.indexOf(c.slice(-2))])
    .filter(Boolean)
    .map((d) => (d as string).charAt(0).toUpperCase() + (d as string).slice(1));
  const monthDay = get('BYMONTHDAY');
  const nth = /^(-?\d)[A-Z]{2}$/.exec(get('BYDAY') ?? '')?.[1];
  const until = get('UNTIL');
  const on = nth
    ? ` on the ${nth === '-1' ? 'last' : ordinal(Number(nth))} ${days?.[0]}`
    : days?.length
      ? ` on ${days.join(', ')}`
      : monthDay
        ? ` on the ${monthDay === '-1' ? 'last day' : ordinal(Number(monthDay))}`
        : '';
  return `every ${every === 1 ? unit : every === 2 ? `second ${unit}` : `${every} ${unit}s`}${on}${until ? ` until ${until.slice(0, 4)}-${until.slice(4, 6)}-${until.slice(6, 8)}` : ''}`;
}

const ordinal = (n: number): string =>
  `${n}${n % 10 === 1 && n !== 11 ? 'st' : n % 10 === 2 && n !== 12 ? 'nd' : n % 10 === 3 && n !== 13 ? 'rd' : 'th'}`;

function readLead(line: Line): number {
  const match = line.take(/,?\s*(\d{1,2}|a|one|two|three)\s+(day|week)s?\s+(?:before|ahead)/iu);
  if (!match) return 0;
  const count = { a: 1, one: 1, two: 2, three: 3 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return count * (match[2]?.toLowerCase() === 'week' ? 7 : 1);
}

function readCountdown(line: Line): number[] {
  const match = line.take(/,?\s*count(?:down)?\s+((?:\d{1,3}(?:\s*,\s*|\s+and\s+)?)+)\s*days?(?:\s+before)?/iu);
  return match ? [...(match[1] as string).matchAll(/\d+/g)].map((m) => Number(m[0])).filter((n) => n > 0) : [];
}

function readLength(line: Line): number | null {
  const match = line.take(/(?<=\s)for\s+(\d+(?:\.\d+)?|an|half an)\s*(min(?:ute)?s?|h(?:ou)?rs?|h)(?!\p{L})/iu);
  if (!match) return null;
  const amount = { an: 1, 'half an': 0.5 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return Math.max(1, Math.round(amount * (/^h/i.test(match[2] as string) ? 60 : 1)));
}

function readRepeat(line: Line, from: IsoDay): { rule: string; day: IsoDay } | null {
  const match = line.take(
    anywhere(
      `every\\s+(?:(other|second|\\d{1,2})\\s+)?(?:(days?)|(weeks?)(?:\\s+on\\s+((?:${DAY}[,\\s]*)+))?|(months?)|(years?)|(\\d{1,2})(?:st|nd|rd|th)|((?:${DAY}(?:\\s*,\\s*|\\s+and\\s+)?)+))`,
    ),
  );
  if (!match) return null;
  const count = match[1] ? (/^\d/.test(match[1]) ? Number(match[1]) : 2) : 1;
  const every = count > 1 ? `;INTERVAL=${count}` : '';
  const named = [...(match[4] ?? match[9] ?? '').matchAll(anywhereAll(DAY))].map((m) => dayIndex(m[1] as string));
  const first = named.length ? (named.map((d) => next(from, d)).sort()[0] as IsoDay) : (readDay(line, from) ?? from);
  if (match[2]) return { rule: `FREQ=DAILY${every}`, day: first };
  if (match[6]) return { rule: `FREQ=MONTHLY${every};BYMONTHDAY=${Number(first.slice(8))}`, day: first };
  if (match[7]) return { rule: `FREQ=YEARLY${every}`, day: first };
  if (match[8])
    return { rule: `FREQ=MONTHLY;BYMONTHDAY=${Number(match[8])}`, day: nextMonthDay(from, Number(match[8])) };
  const days = named.length ? named : [DateTime.fromISO(first, { zone: 'utc' }).weekday - 1];
  return {
    rule: `FREQ=WEEKLY${every};BYDAY=${[...new Set(days)]
      .sort()
      .map((d) => CODES[d])
      .join(',')}`,
    day: first,
  };
}

const anywhereAll = (words: string): RegExp => new RegExp(anywhere(words).source, 'giu');

function readRange(line: Line, from: IsoDay): { day: IsoDay; days: number } | null {
  const match = line.take(anywhere(`${DAY}\\s*(?:-|–|to|until|till)\\s*${DAY}`));
  if (!match) return null;
  const day = next(from, dayIndex(match[1] as string));
  const last = next(day, dayIndex(match[2] as string));
  return { day, days: DateTime.fromISO(last).diff(DateTime.fromISO(day), 'days').days + 1 };
}

function readDay(line: Line, from: IsoDay): IsoDay | null {
  const iso = line.take(anywhere('(\\d{4}-\\d{2}-\\d{2})'))?.[1];
  if (iso && DateTime.fromISO(iso).isValid) return iso;
  const near = line.take(anywhere('today|tonight|tomorrow'))?.[0]?.trim().toLowerCase();
  if (near) return near === 'tomorrow' ? plus(from, 1) : from;
  const month = line.take(
    anywhere(`(?:on\\s+)?(${MONTHS.map((m) => `${m}|${m.slice(0, 3)}`).join('|')})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?`),
  );
  if (month)
    return nextDate(
      from,
      MONTHS.findIndex((m) => m.startsWith((month[1] as string).toLowerCase().slice(0, 3))) + 1,
      Number(month[2]),
    );
  const ofMonth = line.take(anywhere('(?:on\\s+)?(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)'));
  if (ofMonth) return nextMonthDay(from, Number(ofMonth[1]));
  const weekday = line.take(anywhere(`(?:on\\s+)?(next\\s+)?${DAY}`));
  if (weekday) return plus(next(from, dayIndex(weekday[2] as string)), weekday[1] ? 7 : 0);
  return otherWords(line, from);
}

/** A date that is said in other words, where it names a day for certain. */
function otherWords(line: Line, from: IsoDay): IsoDay | null {
  const found = parseDates(
    line.rest,
    { instant: new Date(`${from}T12:00:00Z`), timezone: 0 },
    { forwardDate: true },
  )[0];
  const relative = found && /\b(?:day|week|fortnight|month|year)s?\b/i.test(found.text);
  if (!found || !(found.start.isCertain('day') || relative)) return null;
  const [year, month, day] = (['year', 'month', 'day'] as const).map((part) => found.start.get(part) as number) as [
    number,
    number,
    number,
  ];
  const time = found.start.isCertain('hour')
    ? ` at ${found.start.get('hour')}:${String(found.start.get('minute') ?? 0).padStart(2, '0')} `
    : ' ';
  line.rest = line.rest.replace(found.text, time);
  return DateTime.fromObject({ year, month, day }, { zone: 'utc' }).toISODate();
}

function readTime(line: Line): number | null {
  const match = line.take(
    anywhere(
      '(?:at\\s+)?(\\d{1,2})(?::|\\.)(\\d{2})\\s*(am|pm|a|p)?|(?:at\\s+)?(\\d{1,2})\\s*(am|pm|a|p)|at\\s+(\\d{1,2})',
    ),
  );
  if (!match) return null;
  const hour = Number(match[1] ?? match[4] ?? match[6]);
  const half = (match[3] ?? match[5])?.toLowerCase()[0];
  const minutes = ((half ? hour % 12 : hour) + (half === 'p' ? 12 : 0)) * 60 + Number(match[2] ?? 0);
  return minutes < 24 * 60 ? minutes : null;
}

function readPart(line: Line): Part | null {
  const word = line.take(anywhere(`(?:in the\\s+|at\\s+)?(${Object.keys(PARTS).join('|')})`))?.[1];
  return word ? (own(PARTS, word.toLowerCase()) ?? null) : null;
}

const dayIndex = (name: string): number => DAYS.findIndex((d) => d.startsWith(name.toLowerCase().slice(0, 3)));
const plus = (day: IsoDay, days: number): IsoDay =>
  DateTime.fromISO(day, { zone: 'utc' }).plus({ days }).toISODate() as IsoDay;

function next(from: IsoDay, weekday: number): IsoDay {
  const ahead = (weekday + 1 - DateTime.fromISO(from, { zone: 'utc' }).weekday + 7) % 7;
  return plus(from, ahead);
}

function nextMonthDay(from: IsoDay, dayOfMonth: number): IsoDay {
  for (
    let i = 0, month = DateTime.fromISO(from, { zone: 'utc' }).startOf('month');
    i < 14;
    i++, month = month.plus({ months: 1 })
  ) {
    const day = month.set({ day: dayOfMonth });
    if (day.isValid && day.month === month.month && day.toISODate() >= from) return day.toISODate();
  }
  return from;
}

function nextDate(from: IsoDay, month: number, day: number): IsoDay {
  const year = Number(from.slice(0, 4));
  for (let i = 0; i < 9; i++) {
    const date = DateTime.fromObject({ year: year + i, month, day }, { zone: 'utc' });
    if (date.isValid && date.toISODate() >= from) return date.toISODate();
  }
  return from;
}
