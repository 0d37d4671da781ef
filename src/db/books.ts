import type { Book } from '../core/book/book';
import { BOOKS, bookNamed } from '../core/book/registry';
import type { Database } from './database';
import { asObject } from './json';

/** A book of one's own, or one that ships: those live in the registry, so that new ones and corrections reach all. */
export async function findBook(db: Database, id: string): Promise<Book | null> {
  const shipped = bookNamed(id);
  if (shipped) return shipped;
  const row = await db.selectFrom('book').select('json').where('id', '=', id).executeTakeFirst();
  return row ? (asObject(row.json) as Book) : null;
}

/** All books by name: those that ship, and one's own. */
export async function listBooks(db: Database): Promise<{ id: string; name: string }[]> {
  const own = await db.selectFrom('book').select(['id', 'name']).execute();
  const shipped = Object.entries(BOOKS).map(([id, { name }]) => ({ id, name }));
  return [...shipped, ...own].sort((a, b) => a.name.localeCompare(b.name));
}

/**
 * The book that a week not begun yet would most likely be laid out in: the newest spread's, else one's own, else
 * the first there is.
 */
export async function usualBook(db: Database): Promise<string> {
  const newest = await db.selectFrom('spread').select('book_id').orderBy('id', 'desc').limit(1).executeTakeFirst();
  if (newest) return newest.book_id;
  const books = await listBooks(db);
  // one's own is the one that lies on the table
  const [first] = books;
  return (books.find((b) => !bookNamed(b.id)) ?? first)?.id ?? '';
}

/** @returns false when a book of that id is there already; then nothing is stored */
export async function addBook(db: Database, id: string, book: Book): Promise<boolean> {
  if (bookNamed(id)) return false;
  const done = await db
    .insertInto('book')
    .values({ id, name: book.name, json: JSON.stringify(book) })
    .onConflict((c) => c.doNothing())
    .executeTakeFirst();
  return Number(done.numInsertedOrUpdatedRows ?? 0) > 0;
}

/** Keeps a book as it is now; weeks laid out in it see the change. */
export async function saveBook(db: Database, id: string, book: Book): Promise<void> {
  await db
    .updateTable('book')
    .set({ name: book.name, json: JSON.stringify(book) })
    .where('id', '=', id)
    .execute();
}

/** Weeks that are laid out in each book. */
export async function weeksByBook(db: Database): Promise<Map<string, string[]>> {
  const rows = await db.selectFrom('spread').select(['book_id', 'week']).orderBy('week').execute();
  return rows.reduce(
    (map, r) => map.set(r.book_id, [...(map.get(r.book_id) ?? []), r.week]),
    new Map<string, string[]>(),
  );
}

export async function deleteBook(db: Database, id: string): Promise<void> {
  await db.deleteFrom('book').where('id', '=', id).execute();
}

/** The picture a page was measured from. */
export async function findScan(
  db: Database,
  id: string,
  page: number,
): Promise<{ type: string; data: Uint8Array } | undefined> {
  return db
    .selectFrom('book_scan')
    .select(['type', 'data'])
    .where('book_id', '=', id)
    .where('page', '=', page)
    .executeTakeFirst();
}

export async function scannedPages(db: Database, id: string): Promise<number[]> {
  return (await db.selectFrom('book_scan').select('page').where('book_id', '=', id).execute()).map((r) => r.page);
}

export async function putScan(db: Database, id: string, page: number, type: string, data: Uint8Array): Promise<void> {
  await db
    .insertInto('book_scan')
    .values({ book_id: id, page, type, data })
    .onConflict((c) => c.columns(['book_id', 'page']).doUpdateSet({ type, data }))
    .execute();
}

export async function dropScan(db: Database, id: string, page: number): Promise<void> {
  await db.deleteFrom('book_scan').where('book_id', '=', id).where('page', '=', page).execute();
}
