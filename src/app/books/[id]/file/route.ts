import { writeBook } from '../../../../core/format/book-json';
import { findBook } from '../../../../db/books';
import { attachment } from '../../../../server/attachment';
import { store } from '../../../../server/store';

/** The book as a file (formats.md, Book). */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const book = await findBook(await store(), id);
  return book
    ? attachment(writeBook(book), `${id}.book.json`, 'application/json')
    : new Response('There is no such book.', { status: 404 });
}
