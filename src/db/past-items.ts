import { sql } from 'kysely';
import type { Demand, WeekDemands } from '../core/week/demand';
import { isTicked } from '../core/week/undone';
import type { IsoDay } from '../core/week/week';
import type { Database } from './database';
import { together } from './database';

/** An item of a week that is over, and what became of it. */
export interface PastItem {
  readonly week: string;
  readonly day: IsoDay;
  readonly on: IsoDay;
  readonly uid: string;
  readonly title: string;
  readonly kind: Demand['kind'];
  readonly start: number | null;
  readonly list: string | null;
  readonly ticked: boolean;
  readonly repeated: boolean;
  readonly from: IsoDay | null;
  /** `done`, `brought`, `let go`, `kept`; null: nothing was said */
  readonly mark: string | null;
}

/** As of which state of the calendars the items of each week are kept. */
export async function keptWeeks(db: Database): Promise<ReadonlyMap<string, string>> {
  const rows = await db.selectFrom('past_week').selectAll().execute();
  return new Map(rows.map((r) => [r.week, r.as_of]));
}

/** The earliest day of which anything is known: a spread's week, a mark, a record. null: nothing is. */
export async function firstKnown(db: Database): Promise<{ week: string | null; day: IsoDay | null }> {
  const spread = await db
    .selectFrom('spread')
    .select((e) => e.fn.min('week').as('week'))
    .executeTakeFirst();
  const { rows } = await sql<{ day: IsoDay | null }>`select min(day) as day from (
    select min(day) as day from record union all select min(day) from item_mark where day <> '')`.execute(db);
  return { week: spread?.week ?? null, day: rows[0]?.day ?? null };
}

/** Keeps the items of a week that is over, in place of what was kept of it. Those over several days are kept once. */
export function keepWeek(db: Database, { week, days, demands }: WeekDemands, asOf: string): Promise<void> {
  return together(db, async (trx) => {
    await trx.deleteFrom('past_item').where('week', '=', week).execute();
    const rows = demands
      .filter((d) => d.aspect === 'item')
      .map((d) => ({
        week,
        key: d.key,
        uid: d.uid,
        day: days[d.day] as IsoDay,
        on_day: d.on,
        title: d.title,
        kind: d.kind,
        start: d.start,
        list: d.list,
        ticked: isTicked(d) ? 1 : 0,
        repeated: d.repeated ? 1 : 0,
        moved_from: d.from,
      }));
    for (let i = 0; i < rows.length; i += 200)
      await trx
        .insertInto('past_item')
        .values(rows.slice(i, i + 200))
        .execute();
    await trx
      .insertInto('past_week')
      .values({ week, as_of: asOf })
      .onConflict((c) => c.column('week').doUpdateSet({ as_of: asOf }))
      .execute();
  });
}

/** The kept items from one week to another, by day and time, each with its mark. */
export async function pastItems(db: Database, first: string, last: string): Promise<PastItem[]> {
  const rows = await db
    .selectFrom('past_item as i')
    .leftJoin('item_mark as m', (j) => j.onRef('m.uid', '=', 'i.uid').onRef('m.day', '=', 'i.on_day'))
    .select([
      'i.week',
      'i.day',
      'i.on_day',
      'i.uid',
      'title',
      'kind',
      'start',
      'list',
      'ticked',
      'repeated',
      'moved_from',
      'mark',
    ])
    .where('i.week', '>=', first)
    .where('i.week', '<=', last)
    .orderBy('i.day')
    .orderBy('start')
    .orderBy('title')
    .execute();
  return rows.map(({ on_day, moved_from, ticked, repeated, kind, ...r }) => ({
    ...r,
    kind: kind as Demand['kind'],
    on: on_day,
    from: moved_from,
    ticked: ticked === 1,
    repeated: repeated === 1,
  }));
}

/** What an item's title is when it was last done, by each title that holds a word. */
export interface LastTime {
  readonly title: string;
  readonly times: number;
  readonly last: IsoDay;
}

/** When each item whose title holds some words was last done, or passed; the latest first. */
export async function lastTimes(
  db: Database,
  words: readonly string[],
  today: IsoDay,
  most: number,
): Promise<LastTime[]> {
  const holds = words.map((w) => sql`i.title like ${`%${w.replace(/[\\%_]/g, (c) => `\\${c}`)}%`} escape '\\'`);
  const where = holds.length ? sql.join(holds, sql` and `) : sql`1`;
  const { rows } = await sql<LastTime>`
    select i.title as title, count(*) as times, max(i.day) as last
    from past_item i left join item_mark m on m.uid = i.uid and m.day = i.on_day
    where ${where} and i.day <= ${today} and (m.mark = 'done' or (i.ticked = 0 and m.mark is null))
    group by i.title order by last desc, i.title limit ${most}`.execute(db);
  return rows.map((r) => ({ ...r }));
}
