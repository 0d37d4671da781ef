import type { Heights } from '../core/spread/week-rhythm';
import { boxHeights } from '../core/spread/week-rhythm';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { placementsOf } from '../db/placements';

/** So many weeks back a rhythm is remembered. */
const WEEKS = 3;

/** How high the boxes of the weeks before one stand, the newest first (handbook E4). */
export async function boxesBefore(db: Database, week: string): Promise<Heights[]> {
  const spreads = await db
    .selectFrom('spread')
    .select(['id', 'book_id'])
    .where('week', '<', week)
    .orderBy('week', 'desc')
    .limit(WEEKS)
    .execute();
  const heights = await Promise.all(
    spreads.map(async ({ id, book_id }) => {
      const [book, placements] = await Promise.all([findBook(db, book_id), placementsOf(db, id)]);
      return book ? boxHeights(book, placements) : [];
    }),
  );
  return heights.filter((h) => h.some((height) => height !== null));
}
