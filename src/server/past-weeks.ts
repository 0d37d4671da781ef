import type { IsoDay } from '../core/week/week';
import { weekAfter } from '../core/week/week';
import { weekOfDay, weekStartOf } from './week-start';
import { listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { firstKnown, keepWeek, keptWeeks } from '../db/past-items';
import { weekDemands } from './week-demands';

/** A week that has been over for so many weeks stays as it was kept, whatever its calendar says by then. */
const SETTLED_AFTER = 6;
/** Twenty years: a day that was mistyped must not make a thousand weeks more. */
const MOST_BACK = 1044;

/**
 * Keeps the items of weeks that are over, so that they are counted and looked for without reading calendars: all of
 * which something is known and that were not kept yet, and the last few again where a calendar was changed since.
 * @returns how many weeks
 */
export async function keepPastWeeks(db: Database, today: IsoDay): Promise<number> {
  const { week, day } = await firstKnown(db);
  const known = [...(week ? [week] : []), ...(day ? [await weekOfDay(db, day)] : [])].sort()[0];
  const now = await weekOfDay(db, today);
  if (!known || known >= now) return 0;
  const kept = await keptWeeks(db);
  const asOf = (await listCalendars(db)).map((c) => `${c.id} ${c.revision}`).join(', ');
  let n = 0;
  for (let back = 1; back <= MOST_BACK; back++) {
    const past = weekAfter(now, -back);
    if (past < known) break;
    const was = kept.get(past);
    if (was !== undefined && (was === asOf || back > SETTLED_AFTER)) continue;
    const weekStart = await weekStartOf(db, past);
    await keepWeek(db, await weekDemands(db, past, weekStart), asOf);
    n++;
  }
  return n;
}
