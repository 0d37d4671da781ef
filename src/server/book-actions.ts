'use server';

import { revalidatePath } from 'next/cache';
import type { Book } from '../core/book/book';
import { bookFromMeasures, faultsOfMeasures } from '../core/book/from-measures';
import { BOOKS } from '../core/book/registry';
import { readBook, writeBook } from '../core/format/book-json';
import { BadInput, quoted } from '../core/format/fault';
import { addBook, deleteBook, findBook, saveBook, weeksByBook } from '../db/books';
import type { Database } from '../db/database';
import { writeSetting } from '../db/settings';
import { draftOf, faultsOfBook } from './books';
import { BookIdDto, CopyBookDto, MeasureBookDto, SaveBookDto } from './dto/books.dto';
import { check } from './dto/check';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** A book of one's own from a dozen measures. */
export async function measureBook(input: unknown): Promise<Outcome<{ id: string }>> {
  return changed(async (db) => {
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
  return changed(async (db) => {
    const { id, name } = check(CopyBookDto, input, 'book');
    return add(db, { ...(await known(db, id)), name });
  });
}

/**
 * Keeps a book as it is being measured. What is not whole yet is kept as a draft, and weeks go on with the last
 * version that was.
 * @returns what is lacking, in sentences; empty when weeks use it from now on
 */
export async function keepBook(input: unknown): Promise<Outcome<{ lacking: string[] }>> {
  return changed(async (db) => {
    const { id, book } = check(SaveBookDto, input, 'book');
    own(id);
    await known(db, id);
    const text = JSON.stringify(book);
    if (text.length > LARGEST)
      throw new BadInput([
        { file: 'book', where: 'the whole book', found: `${text.length} letters`, expected: `at most ${LARGEST}` },
      ]);
    await writeSetting(db, draftOf(id), book);
    const lacking = faultsOfBook(book);
    if (!lacking.length) {
      await saveBook(db, id, readBook(text, 'book'));
      await writeSetting(db, draftOf(id), null);
    }
    return { lacking };
  });
}

/** Takes a book away that no week is laid out in. */
export async function dropBook(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { id } = check(BookIdDto, input, 'book');
    own(id);
    const weeks = (await weeksByBook(db)).get(id) ?? [];
    if (weeks.length)
      throw new BadInput([
        { file: 'book', where: 'weeks', found: weeks.join(', '), expected: 'a book that no week is laid out in' },
      ]);
    await deleteBook(db, id);
    await writeSetting(db, draftOf(id), null);
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
  if (Object.hasOwn(BOOKS, id))
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

async function changed<T>(run: (db: Database) => Promise<T>): Promise<Outcome<T>> {
  return outcome(async () => {
    const value = await run(await store());
    revalidatePath('/', 'layout');
    return value;
  });
}
