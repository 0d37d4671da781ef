import 'server-only';
import type { Book } from '../core/book/book';
import { bookNamed } from '../core/book/registry';
import { readBook } from '../core/format/book-json';
import { imageOf } from '../core/format/image-of';
import { BadInput, faultLine } from '../core/format/fault';
import { findBook, listBooks, scannedPages, weeksByBook } from '../db/books';
import type { BookHistory } from '../db/book-edits';
import { bookHistory, draftOfBook } from '../db/book-edits';
import { store } from './store';

export interface BookLine {
  readonly id: string;
  readonly name: string;
  /** ships with the application: it is copied rather than changed */
  readonly shipped: boolean;
  readonly weeks: readonly string[];
}

export interface BooksPage {
  readonly books: readonly BookLine[];
  readonly chosen: {
    readonly line: BookLine;
    /** as it is being measured; weeks use the last version that was whole */
    readonly book: Book;
    /** what keeps the draft from being used, in sentences; empty where there is no draft */
    readonly lacking: readonly string[];
    readonly scans: readonly number[];
    readonly history: BookHistory;
    /** the book as it is kept, by its `imageOf` */
    readonly seen: string;
  } | null;
}

/** @param id the book to lie open; the one most used when it is none */
export async function loadBooks(id: string | undefined): Promise<BooksPage> {
  const db = await store();
  const [rows, weeks] = await Promise.all([listBooks(db), weeksByBook(db)]);
  const books = rows.map((r): BookLine => ({
    ...r,
    shipped: bookNamed(r.id) !== undefined,
    weeks: weeks.get(r.id) ?? [],
  }));
  const line = books.find((b) => b.id === id) ?? [...books].sort((a, b) => b.weeks.length - a.weeks.length)[0];
  const draft = line && (await draftOfBook(db, line.id));
  const book = draft ?? (line && (await findBook(db, line.id)));
  return {
    books,
    chosen:
      line && book
        ? {
            line,
            book,
            lacking: draft ? faultsOfBook(draft) : [],
            scans: await scannedPages(db, line.id),
            history: await bookHistory(db, line.id),
            seen: imageOf(book),
          }
        : null,
  };
}

/** Why a book cannot be planned in yet, a sentence a fault. */
export function faultsOfBook(book: unknown): string[] {
  try {
    readBook(JSON.stringify(book), 'book');
    return [];
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    return error.faults.map(faultLine);
  }
}
