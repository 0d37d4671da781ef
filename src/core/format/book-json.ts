import type { Book, Region } from '../book/book';
import { TOLERANCE, tidy } from '../measure/length';
import { bottom, right } from '../measure/rect';
import type { Fault } from './fault';
import { BadInput } from './fault';
import { parseJson } from './parse-json';
import { conform } from './schema';

/**
 * Reads a book (docs/formats): its shape by the schema, then that all of it lies on its pages.
 * @throws BadInput
 * @example readBook(text, 'mine.book.json').regions
 */
export function readBook(text: string, file: string): Book {
  const value = parseJson(text, file);
  conform('book', value, file);
  const book = value as Book;
  const faults = [
    ...book.regions.flatMap((r, i) => regionFaults(book, r, i, file)),
    ...markFaults(book, file),
    ...dayFaults(book, file),
  ];
  if (faults.length) throw new BadInput(faults);
  return book;
}

/** The book as a file: two spaces, a line break at the end, the same bytes each time. */
export const writeBook = (book: Book): string => `${JSON.stringify(book, null, 2)}\n`;

function regionFaults(book: Book, r: Region, i: number, file: string): Fault[] {
  const where = `regions[${i}] "${r.id}"`;
  const page = book.pages[r.page];
  if (!page)
    return [
      { file, where: `${where}.page`, found: String(r.page), expected: `a page from 0 to ${book.pages.length - 1}` },
    ];
  const faults: Fault[] = [];
  if (r.x < -TOLERANCE || right(r) > page.width + TOLERANCE) {
    faults.push({
      file,
      where: `${where}.x, .w`,
      found: `${r.x} to ${right(r)} mm`,
      expected: `a place on its page, 0 to ${page.width} mm across`,
    });
  }
  if (r.y < -TOLERANCE || bottom(r) > page.height + TOLERANCE) {
    faults.push({
      file,
      where: `${where}.y, .h`,
      found: `${r.y} to ${bottom(r)} mm`,
      expected: `a place on its page, 0 to ${page.height} mm down`,
    });
  }
  for (const [n, row] of (r.rows ?? []).entries()) {
    if (row.y >= r.y - TOLERANCE && row.y + row.h <= bottom(r) + TOLERANCE) continue;
    faults.push({
      file,
      where: `${where}.rows[${n}]`,
      found: `${row.y} to ${tidy(row.y + row.h)} mm`,
      expected: `a row inside its column, ${r.y} to ${tidy(bottom(r))} mm down the page`,
    });
  }
  if ((r.kind === 'day' || r.kind === 'date-header') && r.day === undefined) {
    faults.push({ file, where: `${where}.day`, found: 'nothing', expected: 'the day it is for, 0 to 6' });
  }
  return faults;
}

function markFaults(book: Book, file: string): Fault[] {
  return book.marks.flatMap((m, i) => {
    const page = book.pages[m.page];
    if (
      page &&
      m.x >= -TOLERANCE &&
      m.y >= -TOLERANCE &&
      right(m) <= page.width + TOLERANCE &&
      bottom(m) <= page.height + TOLERANCE
    )
      return [];
    return [
      {
        file,
        where: `marks[${i}]`,
        found: `${m.x}, ${m.y}, ${m.w} × ${m.h} mm on page ${m.page}`,
        expected: 'a place on one of the pages',
      },
    ];
  });
}

function dayFaults(book: Book, file: string): Fault[] {
  const days = book.regions.filter((r) => r.kind === 'day').map((r) => r.day);
  return [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
    const count = days.filter((d) => d === day).length;
    if (count === 1) return [];
    return [
      {
        file,
        where: 'regions',
        found: `${count} columns for day ${day}`,
        expected: 'one region of kind "day" for each day 0 to 6',
      },
    ];
  });
}
