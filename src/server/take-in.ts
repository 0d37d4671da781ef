import { BadInput, faultLine, quoted } from '../core/format/fault';
import { readBook } from '../core/format/book-json';
import { MOST_MEGABYTES, readingCalendar } from '../core/format/calendar';
import { decodeText } from '../core/format/decode';
import { editAgenda } from '../db/agenda-edits';
import { addBook } from '../db/books';
import { inSteps } from './in-steps';
import { store } from './store';

/** What became of one file: a sentence when it was taken in, messages when it was not and nothing of it was kept. */
export interface TakenIn {
  readonly file: string;
  readonly said: string | null;
  readonly messages: readonly string[];
}

/** One line of the answer: how far the reading of a file is, or what became of it. */
export type TakeInNews = { readonly file: string; readonly share: number } | TakenIn;

const LARGEST = 20;

/**
 * Takes a file in: a calendar (.ics), a book (.json); whole or not at all. Kits are looked over in a table first
 * (kit-actions.ts).
 */
export async function takeIn(file: File, onProgress: (share: number) => void): Promise<TakenIn> {
  try {
    const [said, notes] = await takeOne(file, onProgress);
    return { file: file.name, said, messages: notes };
  } catch (error) {
    const messages =
      error instanceof BadInput
        ? error.faults.map(faultLine)
        : [`${file.name} could not be taken in: ${error instanceof Error ? error.message : String(error)}`];
    return { file: file.name, said: null, messages };
  }
}

async function takeOne(file: File, onProgress: (share: number) => void): Promise<[string, readonly string[]]> {
  const wrong = (found: string, expected: string): BadInput =>
    new BadInput([{ file: file.name, where: 'the whole file', found, expected }]);
  const ending = /\.(ics|json)$/i.exec(file.name)?.[1]?.toLowerCase();
  if (!ending)
    throw wrong(
      quoted(file.name),
      'a calendar (.ics) or a book (.json); a kit (.csv) is looked over on the screen first',
    );
  const most = ending === 'ics' ? MOST_MEGABYTES : LARGEST;
  if (file.size > most * 2 ** 20) throw wrong(`${Math.round(file.size / 2 ** 20)} MB`, `at most ${most} MB`);
  const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name);
  const db = await store();
  const base = file.name.replace(/\.(ics|json)$/i, '').replace(/\.book$/i, '');
  switch (ending) {
    case 'ics': {
      const { root, notes } = await inSteps(readingCalendar(text, file.name), onProgress);
      await editAgenda(db, { do: 'take in calendar', name: base }, async () => [{ on: 'calendar', name: base, text }]);
      return [
        `${root.getAllSubcomponents('vevent').length} events and ${root.getAllSubcomponents('vtodo').length} tasks`,
        notes,
      ];
    }
    default: {
      const book = readBook(text, file.name);
      if (!(await addBook(db, base, book))) throw wrong(`a book named ${quoted(base)}`, 'a name that no book has yet');
      return [`${book.pages.length} pages, ${book.regions.length} regions, ${book.marks.length} printed marks`, []];
    }
  }
}
