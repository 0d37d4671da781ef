import { randomUUID } from 'node:crypto';
import { emptyCalendar, putEntry } from '../core/format/calendar-edit';
import type { AgendaEntry } from '../core/week/agenda-entry';
import type { AgendaStep } from '../db/agenda-edits';
import { editAgenda } from '../db/agenda-edits';
import { calendarText } from '../db/calendars';
import type { Database } from '../db/database';
import { calendarsOf, ownerZone } from './calendars';

/** The calendar that takes what is added here when there is no other that may be written. */
const OWN = 'household';

export const stamp = (): string => `${new Date().toISOString().slice(0, 19)}Z`;
export const newUid = (): string => `${randomUUID()}@hobnail`;

/** The calendar that takes what is added: the first one that is no feed. */
export const ownCalendar = async (db: Database): Promise<string> =>
  (await calendarsOf(db)).find((c) => !c.address)?.name ?? OWN;

/** What puts new items into the calendar that takes what is added, to be made within an edit. */
export async function puttingIn(
  db: Database,
  entries: readonly AgendaEntry[],
): Promise<(trx: Database) => Promise<AgendaStep>> {
  const [name, zone] = [await ownCalendar(db), await ownerZone(db)];
  return async (trx) => {
    const before = (await calendarText(trx, name)) ?? emptyCalendar(zone);
    return {
      on: 'calendar',
      name,
      text: entries.reduce((ics, entry) => putEntry(ics, entry, zone, stamp()), before),
    };
  };
}

/** Adds an item. @returns its uid */
export async function addItem(db: Database, entry: AgendaEntry): Promise<string> {
  const uid = newUid();
  const put = await puttingIn(db, [{ ...entry, uid }]);
  await editAgenda(db, { do: 'add item', title: entry.title }, async (trx) => [await put(trx)]);
  return uid;
}
