import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/**
 * The bench to its end: when a step was ticked and how much tape it took, how its owner works on a spread, what came of
 * one that is on paper, and weeks that were given up, so that they can be taken up again.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table tick add column at text not null default ''`.execute(db);
  await sql`alter table tick add column tape real not null default 0`.execute(db);
  await sql`alter table spread add column work text not null default '{}'`.execute(db);
  await sql`create table keep (
    spread_id integer primary key references spread (id) on delete cascade,
    finished text not null, photo text not null default '', loved text not null default '[]',
    jarred text not null default '[]', note text not null default '')`.execute(db);
  await sql`create table given_up (
    id integer primary key autoincrement, week text not null, at text not null, rows text not null,
    stuck text not null)`.execute(db);
}
