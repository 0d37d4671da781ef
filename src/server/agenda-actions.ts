'use server';

import { randomUUID } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { emptyCalendar, putEntry, removeEntry, skipOccurrence } from '../core/format/calendar-edit';
import { BadInput, quoted } from '../core/format/fault';
import { agendaHistory, editCalendar, stepAgenda } from '../db/agenda-edits';
import type { AgendaHistory } from '../db/agenda-edits';
import { ownerZone, calendarOf } from './agenda';
import { AgendaHistoryDto, PutEntryDto, RemoveEntryDto } from './dto/agenda.dto';
import { check } from './dto/check';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** The calendar that takes what is added here when there is none yet. */
const OWN = 'household';

/** Adds an item, or changes the one with its uid. */
export async function saveEntry(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async () => {
    const { entry } = check(PutEntryDto, input, 'item');
    const db = await store();
    const zone = await ownerZone(db);
    const calendar = entry.uid ? await calendarOf(db, entry.uid) : null;
    if (entry.uid && !calendar) throw new BadInput([{ file: 'item', where: 'uid', found: quoted(entry.uid), expected: 'an item of your calendars' }]);
    const full = { ...entry, uid: entry.uid || `${randomUUID()}@hobnail`, start: entry.start ?? null, minutes: entry.minutes ?? null, kind: entry.kind ?? null, part: entry.part ?? null, room: entry.room ?? null, list: entry.list ?? null, repeat: entry.repeat ?? null };
    await editCalendar(db, calendar ?? OWN, `${entry.uid ? 'Change' : 'Add'} “${entry.title}”`, (ics) => putEntry(ics ?? emptyCalendar(zone), full, zone, `${new Date().toISOString().slice(0, 19)}Z`));
  });
}

/** Takes an item out: one day of its series, or all of it. */
export async function dropEntry(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async () => {
    const { uid, day } = check(RemoveEntryDto, input, 'item');
    const db = await store();
    const calendar = await calendarOf(db, uid);
    if (!calendar) throw new BadInput([{ file: 'item', where: 'uid', found: quoted(uid), expected: 'an item of your calendars' }]);
    const zone = await ownerZone(db);
    await editCalendar(db, calendar, day ? 'Take one day out' : 'Take an item out', (ics) => (day ? skipOccurrence(ics ?? '', uid, day, zone) : removeEntry(ics ?? '', uid)));
  });
}

export async function undoAgenda(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async () => {
    const { way } = check(AgendaHistoryDto, input, 'history');
    if (!(await stepAgenda(await store(), way))) throw new BadInput([{ file: 'agenda', where: way, found: 'nothing that fits', expected: 'an edit made here, and the calendar not read anew since' }]);
  });
}

async function changed(run: () => Promise<void>): Promise<Outcome<AgendaHistory>> {
  return outcome(async () => {
    await run();
    revalidatePath('/agenda');
    revalidatePath('/');
    return agendaHistory(await store());
  });
}
