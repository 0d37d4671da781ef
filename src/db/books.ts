import type { Book } from '../core/book/book';
import type { Database } from './database';

export async function findBook(db: Database, id: string): Promise<Book | null> {
  const row = await db.selectFrom('book').select('json').where('id', '=', id).executeTakeFirst();
  return row ? (JSON.parse(row.json) as Book) : null;
}

export const listBooks = (db: Database): Promise<{ id: string; name: string }[]> =>
  db.selectFrom('book').select(['id', 'name']).orderBy('name').execute();

/** The book that a week not begun yet would most likely be laid out in: the newest spread's, else the first there is. */
export async function usualBook(db: Database): Promise<string | null> {
  const newest = await db.selectFrom('spread').select('book_id').orderBy('id', 'desc').limit(1).executeTakeFirst();
  return newest?.book_id ?? (await listBooks(db))[0]?.id ?? null;
}

/** @returns false when a book of that id is there already; then nothing is stored */
export async function addBook(db: Database, id: string, book: Book): Promise<boolean> {
  const done = await db.insertInto('book').values({ id, name: book.name, json: JSON.stringify(book) }).onConflict((c) => c.doNothing()).executeTakeFirst();
  return Number(done.numInsertedOrUpdatedRows ?? 0) > 0;
}
