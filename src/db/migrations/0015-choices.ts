import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** How weeks were laid out is liked or not, too, school by school; each can be switched off. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table learned_choice (
    manner text not null, choice text not null, weight integer not null, off integer not null default 0,
    primary key (manner, choice)) without rowid`.execute(db);
  await sql`alter table keep add column loved_choices text not null default '[]'`.execute(db);
  await sql`alter table keep add column jarred_choices text not null default '[]'`.execute(db);
}
