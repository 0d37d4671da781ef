import { listCalendars, putCalendar } from './calendars';
import type { Database } from './database';

/** No more edits than these are kept to be undone; a calendar's text is kept with each. */
const KEPT = 50;

export interface AgendaHistory {
  readonly undo: string | null;
  readonly redo: string | null;
}

export async function agendaHistory(db: Database): Promise<AgendaHistory> {
  const edits = await db.selectFrom('agenda_edit').select(['label', 'undone']).orderBy('seq').execute();
  return { undo: edits.filter((e) => !e.undone).at(-1)?.label ?? null, redo: edits.find((e) => e.undone)?.label ?? null };
}

/** Changes one calendar's text, in one transaction with its entry in the history. */
export function editCalendar(db: Database, calendar: string, label: string, change: (ics: string | null) => string): Promise<void> {
  return db.transaction().execute(async (trx) => {
    const before = (await listCalendars(trx)).find((c) => c.name === calendar)?.ics ?? null;
    const after = change(before);
    await trx.deleteFrom('agenda_edit').where('undone', '=', 1).execute();
    await putCalendar(trx, calendar, after);
    await trx.insertInto('agenda_edit').values({ calendar, label, before, after, undone: 0 }).execute();
    const old = await trx.selectFrom('agenda_edit').select('seq').orderBy('seq', 'desc').offset(KEPT).limit(1).executeTakeFirst();
    if (old) await trx.deleteFrom('agenda_edit').where('seq', '<=', old.seq).execute();
  });
}

/** Takes the last edit back, or makes it again. @returns false when there is none, or the calendar was replaced since */
export function stepAgenda(db: Database, way: 'undo' | 'redo'): Promise<boolean> {
  return db.transaction().execute(async (trx) => {
    const edit = await trx.selectFrom('agenda_edit').selectAll().where('undone', '=', way === 'undo' ? 0 : 1).orderBy('seq', way === 'undo' ? 'desc' : 'asc').executeTakeFirst();
    const now = edit && (await listCalendars(trx)).find((c) => c.name === edit.calendar)?.ics;
    if (!edit || (now ?? null) !== (way === 'undo' ? edit.after : edit.before)) return false;
    const wanted = way === 'undo' ? edit.before : edit.after;
    if (wanted === null) await trx.deleteFrom('calendar').where('name', '=', edit.calendar).execute();
    else await putCalendar(trx, edit.calendar, wanted);
    await trx.updateTable('agenda_edit').set({ undone: way === 'undo' ? 1 : 0 }).where('seq', '=', edit.seq).execute();
    return true;
  });
}
