import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** Books, kits, calendars, spreads with their edits, and bench ticks. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('book')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('name', 'text', (c) => c.notNull())
    .addColumn('json', 'text', (c) => c.notNull())
    .execute();
  await db.schema
    .createTable('kit')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('role', 'text', (c) => c.notNull().check(sql`role in ('kit', 'stash')`))
    .execute();
  await db.schema
    .createTable('piece')
    .addColumn('kit_id', 'text', (c) => c.notNull().references('kit.id').onDelete('cascade'))
    .addColumn('code', 'text', (c) => c.notNull())
    .addColumn('position', 'integer', (c) => c.notNull())
    .addColumn('kind', 'text', (c) => c.notNull())
    .addColumn('count', 'integer', (c) => c.notNull().check(sql`count >= 0`))
    .addColumn('width', 'real', (c) => c.notNull().check(sql`width > 0`))
    .addColumn('height', 'real', (c) => c.notNull().check(sql`height > 0`))
    .addColumn('sheet', 'integer', (c) => c.notNull())
    .addColumn('shape', 'text', (c) => c.notNull())
    .addColumn('color', 'text', (c) => c.notNull())
    .addColumn('accent', 'text', (c) => c.notNull())
    .addColumn('motif', 'text', (c) => c.notNull())
    .addColumn('words', 'text', (c) => c.notNull())
    .addColumn('icon', 'text', (c) => c.notNull())
    .addColumn('writable', 'text', (c) => c.notNull())
    .addColumn('opacity', 'real', (c) => c.notNull())
    .addColumn('finish', 'text', (c) => c.notNull())
    .addColumn('foil', 'text', (c) => c.notNull())
    .addColumn('rows', 'integer', (c) => c.notNull())
    .addColumn('faces', 'text', (c) => c.notNull())
    .addPrimaryKeyConstraint('piece_key', ['kit_id', 'code'])
    .execute();
  await db.schema
    .createTable('calendar')
    .addColumn('id', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('name', 'text', (c) => c.notNull().unique())
    .addColumn('ics', 'text', (c) => c.notNull())
    .execute();
  await db.schema
    .createTable('spread')
    .addColumn('id', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('week', 'text', (c) => c.notNull().unique())
    .addColumn('book_id', 'text', (c) => c.notNull().references('book.id'))
    .addColumn('kit_id', 'text', (c) => c.notNull().references('kit.id'))
    .addColumn('manner', 'text', (c) => c.notNull())
    .addColumn('seed', 'integer', (c) => c.notNull())
    .addColumn('options', 'text', (c) => c.notNull())
    .execute();
  await db.schema
    .createTable('placement')
    .addColumn('spread_id', 'integer', (c) => c.notNull().references('spread.id').onDelete('cascade'))
    .addColumn('id', 'text', (c) => c.notNull())
    .addColumn('kit_id', 'text', (c) => c.notNull())
    .addColumn('code', 'text', (c) => c.notNull())
    .addColumn('copy', 'integer', (c) => c.notNull())
    .addColumn('page', 'integer', (c) => c.notNull())
    .addColumn('x', 'real', (c) => c.notNull())
    .addColumn('y', 'real', (c) => c.notNull())
    .addColumn('w', 'real', (c) => c.notNull())
    .addColumn('h', 'real', (c) => c.notNull())
    .addColumn('turn', 'real', (c) => c.notNull())
    .addColumn('layer', 'integer', (c) => c.notNull())
    .addColumn('role', 'text', (c) => c.notNull())
    .addColumn('day', 'integer')
    .addColumn('cut', 'text')
    .addColumn('items', 'text', (c) => c.notNull())
    .addColumn('text', 'text')
    .addColumn('ink', 'text')
    .addColumn('locked', 'integer', (c) => c.notNull())
    .addPrimaryKeyConstraint('placement_key', ['spread_id', 'id'])
    .addForeignKeyConstraint('placement_piece', ['kit_id', 'code'], 'piece', ['kit_id', 'code'])
    .execute();
  await db.schema
    .createTable('edit')
    .addColumn('spread_id', 'integer', (c) => c.notNull().references('spread.id').onDelete('cascade'))
    .addColumn('seq', 'integer', (c) => c.notNull())
    .addColumn('label', 'text', (c) => c.notNull())
    .addColumn('change', 'text', (c) => c.notNull())
    .addColumn('undone', 'integer', (c) => c.notNull())
    .addPrimaryKeyConstraint('edit_key', ['spread_id', 'seq'])
    .execute();
  await db.schema
    .createTable('tick')
    .addColumn('spread_id', 'integer', (c) => c.notNull().references('spread.id').onDelete('cascade'))
    .addColumn('step', 'text', (c) => c.notNull())
    .addPrimaryKeyConstraint('tick_key', ['spread_id', 'step'])
    .execute();
}
