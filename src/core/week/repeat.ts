import { DateTime } from 'luxon';
import type { IsoDay } from './week';

const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

export const REPEAT_KINDS = ['once', 'days', 'weeks', 'month day', 'month weekday', 'year', 'other'] as const;

/** How an item comes round, as a person chooses it. */
export interface Repeat {
  readonly kind: (typeof REPEAT_KINDS)[number];
  /** every so many days, weeks, months or years */
  readonly every: number;
  /** 0 Monday to 6 Sunday; weeks only */
  readonly weekdays: readonly number[];
  /** the last day it may come; null when it goes on */
  readonly until: IsoDay | null;
  /** the rule itself, where it is another kind */
  readonly rule: string | null;
}

const NONE: Repeat = { kind: 'once', every: 1, weekdays: [], until: null, rule: null };

/** Reads a rule back as a choice; what a form cannot say is `other` and stays as it is. */
export function repeatOf(rule: string | null): Repeat {
  if (!rule) return NONE;
  const parts = new Map(rule.split(';').map((p) => p.split('=') as [string, string]));
  const until = parts.get('UNTIL');
  const base: Repeat = {
    ...NONE,
    every: Number(parts.get('INTERVAL') ?? 1),
    until: until ? `${until.slice(0, 4)}-${until.slice(4, 6)}-${until.slice(6, 8)}` : null,
    rule,
  };
  const others = [...parts.keys()].filter((k) => !['FREQ', 'INTERVAL', 'UNTIL', 'WKST'].includes(k)).join();
  const days = parts.get('BYDAY')?.split(',') ?? [];
  switch (`${parts.get('FREQ')}|${others}`) {
    case 'DAILY|':
      return { ...base, kind: 'days' };
    case 'WEEKLY|':
      return { ...base, kind: 'weeks' };
    case 'WEEKLY|BYDAY':
      return { ...base, kind: 'weeks', weekdays: days.map((d) => CODES.indexOf(d)).filter((d) => d >= 0) };
    case 'MONTHLY|':
    case 'MONTHLY|BYMONTHDAY':
      return { ...base, kind: 'month day' };
    case 'MONTHLY|BYDAY':
      return days.length === 1 && /^-?\d[A-Z]{2}$/.test(days[0] as string)
        ? { ...base, kind: 'month weekday' }
        : { ...base, kind: 'other' };
    case 'YEARLY|':
      return { ...base, kind: 'year' };
    default:
      return { ...base, kind: 'other' };
  }
}

/**
 * The rule (RFC 5545) of a choice for an item whose first day is given; the day decides the day of the month and its
 * weekday's place.
 */
export function ruleOfRepeat(r: Repeat, day: IsoDay): string | null {
  if (r.kind === 'once') return null;
  if (r.kind === 'other') return r.rule;
  const date = DateTime.fromISO(day, { zone: 'utc' });
  const every = r.every > 1 ? `;INTERVAL=${r.every}` : '';
  const until = r.until ? `;UNTIL=${r.until.replaceAll('-', '')}` : '';
  const last = date.plus({ days: 7 }).month !== date.month;
  const middle = {
    days: `FREQ=DAILY${every}`,
    weeks: `FREQ=WEEKLY${every}${
      r.weekdays.length
        ? `;BYDAY=${[...r.weekdays]
            .sort()
            .map((d) => CODES[d])
            .join(',')}`
        : ''
    }`,
    'month day': `FREQ=MONTHLY${every};BYMONTHDAY=${date.day}`,
    'month weekday': `FREQ=MONTHLY${every};BYDAY=${last ? -1 : Math.ceil(date.day / 7)}${CODES[date.weekday - 1]}`,
    year: day.endsWith('-02-29') ? `FREQ=YEARLY${every};BYMONTH=2;BYMONTHDAY=-1` : `FREQ=YEARLY${every}`,
  }[r.kind];
  return middle + until;
}
