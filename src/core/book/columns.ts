import type { Rect } from '../measure/rect';
import { bounds, right } from '../measure/rect';
import type { Book, Page, Region, RegionKind } from './book';

/** The day column of day 0-6, or undefined when the book has none. */
export const dayColumn = (book: Book, day: number): Region | undefined =>
  book.regions.find((r) => r.kind === 'day' && r.day === day);

/** The printed date header of a day. */
export const dateHeader = (book: Book, day: number): Region | undefined =>
  book.regions.find((r) => r.kind === 'date-header' && r.day === day);

export const regionsOf = (book: Book, kind: RegionKind): readonly Region[] =>
  book.regions.filter((r) => r.kind === kind);

/** A page's paper without the strip the binding takes. */
export function openPaper(book: Book, page: number): Rect {
  const { width, height, bindingSide } = pageOf(book, page);
  const taken = book.binding.width;
  return { x: bindingSide === 'left' ? taken : 0, y: 0, w: width - taken, h: height };
}

export function pageOf(book: Book, page: number): Page {
  const found = book.pages[page];
  if (!found) throw new RangeError(`the book has no page ${page}`);
  return found;
}

/** Runs of days whose columns stand side by side on one page, e.g. [[0,1,2],[3,4,5,6]]. */
export function runsOfDays(book: Book, days: readonly number[]): { page: number; days: number[]; span: Rect }[] {
  const runs: { page: number; days: number[]; span: Rect }[] = [];
  for (const day of days) {
    const column = dayColumn(book, day);
    if (!column) continue;
    const run = runs.at(-1);
    if (run && run.page === column.page && run.days.at(-1) === day - 1 && column.x > right(run.span)) {
      run.days.push(day);
      run.span = bounds([run.span, column]);
    } else {
      runs.push({ page: column.page, days: [day], span: column });
    }
  }
  return runs;
}

/** Day numbers (0-6 from the week's first day) of Saturday and Sunday. */
export const weekendDays = (book: Book): readonly [saturday: number, sunday: number] =>
  book.weekStart === 'monday' ? [5, 6] : [6, 0];
