import { sql } from 'kysely';
import type { Database } from './database';

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
  readonly pieces: number;
  readonly revision: number;
}

/** `%` and `_` as letters. */
const like = (word: string): string => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/**
 * Spreads that something lies on, the latest first.
 * @param words each must be in its week, kit, manner, note, or in something that is written on it
 * @param before only weeks before this one
 */
export async function pastSpreads(
  db: Database,
  { words, before, most }: { words: readonly string[]; before: string | null; most: number },
): Promise<PastSpread[]> {
  let found = db
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
      e
        .selectFrom('placement')
        .whereRef('placement.spread_id', '=', 'spread.id')
        .select(e.fn.countAll<number>().as('n'))
        .as('pieces'),
    ])
    .where((e) => e.exists(e.selectFrom('placement').select('placement.id').whereRef('spread_id', '=', 'spread.id')))
    .orderBy('week', 'desc')
    .limit(most);
  if (before !== null) found = found.where('week', '<', before);
  for (const word of words) {
    const wanted = like(word);
    found = found.where(
      sql<boolean>`(week like ${wanted} escape '\\' or kit_id like ${wanted} escape '\\' or manner like ${wanted} escape '\\'
        or note like ${wanted} escape '\\'
        or exists (select 1 from placement p where p.spread_id = spread.id and p.text like ${wanted} escape '\\')
        or exists (select 1 from writing w where w.spread_id = spread.id and w.text like ${wanted} escape '\\'))`,
    );
  }
  const rows = await found.execute();
  return rows.map((r) => ({ ...r, photo: r.photo ?? '', note: r.note ?? '', pieces: Number(r.pieces ?? 0) }));
}
