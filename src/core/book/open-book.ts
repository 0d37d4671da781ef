import type { Rect } from '../measure/rect';
import { bounds } from '../measure/rect';
import type { Book } from './book';
import { dateHeader, dayColumn } from './columns';

/** mm round a column, so that what hangs over its edge is seen. */
const ROUND = 1.5;

/** All pages of a book beside each other, as they are drawn, mm. */
export const openBook = ({ pages }: Pick<Book, 'pages'>): { readonly w: number; readonly h: number } => ({
  w: pages.reduce((sum, p) => sum + p.width, 0),
  h: Math.max(...pages.map((p) => p.height)),
});

/** A day's column with its header, mm of the open book; null where the book has no such day. */
export function columnInBook(book: Book, day: number): Rect | null {
  const column = dayColumn(book, day);
  if (!column) return null;
  const header = dateHeader(book, day);
  const { x, y, w, h } = bounds(header && header.page === column.page ? [header, column] : [column]);
  const before = book.pages.slice(0, column.page).reduce((sum, p) => sum + p.width, 0);
  return { x: before + x - ROUND, y: y - ROUND, w: w + 2 * ROUND, h: h + 2 * ROUND };
}
