import type { Database } from './database';
import { asStrings } from './json';

/** A spread as the log shows it. */
export interface PastSpread {
  readonly id: number;
  readonly week: string;
  readonly kit: string;
  readonly manner: string;
  /** the day it was on paper; null where it never was */
  readonly finished: string | null;
  /** hash of its photo; empty where there is none */
  readonly photo: string;
  readonly note: string;
  /** 1 to 5; 0: none was given */
  readonly rating: number;
  readonly tags: readonly string[];
  readonly pieces: number;
  readonly revision: number;
}

/**
 * Spreads that something lies on, the latest first.
 * @param weeks only those; null: all
 * @param before only weeks before this one
 */
export async function pastSpreads(
  db: Database,
  {
    weeks = null,
    before = null,
    first = null,
    last = null,
    most,
  }: {
    readonly weeks?: readonly string[] | null;
    readonly before?: string | null;
    readonly first?: string | null;
    readonly last?: string | null;
    readonly most: number;
  },
): Promise<PastSpread[]> {
  const rows = await db
    .selectFrom('spread')
    .leftJoin('keep', 'keep.spread_id', 'spread.id')
    .select((e) => [
      'spread.id',
      'week',
      'kit_id as kit',
      'manner',
      'revision',
      'finished',
      'photo',
      'note',
      'rating',
      'tags',
      e
        .selectFrom('placement')
        .whereRef('placement.spread_id', '=', 'spread.id')
        .select(e.fn.countAll<number>().as('n'))
        .as('pieces'),
    ])
    .where((e) => e.exists(e.selectFrom('placement').select('placement.id').whereRef('spread_id', '=', 'spread.id')))
    .$if(weeks !== null, (q) => q.where('week', 'in', [...(weeks ?? [])]))
    .$if(before !== null, (q) => q.where('week', '<', before ?? ''))
    .$if(first !== null, (q) => q.where('week', '>=', first ?? ''))
    .$if(last !== null, (q) => q.where('week', '<=', last ?? ''))
    .orderBy('week', 'desc')
    .limit(most)
    .execute();
  return rows.map((r) => ({
    ...r,
    photo: r.photo ?? '',
    note: r.note ?? '',
    rating: r.rating ?? 0,
    tags: asStrings(r.tags ?? '[]'),
    pieces: Number(r.pieces ?? 0),
  }));
}
