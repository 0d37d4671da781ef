import type { LogTable } from '../../core/keep/log-table';
import { KIND_NAMES, traits } from '../../core/kit/kinds';
import { money } from '../../core/manner/own-ways';
import { longDate } from '../../core/week/day-names';
import { daysOfWeek, isWeekName } from '../../core/week/week';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const KINDS: ReadonlyMap<string, string> = new Map(KIND_NAMES.map((k) => [k, traits(k).label.toLowerCase()]));

/**
 * A cell of a table of the log as people say it; its file (.csv) keeps weeks, days, kinds and amounts as they are.
 * @param currency where the cell's column is of money
 */
export function saidCell(cell: string | number, currency: string | null = null): string | number {
  if (typeof cell === 'number') return currency === null ? cell : money(currency, cell);
  const day = isWeekName(cell) ? (daysOfWeek(cell)[0] as string) : DAY.test(cell) ? cell : null;
  return day ? `${longDate(day)}, ${day.slice(0, 4)}` : (KINDS.get(cell) ?? cell);
}

/** The owner's currency where a column of the table is of money. */
export const currencyOf = (table: LogTable, column: string, currency: string): string | null =>
  table.money?.includes(column) ? currency : null;
