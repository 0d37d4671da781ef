import type { Kysely } from 'kysely';

/** A spread's own ways, manners of one's own, favorite stickers, and the scans that books were measured from. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .alterTable('spread')
    .addColumn('ways', 'text', (c) => c.notNull().defaultTo('{}'))
    .execute();
  await db.schema
    .createTable('own_manner')
    .addColumn('name', 'text', (c) => c.primaryKey())
    .addColumn('school', 'text', (c) => c.notNull())
    .addColumn('options', 'text', (c) => c.notNull())
    .addColumn('ways', 'text', (c) => c.notNull())
    .execute();
  await db.schema
    .createTable('favorite')
    .addColumn('piece', 'text', (c) => c.primaryKey())
    .addColumn('liked', 'integer', (c) => c.notNull())
    .execute();
  await db.schema
    .createTable('book_scan')
    .addColumn('book_id', 'text', (c) => c.notNull().references('book.id').onDelete('cascade'))
    .addColumn('page', 'integer', (c) => c.notNull())
    .addColumn('type', 'text', (c) => c.notNull())
    .addColumn('data', 'blob', (c) => c.notNull())
    .addPrimaryKeyConstraint('book_scan_page', ['book_id', 'page'])
    .execute();
}
