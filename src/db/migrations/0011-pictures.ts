import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** A sticker may have a picture, which lies beside the database under the hash of its bytes. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table piece add column picture text not null default ''`.execute(db);
}
