import type { DayRecord, RecordSort } from '../core/keep/day-record';
import { RECORD_SORTS, isEmptyRecord } from '../core/keep/day-record';
import type { IsoDay } from '../core/week/week';
import type { Database } from './database';

/** Names one record: there is one of a sort and name a day. */
export type RecordKey = Pick<DayRecord, 'day' | 'what' | 'name'>;

const isSort = (what: string): what is RecordSort => RECORD_SORTS.some((s) => s === what);

/** What was written down from `first` to `last`, by day. @param what only those sorts; all where none is given */
export async function recordsBetween(
  db: Database,
  first: IsoDay,
  last: IsoDay,
  ...what: readonly RecordSort[]
): Promise<DayRecord[]> {
  const rows = await db
    .selectFrom('record')
    .selectAll()
    .where('day', '>=', first)
    .where('day', '<=', last)
    .$if(what.length > 0, (q) => q.where('what', 'in', [...what]))
    .orderBy('day')
    .orderBy('what')
    .orderBy('name')
    .execute();
  return rows.flatMap((r) => (isSort(r.what) ? [{ ...r, what: r.what }] : []));
}

export async function recordOf(db: Database, { day, what, name }: RecordKey): Promise<DayRecord | null> {
  const row = await db
    .selectFrom('record')
    .selectAll()
    .where('day', '=', day)
    .where('what', '=', what)
    .where('name', '=', name)
    .executeTakeFirst();
  return row ? { ...row, what } : null;
}

/** Writes a record down in place of the one there was; one that says nothing is taken away. */
export async function putRecord(db: Database, record: DayRecord): Promise<void> {
  const { day, what, name, amount, text } = record;
  if (isEmptyRecord(record))
    await db.deleteFrom('record').where('day', '=', day).where('what', '=', what).where('name', '=', name).execute();
  else
    await db
      .insertInto('record')
      .values({ day, what, name, amount, text })
      .onConflict((c) => c.columns(['day', 'what', 'name']).doUpdateSet({ amount, text }))
      .execute();
}
