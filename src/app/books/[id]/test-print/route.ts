import { bookPdf } from '../../../../core/format/book-pdf';
import { printFonts } from '../../../../server/fonts';
import { loadBooks } from '../../../../server/books';

/** The pages as measured, to be printed at 100 % and laid over the real ones. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const { chosen } = await loadBooks(id);
  if (!chosen || chosen.line.id !== id) return new Response('There is no such book.', { status: 404 });
  return new Response(new Uint8Array(await bookPdf(chosen.book, printFonts())), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="test-print.pdf"' },
  });
}
