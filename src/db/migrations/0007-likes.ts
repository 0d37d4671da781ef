import type { Kysely } from 'kysely';

/** What was learned of the owner's taste from swaps and removals; each can be switched off. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('learned_like')
    .addColumn('piece', 'text', (c) => c.primaryKey())
    .addColumn('weight', 'integer', (c) => c.notNull())
    .addColumn('off', 'integer', (c) => c.notNull().defaultTo(0))
    .execute();
}
