import { writeBook } from '../../../../core/format/book-json';
import { findBook } from '../../../../db/books';
import { answering } from '../../../../server/answering';
import { attachment } from '../../../../server/attachment';
import { store } from '../../../../server/store';

/** The book as a file (docs/formats). */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const book = await findBook(await store(), id);
  return book && attachment(writeBook(book), `${id}.book.json`, 'application/json');
});
