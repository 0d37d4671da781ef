import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** What each table that says something of a week calls the week, of an old or a new row. */
const WEEK_OF: readonly (readonly [table: string, week: (row: 'old' | 'new') => string])[] = [
  ['placement', (row) => `select week from spread where id = ${row}.spread_id`],
  ['writing', (row) => `select week from spread where id = ${row}.spread_id`],
  ['keep', (row) => `select week from spread where id = ${row}.spread_id`],
  ['spread', (row) => `select ${row}.week as week`],
  ['past_item', (row) => `select ${row}.week as week`],
  // the ISO week of a day (SQLite's %G and %V: ISO 8601)
  ['record', (row) => `select strftime('%G-W%V', ${row}.day) as week`],
];

/**
 * What came of the days: records (dinners, habits, hours, spending, moments), the items of weeks that are over, what a
 * week is rated and tagged, and all words of a week to be looked for. The words are written anew when they are next
 * looked for: triggers only note which weeks changed.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table record (
    day text not null, what text not null, name text not null, amount real not null default 0,
    text text not null default '', primary key (day, what, name)) without rowid`.execute(db);
  await sql`create index record_what on record (what, name, day)`.execute(db);
  await sql`create table past_item (
    week text not null, key text not null, uid text not null, day text not null, on_day text not null,
    title text not null, kind text not null, start integer, list text, ticked integer not null,
    repeated integer not null, moved_from text, mark text, primary key (week, key)) without rowid`.execute(db);
  await sql`create index past_item_uid on past_item (uid, on_day)`.execute(db);
  await sql`create table past_week (week text primary key, as_of text not null) without rowid`.execute(db);
  await sql`alter table keep add column rating integer not null default 0`.execute(db);
  await sql`alter table keep add column tags text not null default '[]'`.execute(db);
  // a routine that was skipped may be kept: a mark more than its table knew
  await sql`alter table item_mark rename to old_item_mark`.execute(db);
  await sql`create table item_mark (uid text not null, day text not null,
    mark text not null check (mark in ('done', 'brought', 'let go', 'kept', 'both meant')),
    constraint item_mark_key primary key (uid, day))`.execute(db);
  await sql`insert into item_mark (uid, day, mark) select uid, day, mark from old_item_mark`.execute(db);
  await sql`drop table old_item_mark`.execute(db);
  // counted over ten years: the mark stands with its item, and follows what is said later
  for (const when of ['insert', 'update'])
    await sql
      .raw(
        `create trigger past_item_mark_${when} after ${when} on item_mark begin
          update past_item set mark = new.mark where uid = new.uid and on_day = new.day; end`,
      )
      .execute(db);
  await sql`create trigger past_item_mark_delete after delete on item_mark begin
    update past_item set mark = null where uid = old.uid and on_day = old.day; end`.execute(db);
  await sql`create virtual table week_text using fts5 (
    week, kit, manner, items, dinners, tags, notes, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')`.execute(
    db,
  );
  await sql`create table stale_week (week text primary key) without rowid`.execute(db);
  for (const [table, week] of WEEK_OF) {
    for (const [when, row] of [
      ['insert', 'new'],
      ['update', 'new'],
      ['delete', 'old'],
    ] as const) {
      // a statement's own way with conflicts goes before its triggers': "or ignore" would not hold under an upsert
      const note = `insert into stale_week select week from (${week(row)})
        where week is not null and week not in (select week from stale_week)`;
      await sql
        .raw(`create trigger stale_week_${table}_${when} after ${when} on ${table} begin ${note}; end`)
        .execute(db);
    }
  }
  await sql`insert into stale_week select distinct week from spread`.execute(db);
}
