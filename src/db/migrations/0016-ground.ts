import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** What a sticker's picture shows where it is written on. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table piece add column ground text`.execute(db);
}
