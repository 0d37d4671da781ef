import { randomUUID } from 'node:crypto';
import { emptyCalendar, putEntry } from '../core/format/calendar-edit';
import type { AgendaEntry } from '../core/week/agenda-entry';
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

/** Adds an item. @returns its uid */
export async function addItem(db: Database, entry: AgendaEntry): Promise<string> {
  const uid = newUid();
  const name = await ownCalendar(db);
  const zone = await ownerZone(db);
  await editAgenda(db, { do: 'add item', title: entry.title }, async (trx) => [
    {
      on: 'calendar',
      name,
      text: putEntry((await calendarText(trx, name)) ?? emptyCalendar(zone), { ...entry, uid }, zone, stamp()),
    },
  ]);
  return uid;
}
