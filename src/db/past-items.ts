import { sql } from 'kysely';
import type { Fates, ItemCounts } from '../core/keep/tables-of-items';
import type { Demand, WeekDemands } from '../core/week/demand';
import { isTicked } from '../core/week/undone';
import type { IsoDay } from '../core/week/week';
import type { Database } from './database';
import { transaction } from './database';

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
  return transaction(db, async (trx) => {
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
    await sql`update past_item set mark = (select mark from item_mark m where m.uid = past_item.uid and m.day = on_day)
      where week = ${week}`.execute(trx);
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
    .selectFrom('past_item')
    .selectAll()
    .where('week', '>=', first)
    .where('week', '<=', last)
    .orderBy('day')
    .orderBy('start')
    .orderBy('title')
    .execute();
  return rows.map(({ key: _, on_day, moved_from, ticked, repeated, kind, ...r }) => ({
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
  const holds = words.map((w) => sql`title like ${`%${w.replace(/[\\%_]/g, (c) => `\\${c}`)}%`} escape '\\'`);
  const where = holds.length ? sql.join(holds, sql` and `) : sql`1`;
  const { rows } = await sql<LastTime>`
    select title, count(*) as times, max(day) as last from past_item
    where ${where} and day <= ${today} and (mark = 'done' or (ticked = 0 and mark is null))
    group by title order by last desc, title limit ${most}`.execute(db);
  return rows.map((r) => ({ ...r }));
}

/** What became of the items of some weeks, in the sums that the log shows. */
const FATES = sql`count(*) as items, sum(ticked = 1 and mark = 'done') as done,
  sum(coalesce(mark = 'brought', 0) or moved_from is not null) as moved, sum(coalesce(mark = 'let go', 0)) as let_go,
  sum(ticked = 1 and (mark is null or mark = 'kept')) as open`;

interface FateRow {
  readonly items: number;
  readonly done: number | null;
  readonly moved: number;
  readonly let_go: number;
  readonly open: number;
}

/** Sums of the items from one week to another: by week, by kind, and by kind and weekday (0 for Monday). */
export async function itemCounts(db: Database, first: string, last: string): Promise<ItemCounts> {
  const span = sql`week between ${first} and ${last}`;
  const [weeks, kinds, days] = await Promise.all([
    sql<
      FateRow & { week: string }
    >`select week, ${FATES} from past_item where ${span} group by week order by week`.execute(db),
    sql<FateRow & { kind: Demand['kind'] }>`select kind, ${FATES} from past_item where ${span} group by kind`.execute(
      db,
    ),
    sql<{ kind: Demand['kind']; day: number; items: number }>`
      select kind, (strftime('%w', day) + 6) % 7 as day, count(*) as items
      from past_item where ${span} group by 1, 2`.execute(db),
  ]);
  const fates = ({ items, done, moved, let_go, open }: FateRow): Fates => ({
    items,
    done: done ?? 0,
    moved,
    letGo: let_go,
    open,
  });
  return {
    weeks: weeks.rows.map((r) => ({ week: r.week, ...fates(r) })),
    kinds: kinds.rows.map((r) => ({ kind: r.kind, ...fates(r) })),
    days: days.rows.map((r) => ({ ...r })),
  };
}
