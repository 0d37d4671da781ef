import { bookPdf } from '../../../../core/format/book-pdf';
import { answering } from '../../../../server/answering';
import { printFonts } from '../../../../server/fonts';
import { loadBooks } from '../../../../server/books';

/** The pages as measured, to be printed at 100 % and laid over the real ones. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  const { chosen } = await loadBooks(id);
  if (!chosen || chosen.line.id !== id) return null;
  return new Response(new Uint8Array(await bookPdf(chosen.book, printFonts())), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="test-print.pdf"' },
  });
});
