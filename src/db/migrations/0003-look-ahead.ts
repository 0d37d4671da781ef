import type { Kysely } from 'kysely';
import { sql } from 'kysely';

/** Calendars come from feeds, too; items get marks; settings; and one edit of the agenda may touch several of them. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const column of ['address', 'etag', 'checked_at', 'read_at', 'trouble', 'changes'])
    await db.schema.alterTable('calendar').addColumn(column, 'text').execute();
  await db.schema
    .alterTable('calendar')
    .addColumn('revision', 'integer', (c) => c.notNull().defaultTo(1))
    .execute();
  await db.schema
    .createTable('item_mark')
    .addColumn('uid', 'text', (c) => c.notNull())
    .addColumn('day', 'text', (c) => c.notNull())
    .addColumn('mark', 'text', (c) => c.notNull().check(sql`mark in ('done', 'brought', 'let go', 'both meant')`))
    .addPrimaryKeyConstraint('item_mark_key', ['uid', 'day'])
    .execute();
  await db.schema
    .createTable('setting')
    .addColumn('name', 'text', (c) => c.primaryKey())
    .addColumn('json', 'text', (c) => c.notNull())
    .execute();
  await db.schema.alterTable('agenda_edit').renameTo('old_agenda_edit').execute();
  await db.schema
    .createTable('agenda_edit')
    .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
    .addColumn('label', 'text', (c) => c.notNull())
    .addColumn('effects', 'text', (c) => c.notNull())
    .addColumn('undone', 'integer', (c) => c.notNull())
    .execute();
  await sql`insert into agenda_edit (seq, label, effects, undone)
    select seq, label, json_array(json_object('on', 'calendar', 'name', calendar, 'at', 0, 'before', before, 'after', after)), undone from old_agenda_edit`.execute(
    db,
  );
  await db.schema.dropTable('old_agenda_edit').execute();
}
