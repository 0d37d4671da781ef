import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/**
 * What is known of kits, changes of the stock that no spread made, kits planned for weeks, orders, supplies, and the
 * edits of all of these.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .alterTable('kit')
    .addColumn('facts', 'text', (c) => c.notNull().defaultTo('{}'))
    .execute();
  await db.schema
    .createTable('stock_event')
    .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('what', 'text', (c) => c.notNull().check(sql`what in ('spoiled', 'used', 'found')`))
    .addColumn('kit_id', 'text', (c) => c.notNull())
    .addColumn('code', 'text', (c) => c.notNull())
    .addColumn('copy', 'integer', (c) => c.notNull().check(sql`copy > 0`))
    .addColumn('reason', 'text', (c) => c.notNull())
    .addForeignKeyConstraint('stock_event_piece', ['kit_id', 'code'], 'piece', ['kit_id', 'code'], (f) =>
      f.onDelete('cascade'),
    )
    .execute();
  await db.schema
    .createTable('kit_week')
    .addColumn('week', 'text', (c) => c.primaryKey())
    .addColumn('kit_id', 'text', (c) => c.notNull().references('kit.id').onDelete('cascade'))
    .execute();
  await db.schema
    .createTable('order_item')
    .addColumn('id', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('what', 'text', (c) => c.notNull())
    .addColumn('count', 'integer', (c) => c.notNull().check(sql`count > 0`))
    .addColumn('shop', 'text', (c) => c.notNull())
    .addColumn('days', 'integer', (c) => c.notNull().check(sql`days >= 0`))
    .addColumn('needed_by', 'text', (c) => c.notNull())
    .addColumn('state', 'text', (c) => c.notNull().check(sql`state in ('to order', 'ordered', 'here')`))
    .execute();
  await db.schema
    .createTable('supply')
    .addColumn('name', 'text', (c) => c.primaryKey())
    .addColumn('unit', 'text', (c) => c.notNull())
    .addColumn('amount', 'real', (c) => c.notNull().check(sql`amount >= 0`))
    .addColumn('warn_at', 'real', (c) => c.notNull().check(sql`warn_at >= 0`))
    .execute();
  await db.schema
    .createTable('kit_edit')
    .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('label', 'text', (c) => c.notNull())
    .addColumn('effects', 'text', (c) => c.notNull())
    .addColumn('undone', 'integer', (c) => c.notNull())
    .execute();
}
