import { setZone } from './settings';
import { DateTime, IANAZone } from 'luxon';
import type { Calendar } from '../core/week/calendar';
import { readCalendar, readingCalendar } from '../core/format/calendar';
import { EMPTY_CALENDAR, hasItem } from '../core/format/calendar-edit';
import { BadInput, quoted } from '../core/format/fault';
import type { CalendarHead } from '../db/calendars';
import { calendarText, listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { inSteps } from './in-steps';

export interface KeptCalendar extends CalendarHead {
  readonly calendar: Calendar;
}

interface Read {
  readonly revision: number;
  /** a promise, so that those who ask meanwhile wait for the same reading */
  readonly calendar: Promise<Calendar>;
}

/** Calendars as read, kept until their text changes: reading a long one takes a second. */
const held = globalThis as unknown as { hobnailCalendars?: WeakMap<object, Map<string, Read>> };

export async function calendarsOf(db: Database): Promise<KeptCalendar[]> {
  held.hobnailCalendars ??= new WeakMap();
  const known = held.hobnailCalendars.get(db) ?? new Map<string, Read>();
  held.hobnailCalendars.set(db, known);
  const kept: KeptCalendar[] = [];
  for (const head of await listCalendars(db)) {
    let read = known.get(head.name);
    if (read?.revision !== head.revision) {
      read = {
        revision: head.revision,
        calendar: calendarText(db, head.name).then((text) => asKept(text ?? '', head.name)),
      };
      known.set(head.name, read);
      read.calendar.catch(() => known.delete(head.name));
    }
    kept.push({ ...head, calendar: await read.calendar });
  }
  return kept;
}

/** A calendar that cannot be read at all costs its own items and says so; the others stand. */
async function asKept(text: string, name: string): Promise<Calendar> {
  try {
    return await inSteps(readingCalendar(text, name, { kept: true }));
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    const { root } = readCalendar(EMPTY_CALENDAR, name);
    return { root, zone: null, notes: [`It cannot be read, and its items are not shown. ${error.message}`] };
  }
}

/** The owner's zone: as set, else what the first calendar says, else this machine's. */
export async function ownerZone(db: Database): Promise<string> {
  const set = await setZone(db);
  const said = set ?? (await calendarsOf(db)).map((c) => c.calendar.zone).find((z) => z && IANAZone.isValidZone(z));
  return said ?? DateTime.local().zoneName;
}

/**
 * The calendar that an item is in. @throws BadInput where it is in none, or in a feed, which is changed only where it
 * comes from
 */
export async function editableCalendarOf(db: Database, uid: string): Promise<string> {
  const found = (await calendarsOf(db)).find((c) => hasItem(c.calendar, uid));
  if (!found)
    throw new BadInput([{ file: 'item', where: 'uid', found: quoted(uid), expected: 'an item of your calendars' }]);
  if (found.address)
    throw new BadInput([
      {
        file: 'item',
        where: `calendar ${quoted(found.name)}`,
        found: 'a feed, which is only read here',
        expected: 'a change made where the feed comes from',
      },
    ]);
  return found.name;
}
