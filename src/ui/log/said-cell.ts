import { KIND_NAMES, traits } from '../../core/kit/kinds';
import { longDate } from '../../core/week/day-names';
import { daysOfWeek, isWeekName } from '../../core/week/week';

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const KINDS: ReadonlyMap<string, string> = new Map(KIND_NAMES.map((k) => [k, traits(k).label.toLowerCase()]));

/** A cell of a table of the log as people say it; its file (.csv) keeps weeks, days and kinds as they are. */
export function saidCell(cell: string | number): string | number {
  if (typeof cell === 'number') return cell;
  const day = isWeekName(cell) ? (daysOfWeek(cell)[0] as string) : DAY.test(cell) ? cell : null;
  return day ? `${longDate(day)}, ${day.slice(0, 4)}` : (KINDS.get(cell) ?? cell);
}
