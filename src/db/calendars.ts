import type { Database } from './database';

export const listCalendars = (db: Database): Promise<{ name: string; ics: string }[]> =>
  db.selectFrom('calendar').select(['name', 'ics']).orderBy('id').execute();

/** Stores a calendar; one of the same name is replaced by it. */
export async function putCalendar(db: Database, name: string, ics: string): Promise<void> {
  await db.insertInto('calendar').values({ name, ics }).onConflict((c) => c.column('name').doUpdateSet({ ics })).execute();
}
