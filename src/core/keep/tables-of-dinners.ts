import { DAYS } from '../week/typed/calendar-days';
import type { WeekStart } from '../week/week';
import { daysOfWeek, weekHolding } from '../week/week';
import type { DayRecord } from './day-record';
import { dinnersOf, notForLong } from './dinners';
import type { LogTable } from './log-table';
import { rounded } from './log-table';

const MOST_MISSED = 20;

/** What there was to eat: how long since each, what was not had for long, week by week. */
export function tablesOfDinners(
  records: readonly DayRecord[],
  today: string,
  weekStart: WeekStart = 'monday',
): LogTable[] {
  const dinners = dinnersOf(records, today);
  const byDay = new Map(records.map((r) => [r.day, r.text]));
  const weeks = [...new Set(records.map((r) => weekHolding(r.day, weekStart)))].sort().reverse();
  return [
    {
      name: 'not-for-long',
      title: 'Not had for long',
      columns: ['dinner', 'days since', 'usual gap, days', 'times'],
      rows: notForLong(dinners, MOST_MISSED).map((d) => [
        d.name,
        d.since,
        d.usual === null ? '' : rounded(d.usual),
        d.times,
      ]),
      nothing: 'Nothing was missed for long.',
    },
    {
      name: 'dinners',
      title: 'Every dinner',
      columns: ['dinner', 'times', 'last', 'days since', 'usual gap, days'],
      rows: dinners.map((d) => [d.name, d.times, d.last, d.since, d.usual === null ? '' : rounded(d.usual)]),
      nothing: 'No dinner is written down yet: the week’s screen takes one a day.',
    },
    {
      name: 'dinners-by-week',
      title: 'Week by week',
      columns: ['week', ...(weekStart === 'monday' ? DAYS : [...DAYS.slice(6), ...DAYS.slice(0, 6)])],
      rows: weeks.map((week) => [week, ...daysOfWeek(week, weekStart).map((day) => byDay.get(day) ?? '')]),
      nothing: 'No dinner is written down yet.',
    },
  ];
}
