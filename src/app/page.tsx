import { loadShelf } from '../server/shelf';
import { Shelf } from '../ui/shelf/Shelf';

export const dynamic = 'force-dynamic';

export default async function ShelfPage() {
  return <Shelf shelf={await loadShelf()} />;
}
