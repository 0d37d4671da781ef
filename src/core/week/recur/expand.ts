import { dayTest } from './days';
import type { Rule } from './rule';
import type { Wall } from './wall';
import { DAY_MS, dayNumber, wallOf, weekday } from './wall';
import { Work } from './work';

/** No rule happens more often than this in one span. */
const MOST_FOUND = 2_000;

const UNITS = { HOURLY: 3_600_000, MINUTELY: 60_000, SECONDLY: 1000 } as const;

/**
 * When a rule happens in [from, to), by RFC 5545, section 3.3.10, on the clock of its event.
 * Only periods that may reach into the span are looked at, unless the rule must be counted from its start;
 * so an endless or impossible rule ends (see docs/decisions/0005).
 * @param work is told every step; where its bound is reached, what was found so far is given
 * @param mostADay of a day that has more the first are given
 */
export function expandRule(
  rule: Rule,
  start: Wall,
  from: Wall,
  to: Wall,
  work: Work = new Work(),
  mostADay = Infinity,
): Wall[] {
  const last = Math.min(to - 1, rule.until ?? Infinity);
  const found: Wall[] = [];
  const perDay = new Map<number, number>();
  const isFull = (day: number): boolean => (perDay.get(day) ?? 0) >= mostADay;
  let counted = 0;
  work.begin();
  const how: Span = { rule, start, from, last, work, isFull, mostADay };
  const sets = rule.freq in UNITS ? clockSets(how) : daySets(how);
  for (const set of sets) {
    for (const wall of picked(set, rule.bySetPos)) {
      if (wall < start) continue;
      if (wall > last || (rule.count !== null && ++counted > rule.count) || found.length >= MOST_FOUND) return found;
      const day = dayNumber(wall);
      if (wall < from || isFull(day)) continue;
      perDay.set(day, (perDay.get(day) ?? 0) + 1);
      found.push(wall);
    }
  }
  return found;
}

/** What is looked for, and what is known on the way. */
interface Span {
  readonly rule: Rule;
  readonly start: Wall;
  readonly from: Wall;
  readonly last: Wall;
  readonly work: Work;
  /** true for a day of which enough is known */
  readonly isFull: (day: number) => boolean;
  readonly mostADay: number;
}

/** The chosen ones of a period's set: `[1, -1]` are its first and its last. */
function picked(set: readonly Wall[], positions: readonly number[] | null): readonly Wall[] {
  if (!positions || set.length === 0) return set;
  const chosen = new Set(positions.map((p) => set[p > 0 ? p - 1 : set.length + p]).filter((w) => w !== undefined));
  return [...chosen].sort((a, b) => a - b);
}

/** What happens in each year, month, week or day, period by period. */
function* daySets({ rule, start, from, last, work, mostADay }: Span): Generator<readonly Wall[]> {
  const passes = dayTest(rule, start);
  const all = timesOfDay(rule, start);
  // all of them count only where they are counted
  const times = rule.count === null && !rule.bySetPos ? all.slice(0, mostADay) : all;
  for (let period = rule.count === null ? firstPeriod(rule, start, from) : 0; ; period++) {
    const [begin, end] = bounds(rule, start, period);
    if (!(begin <= last)) return;
    const set: Wall[] = [];
    for (let day = begin; day < end; day += DAY_MS) {
      if (!work.spend(1)) return;
      if (!passes(day)) continue;
      if (!work.spend(times.length)) return;
      for (const time of times) set.push(day + time);
    }
    if (set.length) yield set;
  }
}

/** First and next day of the period that is `count` steps of the interval after the one of the start. */
function bounds(rule: Rule, start: Wall, count: number): [Wall, Wall] {
  const date = new Date(start);
  const by = count * rule.interval;
  switch (rule.freq) {
    case 'YEARLY':
      return yearBounds(rule, date.getUTCFullYear() + by, date.getUTCMonth() + 1);
    case 'MONTHLY':
      return [
        Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + by, 1),
        Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + by + 1, 1),
      ];
    case 'WEEKLY': {
      const first = (dayNumber(start) - ((weekday(start) - rule.weekStart + 7) % 7) + 7 * by) * DAY_MS;
      return [first, first + 7 * DAY_MS];
    }
    default: {
      const day = (dayNumber(start) + by) * DAY_MS;
      return [day, day + DAY_MS];
    }
  }
}

/** The whole year, or the one month that a plain yearly rule can lie in: birthdays are many. */
function yearBounds(rule: Rule, year: number, monthOfStart: number): [Wall, Wall] {
  const month =
    rule.byMonth?.length === 1
      ? rule.byMonth[0]
      : !rule.byMonth && !rule.byDay && !rule.byMonthDay && !rule.byYearDay && !rule.byWeekNo
        ? monthOfStart
        : null;
  return month ? [wallOf(year, month, 1), Date.UTC(year, month, 1)] : [wallOf(year, 1, 1), wallOf(year + 1, 1, 1)];
}

/** The last period that cannot lie wholly after `from`; one more is given, for what reaches over its edge. */
function firstPeriod(rule: Rule, start: Wall, from: Wall): number {
  const [a, b] = [new Date(start), new Date(from)];
  const years = b.getUTCFullYear() - a.getUTCFullYear();
  const away = {
    YEARLY: years,
    MONTHLY: years * 12 + b.getUTCMonth() - a.getUTCMonth(),
    WEEKLY: (dayNumber(from) - dayNumber(start)) / 7,
    DAILY: dayNumber(from) - dayNumber(start),
  }[rule.freq as 'DAILY'];
  return Math.max(0, Math.floor(away / rule.interval) - 1);
}

function timesOfDay(rule: Rule, start: Wall): number[] {
  const date = new Date(start);
  const hours = rule.byHour ?? [date.getUTCHours()];
  const minutes = rule.byMinute ?? [date.getUTCMinutes()];
  const seconds = rule.bySecond ?? [date.getUTCSeconds()];
  return hours
    .flatMap((h) => minutes.flatMap((m) => seconds.map((s) => ((h * 60 + m) * 60 + Math.min(s, 59)) * 1000)))
    .sort((a, b) => a - b);
}

/** What happens in each hour, minute or second; a day or an hour that is out is passed over in one step. */
function* clockSets({ rule, start, from, last, work, isFull }: Span): Generator<readonly Wall[]> {
  const unit = UNITS[rule.freq as keyof typeof UNITS];
  const stride = unit * rule.interval;
  const passes = dayTest(rule, start);
  const origin = Math.floor(start / unit) * unit;
  const notBefore = (wall: Wall): Wall => origin + Math.max(0, Math.ceil((wall - origin) / stride)) * stride;
  let at = rule.count === null ? notBefore(from - stride) : origin;
  let tested = NaN;
  let isIn = false;
  while (at <= last && work.spend(1)) {
    const day = dayNumber(at);
    if (day !== tested) [tested, isIn] = [day, passes(day * DAY_MS)];
    const date = new Date(at);
    if (!isIn || (rule.count === null && !rule.bySetPos && isFull(day))) at = notBefore((day + 1) * DAY_MS);
    else if (rule.byHour && !rule.byHour.includes(date.getUTCHours()))
      at = notBefore(Math.floor(at / UNITS.HOURLY + 1) * UNITS.HOURLY);
    else {
      if (
        (unit >= UNITS.HOURLY || !rule.byMinute || rule.byMinute.includes(date.getUTCMinutes())) &&
        (unit > 1000 || !rule.bySecond || rule.bySecond.includes(date.getUTCSeconds()))
      ) {
        const inside = insideOf(rule, start, at);
        if (!work.spend(inside.length)) return;
        yield inside;
      }
      at += stride;
    }
  }
}

/** The moments inside one hour, minute or second of the clock. */
function insideOf(rule: Rule, start: Wall, at: Wall): Wall[] {
  const date = new Date(start);
  const minutes = rule.freq === 'HOURLY' ? (rule.byMinute ?? [date.getUTCMinutes()]) : [0];
  const seconds = rule.freq === 'SECONDLY' ? [0] : (rule.bySecond ?? [date.getUTCSeconds()]);
  return minutes.flatMap((m) => seconds.map((s) => at + (m * 60 + Math.min(s, 59)) * 1000)).sort((a, b) => a - b);
}
