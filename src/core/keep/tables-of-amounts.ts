import type { WeekStart } from '../week/week';
import { byWeekAndName } from './by-week';
import type { DayRecord } from './day-record';
import type { LogTable } from './log-table';
import { rounded } from './log-table';

/** Hours or money, week by week, by name and in all. */
export function tableOfAmounts(
  records: readonly DayRecord[],
  told: Pick<LogTable, 'name' | 'title' | 'nothing'> & { readonly isMoney?: boolean },
  weekStart?: WeekStart,
): LogTable {
  const { weeks, names, of } = byWeekAndName(records, weekStart);
  const { isMoney, ...table } = told;
  const columns = [...names, 'in all'];
  return {
    ...table,
    columns: ['week', ...columns],
    ...(isMoney ? { money: columns } : {}),
    rows: weeks.map((week) => {
      const amounts = names.map((name) => of(week, name));
      return [week, ...[...amounts, amounts.reduce((a, b) => a + b, 0)].map((n) => rounded(n, 2))];
    }),
  };
}
