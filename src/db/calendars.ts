import { sql } from 'kysely';
import type { Database } from './database';
import type { CalendarTable } from './schema';

/** What is known of a calendar without its text, which may be long. */
export type CalendarHead = Omit<CalendarTable, 'ics' | 'id' | 'revision'> & {
  readonly id: number;
  readonly revision: number;
};

const HEAD = ['id', 'name', 'revision', 'address', 'etag', 'checked_at', 'read_at', 'trouble', 'changes'] as const;

export const listCalendars = (db: Database): Promise<CalendarHead[]> =>
  db
    .selectFrom('calendar')
    .select([...HEAD])
    .orderBy('id')
    .execute();

/** @returns null when there is none of that name */
export const calendarText = async (db: Database, name: string): Promise<string | null> =>
  (await db.selectFrom('calendar').select('ics').where('name', '=', name).executeTakeFirst())?.ics ?? null;

/** Stores a calendar's text; one of the same name is replaced by it and stays the feed it was. */
export async function putCalendar(
  db: Database,
  name: string,
  ics: string,
  address: string | null = null,
): Promise<void> {
  await db
    .insertInto('calendar')
    .values({ name, ics, address })
    .onConflict((c) => c.column('name').doUpdateSet({ ics, revision: sql`revision + 1` }))
    .execute();
}

export const deleteCalendar = async (db: Database, name: string): Promise<void> => {
  await db.deleteFrom('calendar').where('name', '=', name).execute();
};

/**
 * What asking a feed came to. Its text is left as it is where none is given: a feed that fails keeps its last good
 * copy.
 */
export async function noteAsked(
  db: Database,
  id: number,
  asked: {
    at: string;
    trouble: string | null;
    read?: { ics: string; etag: string | null; changes: string } | undefined;
  },
): Promise<void> {
  const { at, trouble, read } = asked;
  await db
    .updateTable('calendar')
    .where('id', '=', id)
    .set({
      checked_at: at,
      trouble,
      ...(read
        ? { ics: read.ics, etag: read.etag, changes: read.changes, read_at: at, revision: sql<number>`revision + 1` }
        : {}),
    })
    .execute();
}
