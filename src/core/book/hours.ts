import type { Book } from './book';
import { dayColumn } from './columns';

/** A book's hours down a day's column: where they begin and how many mm one takes. */
export interface Hours {
  /** mm down the page at midnight, were it printed */
  readonly midnight: number;
  /** mm to the minute */
  readonly perMinute: number;
}

/** Fewer numbered rows than this are no hours. */
const FEWEST = 4;

/** The hours of a day in a book with hour lines; null in any other. Rows whose labels are hours count, 0 to 23. */
export function hoursOf(book: Book, day: number): Hours | null {
  const rows = (dayColumn(book, day)?.rows ?? []).flatMap(({ y, label: printed }) =>
    printed !== undefined && /^\d{1,2}$/.test(printed) ? [{ y, hour: Number(printed) }] : [],
  );
  const [first, last] = [rows[0], rows.at(-1)];
  if (!first || !last || rows.length < FEWEST || last.hour <= first.hour) return null;
  const perMinute = (last.y - first.y) / ((last.hour - first.hour) * 60);
  return { midnight: first.y - first.hour * 60 * perMinute, perMinute };
}

/** mm down the page at which a minute of the day is printed. */
export const yOfMinute = (hours: Hours, minute: number): number => hours.midnight + minute * hours.perMinute;
