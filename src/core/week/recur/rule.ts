import { own } from '../../measure/own';
import ICAL from 'ical.js';
import type { Wall } from './wall';
import { DAY_MS, wallOf } from './wall';

export type Frequency = 'YEARLY' | 'MONTHLY' | 'WEEKLY' | 'DAILY' | 'HOURLY' | 'MINUTELY' | 'SECONDLY';

/** A recurrence rule (RFC 5545, section 3.3.10); a part that is not given is null. */
export interface Rule {
  readonly freq: Frequency;
  readonly interval: number;
  readonly count: number | null;
  /** the last moment at which it may happen, on the wall clock of its event */
  readonly until: Wall | null;
  /** 0 Monday to 6 Sunday */
  readonly weekStart: number;
  readonly byMonth: readonly number[] | null;
  readonly byWeekNo: readonly number[] | null;
  readonly byYearDay: readonly number[] | null;
  readonly byMonthDay: readonly number[] | null;
  /** `nth` 0: every one; 2: the second, -1: the last of its month or year */
  readonly byDay: readonly { readonly weekday: number; readonly nth: number }[] | null;
  readonly byHour: readonly number[] | null;
  readonly byMinute: readonly number[] | null;
  readonly bySecond: readonly number[] | null;
  readonly bySetPos: readonly number[] | null;
}

const CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

/** @param untilOnClock moves an UNTIL that is in UTC to the clock of the event */
export function ruleOf(recur: ICAL.Recur, untilOnClock: (until: ICAL.Time) => Wall): Rule {
  const parts = recur.parts as Readonly<Record<string, readonly (string | number)[] | undefined>>;
  const numbers = (name: string): number[] | null => own(parts, name)?.map(Number) ?? null;
  const until = recur.until;
  return {
    freq: recur.freq as Frequency,
    interval: Math.max(1, recur.interval || 1),
    count: recur.count ?? null,
    until: until
      ? until.isDate
        ? wallOf(until.year, until.month, until.day) + DAY_MS - 1
        : untilOnClock(until)
      : null,
    weekStart: (Number(recur.wkst || ICAL.Time.MONDAY) + 5) % 7,
    byMonth: numbers('BYMONTH'),
    byWeekNo: numbers('BYWEEKNO'),
    byYearDay: numbers('BYYEARDAY'),
    byMonthDay: numbers('BYMONTHDAY'),
    byDay:
      parts.BYDAY?.map((text) => ({
        weekday: CODES.indexOf(String(text).slice(-2)),
        nth: Number.parseInt(String(text), 10) || 0,
      })) ?? null,
    byHour: numbers('BYHOUR'),
    byMinute: numbers('BYMINUTE'),
    bySecond: numbers('BYSECOND'),
    bySetPos: numbers('BYSETPOS'),
  };
}
