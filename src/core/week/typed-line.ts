import { DateTime } from 'luxon';
import type { AgendaEntry } from './agenda-entry';
import type { HourClock } from './demand';
import { spokenTime } from './demand';
import type { Round } from './round';
import { spokenRound } from './round';
import { CODES, DAYS } from './typed/calendar-days';
import type { TypingHabits } from './typed/habits';
import { understand } from './typed/understand';
import type { IsoDay } from './week';

/**
 * What one typed line means; see `understand`.
 * @returns null when no words are left for a title
 * @example readTypedLine('vet thu 16:30 for 45 min', '2027-02-03')?.start // 990
 */
export const readTypedLine = (text: string, from: IsoDay, habits?: TypingHabits): AgendaEntry | null =>
  understand(text, from, habits).entry;

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
export function spokenEntry(e: AgendaEntry, clock?: HourClock): string {
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
      : `at ${spokenTime(e.start, clock)}${e.minutes ? ` for ${e.minutes} min` : ''}`,
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
    .map((c) => DAYS[CODES.findIndex((code) => code === c.slice(-2))])
    .filter(Boolean)
    .map((d) => (d as string).charAt(0).toUpperCase() + (d as string).slice(1));
  const monthDay = get('BYMONTHDAY');
  const nth = /^(-?\d)[A-Z]{2}$/.exec(get('BYDAY') ?? '')?.[1];
  const until = get('UNTIL');
  const once = get('FREQ') === 'WEEKLY' && get('BYDAY')?.split(',').length === Number(get('COUNT'));
  const working = get('BYDAY') === 'MO,TU,WE,TH,FR' && get('BYSETPOS');
  if (once && days) return `on ${days.join(', ')}, once each`;
  const on = working
    ? ` on the ${working === '-1' ? 'last' : ordinal(Number(working))} working day`
    : nth
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
