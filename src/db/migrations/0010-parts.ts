import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/**
 * A change of the stock may be about a part of a sticker: a strip of which one end was spoiled is begun, not spoiled.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table stock_event add column cut text`.execute(db);
  for (const [name, when, row, sign] of [
    ['stock_event_adds', 'insert', 'new', '+'],
    ['stock_event_goes', 'delete', 'old', '-'],
  ] as const) {
    await sql.raw(`drop trigger ${name}`).execute(db);
    await sql
      .raw(
        `create trigger ${name} after ${when} on stock_event begin
    insert or ignore into copy_state (kit_id, code, copy) select ${row}.kit_id, ${row}.code, ${row}.copy where ${row}.what != 'found';
    update copy_state set
      gone = gone ${sign} (${row}.what = 'used' or (${row}.what = 'spoiled' and ${row}.cut is not null)),
      spoiled = spoiled ${sign} (${row}.what = 'spoiled' and ${row}.cut is null)
      where kit_id = ${row}.kit_id and code = ${row}.code and copy = ${row}.copy and ${row}.what != 'found';
    update kit_stock set total = total ${sign} (${row}.what = 'found') where kit_id = ${row}.kit_id; end`,
      )
      .execute(db);
  }
}
