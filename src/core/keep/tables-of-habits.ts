import { daysFrom } from '../week/typed/calendar-days';
import type { WeekStart } from '../week/week';
import { byWeekAndName } from './by-week';
import type { DayRecord } from './day-record';
import type { LogTable } from './log-table';
import { rounded } from './log-table';
import { streaksOf } from './streaks';

/** Habits: streaks, and how many days of each week one was kept. */
export function tablesOfHabits(records: readonly DayRecord[], today: string, weekStart?: WeekStart): LogTable[] {
  const { weeks, names, of } = byWeekAndName(
    records.map((r) => ({ ...r, amount: r.amount > 0 ? 1 : 0 })),
    weekStart,
  );
  const daysOf = (name: string) => records.filter((r) => r.name === name && r.amount > 0).map((r) => r.day);
  return [
    {
      name: 'habits-by-week',
      title: 'Days a week',
      columns: ['week', ...names],
      rows: weeks.map((week) => [week, ...names.map((name) => of(week, name))]),
      nothing: 'No habit is ticked yet: the week’s screen has a dot for each day.',
    },
    {
      name: 'streaks',
      title: 'Streaks',
      columns: ['habit', 'days in a row now', 'longest', 'days kept', '% of days'],
      rows: names.map((name) => {
        const days = daysOf(name);
        const { now, longest, kept } = streaksOf(days, today);
        const span = daysFrom([...days].sort()[0] ?? today, today) + 1;
        return [name, now, longest, kept, rounded((100 * kept) / Math.max(1, span), 0)];
      }),
      nothing: 'No habit is ticked yet.',
    },
  ];
}
