'use server';

import { revalidatePath } from 'next/cache';
import { BadInput, faultLine, quoted } from '../core/format/fault';
import { readBook } from '../core/format/book-json';
import { readCalendar } from '../core/format/calendar';
import { readKit } from '../core/format/kit-csv';
import { addBook } from '../db/books';
import { putCalendar } from '../db/calendars';
import { addKit } from '../db/kits';
import { store } from './store';

/** What became of one file: a sentence when it was taken in, messages when it was not and nothing of it was kept. */
export interface TakenIn {
  readonly file: string;
  readonly said: string | null;
  readonly messages: readonly string[];
}

const LARGEST = 20 * 1024 * 1024;

/** Takes files in: kits and stashes (.csv), calendars (.ics), books (.json). Each file whole or not at all. */
export async function takeIn(form: FormData): Promise<TakenIn[]> {
  const files = form.getAll('files').filter((f): f is File => f instanceof File);
  const role = form.get('role') === 'stash' ? 'stash' : 'kit';
  const results: TakenIn[] = [];
  for (const file of files) {
    try {
      results.push({ file: file.name, said: await takeOne(file, role), messages: [] });
    } catch (error) {
      const messages = error instanceof BadInput ? error.faults.map(faultLine) : [`${file.name} could not be taken in: ${error instanceof Error ? error.message : String(error)}`];
      results.push({ file: file.name, said: null, messages });
    }
  }
  revalidatePath('/');
  return results;
}

async function takeOne(file: File, role: 'kit' | 'stash'): Promise<string> {
  const wrong = (found: string, expected: string): BadInput => new BadInput([{ file: file.name, where: 'the whole file', found, expected }]);
  if (file.size > LARGEST) throw wrong(`${Math.round(file.size / 1048576)} MB`, 'at most 20 MB');
  const text = new TextDecoder('utf-8').decode(await file.arrayBuffer());
  const db = await store();
  const base = file.name.replace(/\.(csv|ics|json)$/i, '').replace(/\.(kit|book)$/i, '');
  switch (/\.(csv|ics|json)$/i.exec(file.name)?.[1]?.toLowerCase()) {
    case 'csv': {
      const kit = readKit(text, file.name, base);
      if (!(await addKit(db, kit, role))) throw wrong(`a kit named ${quoted(base)}`, 'a name that no kit has yet; rename the file to take it in beside the other');
      return `${kit.pieces.reduce((n, p) => n + p.count, 0)} stickers of ${kit.pieces.length} designs`;
    }
    case 'ics': {
      const { root } = readCalendar(text, file.name);
      await putCalendar(db, base, text);
      return `${root.getAllSubcomponents('vevent').length} events and ${root.getAllSubcomponents('vtodo').length} tasks`;
    }
    case 'json': {
      const book = readBook(text, file.name);
      if (!(await addBook(db, base, book))) throw wrong(`a book named ${quoted(base)}`, 'a name that no book has yet');
      return `${book.pages.length} pages, ${book.regions.length} regions, ${book.marks.length} printed marks`;
    }
    default:
      throw wrong(quoted(file.name), 'a kit (.csv), a calendar (.ics) or a book (.json)');
  }
}
