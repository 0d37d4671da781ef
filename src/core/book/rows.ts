import { contains } from '../measure/rect';
import type { Book } from './book';
import { dayColumn } from './columns';
import { hoursOf } from './hours';

/** A row of a day's column below its printed label: where a full box stands in a book with three boxes. mm */
export interface RowFrame {
  readonly y: number;
  readonly h: number;
}

/** Room for a row's header where the book prints none, mm: the usual header and a millimeter. From memory. */
const HEADER_ROOM = 7.4;
const ROWS = 3;

/**
 * The three rows of a day: the printed ones, or thirds of the column where none or only hours are printed. Empty
 * where the book has no such day.
 */
export function rowFrames(book: Book, day: number): readonly RowFrame[] {
  const column = dayColumn(book, day);
  if (!column) return [];
  if (!column.rows?.length || hoursOf(book, day)) {
    const third = column.h / ROWS;
    return Array.from({ length: ROWS }, (_, i) => ({ y: column.y + i * third + HEADER_ROOM, h: third - HEADER_ROOM }));
  }
  return column.rows.map((row) => {
    const box = book.marks.find(
      (m) => m.kind === 'box' && m.page === column.page && contains({ ...column, y: row.y, h: row.h }, m),
    );
    return box ? { y: box.y, h: box.h } : { y: row.y, h: row.h };
  });
}
