import { sql } from 'kysely';
import type { Database } from './database';
import { together } from './database';

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
const rowOf = sql`cast(substr(week, 1, 4) || substr(week, 7, 2) as integer)`;

/**
 * Writes the words of weeks anew that changed since they were last looked for.
 * @returns how many weeks
 */
export async function renewWeekText(db: Database): Promise<number> {
  const stale = await db.selectFrom('stale_week').select('week').execute();
  if (!stale.length) return 0;
  return together(db, async (trx) => {
    await sql`delete from week_text where rowid in (select ${rowOf} from stale_week)`.execute(trx);
    await sql`
      with s as (select week, date(substr(week, 1, 4) || '-01-04',
          '-' || ((strftime('%u', substr(week, 1, 4) || '-01-04')) - 1) || ' days',
          '+' || ((substr(week, 7, 2) - 1) * 7) || ' days') as first from stale_week),
        laid as (select id, week, kit_id, manner from spread
          where week in (select week from stale_week) and exists (select 1 from placement where spread_id = spread.id))
      insert into week_text (rowid, week, kit, manner, items, dinners, tags, notes)
      select ${rowOf}, week, kit, manner, items, dinners, tags, notes from (select week,
        coalesce((select group_concat(kit_id, ' ') from (
          select kit_id from laid where laid.week = s.week union
          select p.kit_id from placement p join laid on laid.id = p.spread_id where laid.week = s.week)), '') as kit,
        coalesce((select group_concat(manner, ' ') from laid where laid.week = s.week), '') as manner,
        coalesce((select group_concat(text, char(10)) from (
          select p.text from placement p join laid on laid.id = p.spread_id where laid.week = s.week and p.text <> '' union
          select w.text from writing w join laid on laid.id = w.spread_id where laid.week = s.week and w.text <> '' union
          select title from past_item i where i.week = s.week)), '') as items,
        coalesce((select group_concat(text, char(10)) from record
          where what = 'dinner' and day between first and date(first, '+6 days')), '') as dinners,
        coalesce((select group_concat(j.value, ', ') from keep k join laid on laid.id = k.spread_id, json_each(k.tags) j
          where laid.week = s.week), '') as tags,
        coalesce((select group_concat(text, char(10)) from (
          select note as text from keep join laid on laid.id = spread_id where laid.week = s.week and note <> '' union
          select text from record where what in ('moment', 'note') and day between first and date(first, '+6 days'))), '')
          as notes
      from s) where kit || items || dinners || notes <> ''`.execute(trx);
    await trx.deleteFrom('stale_week').execute();
    return stale.length;
  });
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
): Promise<FoundWeek[]> {
  if (!words.length) return [];
  await renewWeekText(db);
  const each = words.map((w) => `"${w}"*`).join(' AND ');
  const query = field ? `{${field}} : (${each})` : each;
  const { rows } = await sql<FoundWeek>`
    select week, snippet(week_text, -1, ${FOUND.from}, ${FOUND.to}, '…', 12) as snippet
    from week_text where week_text match ${query} order by rowid desc limit ${most}`.execute(db);
  return rows.map((r) => ({ ...r }));
}
