import type { Someday } from '../core/format/someday';
import { somedayOf } from '../core/format/someday';
import { marksBetween } from '../db/marks';
import type { Database } from '../db/database';
import type { KeptCalendar } from './calendars';

/** Lists no longer than this are read by anyone. */
const MOST = 200;

/** What waits for a day of its own: tasks without a date, but for those that are done or let go. */
export async function someday(db: Database, calendars: readonly KeptCalendar[]): Promise<Someday[]> {
  const found = calendars.flatMap((c) => c.bundles.flatMap(somedayOf));
  if (!found.length) return [];
  const marked = new Set((await marksBetween(db, '0000-01-01', '9999-12-31')).map((m) => m.uid));
  return found.filter((s) => !marked.has(s.uid)).slice(0, MOST);
}
