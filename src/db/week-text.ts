import { sql } from 'kysely';
import type { WeekStart } from '../core/week/week';
import { daysOfWeek, isWeekName, weekAfter } from '../core/week/week';
import type { Database } from './database';
import { transaction } from './database';

/** Where words are looked for, by the columns of the index. */
export const WEEK_FIELDS = ['items', 'dinners', 'kit', 'manner', 'tags', 'notes'] as const;
export type WeekField = (typeof WEEK_FIELDS)[number];

/** A week that holds every word, with the words round the first of them; what was found stands between the marks. */
export interface FoundWeek {
  readonly week: string;
  readonly snippet: string;
}

/** Stand before and after a word that was found; no text that a person writes holds them. */
export const FOUND = { from: '\u0001', to: '\u0002' } as const;

/** `2027-W06` as a number: the row of a week's words. */
const rowOf = (week: string): number => Number(week.slice(0, 4) + week.slice(6));

/** The day that a week's pages begin on. */
type StartOf = (db: Database, week: string) => Promise<WeekStart>;

/**
 * Writes the words of weeks anew that changed since they were last looked for.
 * @returns how many weeks
 */
export async function renewWeekText(db: Database, startOf: StartOf): Promise<number> {
  const stale = await db.selectFrom('stale_week').select('week').execute();
  if (!stale.length) return 0;
  return transaction(db, async (trx) => {
    // what is known of a Sunday marks the ISO week that ends with it, and may stand in the one that begins with it
    const weeks = new Set(stale.flatMap(({ week }) => (isWeekName(week) ? [week, weekAfter(week)] : [week])));
    for (const week of weeks) await renewWeek(trx, week, startOf);
    await trx.deleteFrom('stale_week').execute();
    return stale.length;
  });
}

async function renewWeek(trx: Database, week: string, startOf: StartOf): Promise<void> {
  const row = rowOf(week);
  await sql`delete from week_text where rowid = ${row}`.execute(trx);
  if (!isWeekName(week)) return;
  const [first, , , , , , last] = daysOfWeek(week, await startOf(trx, week));
  await sql`
    with laid as materialized (select id, kit_id, manner from spread
      where week = ${week} and exists (select 1 from placement where spread_id = spread.id))
    insert into week_text (rowid, week, kit, manner, items, dinners, tags, notes)
    select ${row}, ${week}, kit, manner, items, dinners, tags, notes from (select
      coalesce((select group_concat(kit_id, ' ') from (
        select kit_id from laid union select kit_id from placement where spread_id in (select id from laid))), '') as kit,
      coalesce((select group_concat(manner, ' ') from laid), '') as manner,
      coalesce((select group_concat(text, char(10)) from (
        select text from placement where spread_id in (select id from laid) and text <> '' union
        select text from writing where spread_id in (select id from laid) and text <> '' union
        select words from placement join piece using (kit_id, code)
          where spread_id in (select id from laid) and kind in ('script', 'little') and words <> '' union
        select title from past_item where week = ${week})), '') as items,
      coalesce((select group_concat(text, char(10)) from record
        where day between ${first} and ${last} and what = 'dinner'), '') as dinners,
      coalesce((select group_concat(j.value, ', ') from keep k, json_each(k.tags) j
        where k.spread_id in (select id from laid)), '') as tags,
      coalesce((select group_concat(text, char(10)) from (
        select note as text from keep where spread_id in (select id from laid) and note <> '' union
        select text from record where day between ${first} and ${last} and what in ('moment', 'note'))), '') as notes)
    where kit || items || dinners || notes <> ''`.execute(trx);
}

/** Letters and digits only, as the index has its words. */
export const wordsOf = (text: string): string[] => text.match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];

/**
 * Weeks that hold every word, or one that begins so; the latest first.
 * @param field where; null: anywhere
 */
export async function findWeeks(
  db: Database,
  { words, field, most }: { words: readonly string[]; field: WeekField | null; most: number },
  startOf: StartOf,
): Promise<FoundWeek[]> {
  if (!words.length) return [];
  await renewWeekText(db, startOf);
  const each = words.map((w) => `"${w}"*`).join(' AND ');
  const query = field ? `{${field}} : (${each})` : each;
  const { rows } = await sql<FoundWeek>`
    select week, snippet(week_text, -1, ${FOUND.from}, ${FOUND.to}, '…', 12) as snippet
    from week_text where week_text match ${query} order by rowid desc limit ${most}`.execute(db);
  return rows.map((r) => ({ ...r }));
}

/** All words of weeks are written anew before they are next looked for: other days are on their pages. */
export const forgetWeekText = (db: Database): Promise<unknown> =>
  sql`insert or ignore into stale_week
    select week from week_text union select strftime('%G-W%V', day) from record`.execute(db);
