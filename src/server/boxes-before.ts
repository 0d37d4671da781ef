import type { Hex } from '../core/color/color';
import { pieceKey } from '../core/kit/kit';
import type { Placement } from '../core/spread/placement';
import type { WeekRhythm } from '../core/spread/week-rhythm';
import { weekRhythm } from '../core/spread/week-rhythm';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { placementsOf } from '../db/placements';

/** So many weeks back a rhythm is remembered. */
const WEEKS = 3;

/** How high the boxes of the weeks before one stand and how bold they are, the newest first (handbook E4). */
export async function boxesBefore(db: Database, week: string): Promise<WeekRhythm[]> {
  const spreads = await db
    .selectFrom('spread')
    .select(['id', 'book_id'])
    .where('week', '<', week)
    .orderBy('week', 'desc')
    .limit(WEEKS)
    .execute();
  const rhythms = await Promise.all(
    spreads.map(async ({ id, book_id }) => {
      const [book, placements] = await Promise.all([findBook(db, book_id), placementsOf(db, id)]);
      if (!book) return null;
      const colors = await colorsOf(
        db,
        placements.filter((p) => p.role === 'box'),
      );
      return weekRhythm(book, placements, (p) => colors.get(pieceKey(p)));
    }),
  );
  return rhythms.filter((r) => r?.heights.some((height) => height !== null)) as WeekRhythm[];
}

/** The colors of the designs of some placements, by `pieceKey`; asked by kit too, so that not all are gone through. */
async function colorsOf(db: Database, placements: readonly Placement[]): Promise<Map<string, Hex>> {
  const rows = await db
    .selectFrom('piece')
    .select(['kit_id', 'code', 'color'])
    .where('kit_id', 'in', [...new Set(placements.map((p) => p.kit))])
    .where('code', 'in', [...new Set(placements.map((p) => p.code))])
    .execute();
  return new Map(rows.map((r) => [pieceKey({ kit: r.kit_id, code: r.code }), r.color]));
}
