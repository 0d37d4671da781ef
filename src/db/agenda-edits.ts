import { calendarText, deleteCalendar, listCalendars, putCalendar } from './calendars';
import type { Database } from './database';
import { transaction } from './database';
import type { Splice } from './text-splice';
import { spliceOf, spliced } from './text-splice';
import type { Steps } from './log';
import { nextStep, noteStep, record, stepsOf } from './log';
import type { DayRecord } from '../core/keep/day-record';
import type { AgendaDeed } from '../core/week/deed';
import { markOf, setMark } from './marks';
import { putRecord, recordOf } from './records';

export type AgendaHistory = Steps<AgendaDeed>;

const AGENDA = { room: 'agenda' } as const;

/** What an edit does: a calendar's new text (null: no calendar), an item's new mark (null: none), or a day's record. */
export type AgendaStep =
  | { readonly on: 'calendar'; readonly name: string; readonly text: string | null; readonly address?: string | null }
  | { readonly on: 'mark'; readonly uid: string; readonly day: string; readonly mark: string | null }
  | { readonly on: 'record'; readonly record: DayRecord };

/** What it did, so that it can be undone: of a text only the part that differs, from the letter `at` on. */
type Effect =
  | ({ readonly on: 'calendar'; readonly name: string; readonly address?: string | null } & Splice)
  | {
      readonly on: 'mark';
      readonly uid: string;
      readonly day: string;
      readonly before: string | null;
      readonly after: string | null;
    }
  | { readonly on: 'record'; readonly before: DayRecord; readonly after: DayRecord };

export const agendaHistory = (db: Database): Promise<AgendaHistory> => stepsOf<AgendaDeed>(db, AGENDA);

/** Makes one edit of calendars and marks, in one transaction with its entry in the log. @returns its number there */
export function editAgenda(
  db: Database,
  deed: AgendaDeed,
  steps: (trx: Database) => Promise<readonly AgendaStep[]>,
): Promise<number> {
  return transaction(db, async (trx) => {
    const effects: Effect[] = [];
    for (const step of await steps(trx)) effects.push(await take(trx, step));
    return record(trx, AGENDA, deed, effects);
  });
}

async function take(db: Database, step: AgendaStep): Promise<Effect> {
  if (step.on === 'mark') {
    const before = await markOf(db, step.uid, step.day);
    await setMark(db, step.uid, step.day, step.mark);
    return { on: 'mark', uid: step.uid, day: step.day, before, after: step.mark };
  }
  if (step.on === 'record') {
    const before = (await recordOf(db, step.record)) ?? { ...step.record, amount: 0, text: '' };
    await putRecord(db, step.record);
    return { on: 'record', before, after: step.record };
  }
  const before = await calendarText(db, step.name);
  const address = step.address ?? (await listCalendars(db)).find((c) => c.name === step.name)?.address ?? null;
  if (step.text === null) await deleteCalendar(db, step.name);
  else await putCalendar(db, step.name, step.text, address);
  return { on: 'calendar', name: step.name, ...(address ? { address } : {}), ...spliceOf(before, step.text) };
}

/**
 * Takes the last edit back, or makes it again.
 * @param only the number of the one that is meant
 * @throws StaleStep where another one is the last
 * @returns false when there is none, or what it touched was changed otherwise since
 */
export function stepAgenda(db: Database, way: 'undo' | 'redo', only: number | null = null): Promise<boolean> {
  return transaction(db, async (trx) => {
    const edit = await nextStep(trx, AGENDA, way, only);
    if (!edit) return false;
    const effects = edit.effects as readonly Effect[];
    const steps: AgendaStep[] = [];
    for (const effect of way === 'undo' ? [...effects].reverse() : effects) {
      if (effect.on === 'mark') {
        steps.push({
          on: 'mark',
          uid: effect.uid,
          day: effect.day,
          mark: way === 'undo' ? effect.before : effect.after,
        });
        continue;
      }
      if (effect.on === 'record') {
        steps.push({ on: 'record', record: way === 'undo' ? effect.before : effect.after });
        continue;
      }
      const now = steps.reduce<string | null>(
        (text, step) => (step.on === 'calendar' && step.name === effect.name ? step.text : text),
        await calendarText(trx, effect.name),
      );
      const text = spliced(now, effect, way);
      if (text === undefined) return false;
      steps.push({ on: 'calendar', name: effect.name, address: effect.address ?? null, text });
    }
    for (const step of steps) await take(trx, step);
    await noteStep(trx, edit, way);
    return true;
  });
}
