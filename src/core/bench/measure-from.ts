import { dayColumn, pageOf } from '../book/columns';
import type { Book } from '../book/book';
import type { Placement } from '../spread/placement';
import type { Unit } from '../measure/fraction';
import { ruled } from '../measure/fraction';
import type { Rect } from '../measure/rect';
import { right } from '../measure/rect';

/** A place on a page measured from edges a ruler finds: the page's top, and its outer edge. */
export function measuredFrom(book: Book, p: Rect & { readonly page: number }, unit: Unit = book.unit): string {
  const page = pageOf(book, p.page);
  const outerLeft = page.bindingSide === 'right';
  const across = outerLeft ? p.x : page.width - right(p);
  return `${ruled(across, unit)} from the ${outerLeft ? 'left' : 'right'} edge, ${ruled(p.y, unit)} from the top`;
}

/** `left page` or `right page`, or its number in books with more. */
export const pageName = (book: Book, page: number): string =>
  book.pages.length === 2 ? (page === 0 ? 'left page' : 'right page') : `page ${page + 1}`;

/** `the left page`, `page 3` */
export const thePage = (book: Book, page: number): string =>
  book.pages.length === 2 ? `the ${pageName(book, page)}` : pageName(book, page);

/** True when a piece fills its column from edge to edge, so that it needs no measuring across. */
export function fillsColumn(book: Book, p: Placement): boolean {
  const column = p.day === null ? undefined : dayColumn(book, p.day);
  return column !== undefined && Math.abs(column.x - p.x) < 0.3 && Math.abs(column.w - p.w) < 0.6;
}
