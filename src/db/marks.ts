import type { Database } from './database';

export interface MarkRow {
  readonly uid: string;
  readonly day: string;
  readonly mark: string;
}

/** All marks of the days from `first` to `last`, and those that are of no day. */
export const marksBetween = (db: Database, first: string, last: string): Promise<MarkRow[]> =>
  db
    .selectFrom('item_mark')
    .selectAll()
    .where((w) => w.or([w('day', '=', ''), w.between('day', first, last)]))
    .execute();

export const markOf = async (db: Database, uid: string, day: string): Promise<string | null> =>
  (await db.selectFrom('item_mark').select('mark').where('uid', '=', uid).where('day', '=', day).executeTakeFirst())
    ?.mark ?? null;

/** Sets a mark; null takes it away. */
export async function setMark(db: Database, uid: string, day: string, mark: string | null): Promise<void> {
  if (mark === null) await db.deleteFrom('item_mark').where('uid', '=', uid).where('day', '=', day).execute();
  else
    await db
      .insertInto('item_mark')
      .values({ uid, day, mark })
      .onConflict((c) => c.columns(['uid', 'day']).doUpdateSet({ mark }))
      .execute();
}
