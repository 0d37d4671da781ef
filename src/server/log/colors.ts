import type { ColoredPiece, LaidWeek } from '../../core/keep/tables-of-colors';
import { tablesOfColors } from '../../core/keep/tables-of-colors';
import { findBook } from '../../db/books';
import type { Database } from '../../db/database';
import type { LogRoom } from './room';
import { weeksOf } from './room';

/** Colors and white space of a year: every sticker of it is looked at. */
export const colors: LogRoom = {
  name: 'colors',
  title: 'Colors',
  searched: false,
  of: 'a year',
  load: async (db, asked) => {
    const year = asked.year ?? asked.today.slice(0, 4);
    return tablesOfColors(await laidWeeks(db, ...weeksOf({ year })));
  },
};

async function laidWeeks(db: Database, first: string, last: string): Promise<LaidWeek[]> {
  const rows = await db
    .selectFrom('spread as s')
    .innerJoin('placement as p', 'p.spread_id', 's.id')
    .innerJoin('piece as i', (j) => j.onRef('i.kit_id', '=', 'p.kit_id').onRef('i.code', '=', 'p.code'))
    .select(['s.week', 's.book_id', 'p.page', 'p.x', 'p.y', 'p.w', 'p.h', 'p.turn', 'p.layer', 'i.color'])
    .where('s.week', '>=', first)
    .where('s.week', '<=', last)
    .orderBy('s.week')
    .execute();
  const weeks = new Map<string, { bookId: string; pieces: ColoredPiece[] }>();
  for (const { week, book_id, ...piece } of rows) {
    const known = weeks.get(week) ?? { bookId: book_id, pieces: [] };
    weeks.set(week, known);
    known.pieces.push(piece);
  }
  const books = new Map<string, Awaited<ReturnType<typeof findBook>>>();
  for (const { bookId } of weeks.values()) if (!books.has(bookId)) books.set(bookId, await findBook(db, bookId));
  return [...weeks].flatMap(([week, { bookId, pieces }]) => {
    const book = books.get(bookId);
    return book ? [{ week, book, pieces }] : [];
  });
}
