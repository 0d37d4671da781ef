import { loadBooks } from '../../server/books';
import { BooksScreen } from '../../ui/books/BooksScreen';

export const dynamic = 'force-dynamic';

export default async function BooksPage({ searchParams }: { searchParams: Promise<{ book?: string }> }) {
  return <BooksScreen page={await loadBooks((await searchParams).book)} />;
}
