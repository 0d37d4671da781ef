import { readBook } from '../../core/format/book-json';
import { BadInput, quoted } from '../../core/format/fault';
import { addBook } from '../../db/books';
import type { Format } from './format';

export const book: Format = {
  ending: '.json',
  name: 'a book (.json)',
  mostMegabytes: 20,
  take: async (db, { name, base, text }) => {
    const read = readBook(text, name);
    const id = base.replace(/\.book$/i, '');
    if (!(await addBook(db, id, read)))
      throw new BadInput([
        {
          file: name,
          where: 'the whole file',
          found: `a book named ${quoted(id)}`,
          expected: 'a name that no book has yet',
        },
      ]);
    const said = `${read.pages.length} pages, ${read.regions.length} regions, ${read.marks.length} printed marks`;
    return { said, notes: [] };
  },
};
