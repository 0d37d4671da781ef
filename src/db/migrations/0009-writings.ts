import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** What is written straight onto the paper; and how large each sticker's text is written, as a share of the hand. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table placement add column size real not null default 1`.execute(db);
  await sql`create table writing (
    spread_id integer not null references spread (id) on delete cascade,
    id text not null,
    page integer not null, x real not null, y real not null, w real not null, h real not null,
    layer integer not null, role text not null, day integer,
    items text not null, text text, ink text, size real not null, locked integer not null,
    primary key (spread_id, id)) without rowid`.execute(db);
}
