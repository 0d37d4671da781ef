import type { Kysely } from 'kysely';

/** Findings that the owner of a spread wants so. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .alterTable('spread')
    .addColumn('waved', 'text', (c) => c.notNull().defaultTo('[]'))
    .execute();
}
