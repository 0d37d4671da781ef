import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/**
 * Kits are corrected for life: sums of the stock and the pictures of spreads follow a line that changes, and a clock
 * goes on with every change of kits and pieces. A sticker can be kept for later. Where its picture leaves room to
 * write is known of it.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table piece add column clear text`.execute(db);
  await kept(db);
  await sql`create table kit_clock (id integer primary key check (id = 1), time integer not null)`.execute(db);
  await sql`insert into kit_clock values (1, 1)`.execute(db);
  for (const table of ['kit', 'piece'])
    for (const when of ['insert', 'update', 'delete'])
      await sql
        .raw(
          `create trigger ${table}_${when}_ticks after ${when} on ${table} begin update kit_clock set time = time + 1; end`,
        )
        .execute(db);
  await sql`create trigger piece_changes after update on piece begin
    update kit_stock set total = total + new.count - old.count where kit_id = new.kit_id;
    update spread set revision = revision + 1
      where id in (select spread_id from placement where kit_id = new.kit_id and code = new.code); end`.execute(db);
}

/** `kept` among the changes of the stock; such a copy is whole, and nobody may take it. */
async function kept(db: Kysely<unknown>): Promise<void> {
  await sql`create table new_stock_event (
    seq integer primary key autoincrement,
    what text not null check (what in ('spoiled', 'used', 'found', 'kept')),
    kit_id text not null, code text not null, copy integer not null check (copy > 0), reason text not null, cut text,
    constraint stock_event_piece foreign key (kit_id, code) references piece (kit_id, code) on delete cascade)`.execute(
    db,
  );
  await sql`insert into new_stock_event (seq, what, kit_id, code, copy, reason, cut)
    select seq, what, kit_id, code, copy, reason, cut from stock_event`.execute(db);
  const { rows } = await sql<{
    sql: string;
  }>`select sql from sqlite_schema where tbl_name = 'stock_event' and type in ('trigger', 'index') and sql is not null`.execute(
    db,
  );
  await sql`drop table stock_event`.execute(db);
  await sql`alter table new_stock_event rename to stock_event`.execute(db);
  for (const row of rows) await sql.raw(row.sql).execute(db);
}
