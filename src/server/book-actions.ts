'use server';

import type { Book } from '../core/book/book';
import { bookFromMeasures, faultsOfMeasures } from '../core/book/from-measures';
import { bookNamed } from '../core/book/registry';
import { readBook, writeBook } from '../core/format/book-json';
import { imageOf } from '../core/format/image-of';
import { BadInput, quoted } from '../core/format/fault';
import { conform } from '../core/format/schema';
import { addBook, deleteBook, findBook, saveBook, weeksByBook } from '../db/books';
import type { Database } from '../db/database';
import type { BookHistory } from '../db/book-edits';
import { bookAsKept, bookHistory, draftOfBook, editBook, keepDraft, stepBook } from '../db/book-edits';
import { faultsOfBook } from './books';
import { BookIdDto, BookStepDto, CopyBookDto, MeasureBookDto, SaveBookDto } from './dto/books.dto';
import { check } from './dto/check';
import { mustBeAsSeen } from './conflict';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';

/** A book of one's own from a dozen measures. */
export async function measureBook(input: unknown): Promise<Outcome<{ id: string }>> {
  return inOneStroke(async (db) => {
    const { measures } = check(MeasureBookDto, input, 'book');
    const faults = faultsOfMeasures(measures);
    if (faults.length)
      throw new BadInput(
        faults.map((f) => ({ file: 'book', where: 'measures', found: f, expected: 'measures that fit the page' })),
      );
    return add(db, bookFromMeasures(measures));
  });
}

/** A copy under another name, to be changed. */
export async function copyBook(input: unknown): Promise<Outcome<{ id: string }>> {
  return inOneStroke(async (db) => {
    const { id, name } = check(CopyBookDto, input, 'book');
    return add(db, { ...(await known(db, id)), name });
  });
}

/**
 * Keeps a book as it is being measured. What is not whole yet is kept as a draft, and weeks go on with the last
 * version that was.
 */
export async function keepBook(input: unknown): Promise<Outcome<BookStanding>> {
  return inOneStroke(async (db) => {
    const { id, book, seen } = check(SaveBookDto, input, 'book');
    own(id);
    await known(db, id);
    conform('book draft', book, 'book');
    const text = JSON.stringify(book);
    if (text.length > LARGEST)
      throw new BadInput([
        { file: 'book', where: 'the whole book', found: `${text.length} letters`, expected: `at most ${LARGEST}` },
      ]);
    // checked as far as a draft can be: it is whole, or it is kept till it is
    const now = await bookAsKept(db, id);
    if (imageOf(now) === imageOf(book)) return standing(db, id); // sent again, since its first answer never came
    mustBeAsSeen(seen, now, () => 'The book was changed there');
    await editBook(db, id, book as unknown as Book, (trx, next) => kept(trx, id, next));
    return standing(db, id);
  });
}

/** Takes the last edit of a book back, or makes it again. */
export async function undoBook(input: unknown): Promise<Outcome<BookStanding & { readonly book: Book }>> {
  return inOneStroke(async (db) => {
    const { id, way, seen } = check(BookStepDto, input, 'book');
    own(id);
    const now = await bookAsKept(db, id);
    if (now && seen !== null && imageOf(now) !== seen) return { book: now, ...(await standing(db, id)) };
    const book = await stepBook(db, id, way, (trx, next) => kept(trx, id, next));
    if (!book)
      throw new BadInput([
        { file: 'book', where: way, found: 'nothing that fits', expected: 'an edit of this book made before' },
      ]);
    return { book, ...(await standing(db, id)) };
  });
}

/** How a book stands. */
export interface BookStanding {
  /** what keeps weeks from using it, in sentences; empty when they do */
  readonly lacking: readonly string[];
  readonly history: BookHistory;
  /** the book as it is kept, by its `imageOf` */
  readonly seen: string;
}

async function standing(db: Database, id: string): Promise<BookStanding> {
  const draft = await draftOfBook(db, id);
  const seen = imageOf(await bookAsKept(db, id));
  return { lacking: draft ? faultsOfBook(draft) : [], history: await bookHistory(db, id), seen };
}

/** Keeps a book as it is by now: weeks use it when it is whole; till then it is a draft beside their version. */
async function kept(trx: Database, id: string, book: Book): Promise<void> {
  const whole = faultsOfBook(book).length === 0;
  await keepDraft(trx, id, whole ? null : book);
  if (whole) await saveBook(trx, id, readBook(JSON.stringify(book), 'book'));
}

/** Takes a book away that no week is laid out in. */
export async function dropBook(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { id } = check(BookIdDto, input, 'book');
    own(id);
    const weeks = (await weeksByBook(db)).get(id) ?? [];
    if (weeks.length)
      throw new BadInput([
        { file: 'book', where: 'weeks', found: weeks.join(', '), expected: 'a book that no week is laid out in' },
      ]);
    await deleteBook(db, id);
    await keepDraft(db, id, null);
    return null;
  });
}

const LARGEST = 400_000;

async function add(db: Database, book: Book): Promise<{ id: string }> {
  const whole = readBook(writeBook(book), 'book');
  const base =
    whole.name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'book';
  for (let n = 1; n < 1000; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (await addBook(db, id, whole)) return { id };
  }
  throw new BadInput([
    { file: 'book', where: 'name', found: quoted(book.name), expected: 'a name that no book has yet' },
  ]);
}

/** Books that ship stay as they are. */
function own(id: string): void {
  if (bookNamed(id))
    throw new BadInput([
      {
        file: 'book',
        where: 'id',
        found: quoted(id),
        expected: 'a book of your own; make a copy of this one and change that',
      },
    ]);
}

async function known(db: Database, id: string): Promise<Book> {
  const book = await findBook(db, id);
  if (!book) throw new BadInput([{ file: 'book', where: 'id', found: quoted(id), expected: 'one of your books' }]);
  return book;
}
