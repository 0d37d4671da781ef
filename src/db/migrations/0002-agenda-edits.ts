import type { Kysely } from 'kysely';

/** Every edit of a calendar, as its text before and after, so that it can be undone. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('agenda_edit')
    .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('calendar', 'text', (c) => c.notNull())
    .addColumn('label', 'text', (c) => c.notNull())
    .addColumn('before', 'text')
    .addColumn('after', 'text', (c) => c.notNull())
    .addColumn('undone', 'integer', (c) => c.notNull())
    .execute();
}
