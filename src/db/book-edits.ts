import type { Book } from '../core/book/book';
import type { BookDeed } from '../core/book/deed';
import { deedBetween } from '../core/book/deed';
import { findBook } from './books';
import type { Database } from './database';
import { transaction } from './database';
import { asObject } from './json';
import type { Steps } from './log';
import { nextStep, noteStep, record, stepsOf } from './log';
import { readSetting, writeSetting } from './settings';
import type { Splice } from './text-splice';
import { spliceOf, spliced } from './text-splice';

export type BookHistory = Steps<BookDeed>;

const scopeOf = (book: string) => ({ room: 'book', book }) as const;

/** Where the unfinished version of a book is kept. */
const draftOf = (id: string): string => `draft of the book ${id}`;

export const bookHistory = (db: Database, id: string): Promise<BookHistory> => stepsOf<BookDeed>(db, scopeOf(id));

/** The version of a book that is not whole yet; null where there is none. */
export const draftOfBook = (db: Database, id: string): Promise<Book | null> => readSetting(db, draftOf(id), isDraft);

export const keepDraft = (trx: Database, id: string, draft: Book | null): Promise<void> =>
  writeSetting(trx, draftOf(id), draft);

const isDraft = (value: unknown): value is Book | null => typeof value === 'object' && !Array.isArray(value);

/** A book as its owner last left it, whole or not. */
export const bookAsKept = async (db: Database, id: string): Promise<Book | null> =>
  (await draftOfBook(db, id)) ?? (await findBook(db, id));

/**
 * Makes one edit of a book of one's own, in one transaction with its entry in the log.
 * @param keep stores the book as it is now
 */
export function editBook(
  db: Database,
  id: string,
  book: Book,
  keep: (trx: Database, book: Book) => Promise<void>,
): Promise<void> {
  return transaction(db, async (trx) => {
    const before = await bookAsKept(trx, id);
    if (!before) return;
    await keep(trx, book);
    await record(trx, scopeOf(id), deedBetween(before, book), spliceOf(JSON.stringify(before), JSON.stringify(book)));
  });
}

/** Takes the last edit of a book back, or makes it again. @returns the book as it is then; null when there is none */
export function stepBook(
  db: Database,
  id: string,
  way: 'undo' | 'redo',
  keep: (trx: Database, book: Book) => Promise<void>,
): Promise<Book | null> {
  return transaction(db, async (trx) => {
    const entry = await nextStep(trx, scopeOf(id), way);
    const now = await bookAsKept(trx, id);
    if (!entry || !now) return null;
    const text = spliced(JSON.stringify(now), entry.effects as Splice, way);
    if (typeof text !== 'string') return null;
    const book = asObject(text) as Book;
    await keep(trx, book);
    await noteStep(trx, entry, way);
    return book;
  });
}
