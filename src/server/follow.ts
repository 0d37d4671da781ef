import { readingCalendar } from '../core/format/calendar';
import { noNews } from '../core/format/calendar-changes';
import { BadInput, quoted } from '../core/format/fault';
import type { Database } from '../db/database';
import { editAgenda } from '../db/agenda-edits';
import { listCalendars, noteAsked } from '../db/calendars';
import { SubscribeDto } from './dto/agenda.dto';
import { check } from './dto/check';
import { feedAddress, fetchFeed, whyNot } from './feeds';
import { inSteps } from './in-steps';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { inStroke, store } from './store';

/** Takes a feed in: it is read once, and kept only when that went well and nobody stopped it. */
export function follow(input: unknown, signal?: AbortSignal): Promise<Outcome<{ name: string; items: number }>> {
  return outcome(async () => {
    const { name, address } = check(SubscribeDto, input, 'feed');
    const db = await store();
    const url = feedAddress(address);
    await mustBeFree(db, name);
    const answer = await fetchFeed(url, null, signal).catch((error: unknown) => {
      if (error instanceof BadInput) throw error;
      const found = signal?.aborted ? 'that it was stopped' : whyNot(error);
      throw new BadInput([{ file: 'feed', where: url, found, expected: 'a calendar file (.ics)' }]);
    });
    const text = answer?.text ?? '';
    const { root } = await inSteps(readingCalendar(text, name), undefined, signal);
    const read = { ics: text, etag: answer?.etag ?? null, changes: JSON.stringify(noNews) };
    await inStroke(async (trx) => {
      await mustBeFree(trx, name); // it dawdled, and another window may have been quicker
      await editAgenda(trx, { do: 'take in feed', name }, async () => [{ on: 'calendar', name, text, address: url }]);
      const made = (await listCalendars(trx)).find((c) => c.name === name);
      if (made) await noteAsked(trx, made.id, { at: new Date().toISOString(), trouble: null, read });
    });
    return { name, items: root.getAllSubcomponents('vevent').length + root.getAllSubcomponents('vtodo').length };
  });
}

async function mustBeFree(db: Database, name: string): Promise<void> {
  if ((await listCalendars(db)).some((c) => c.name === name))
    throw new BadInput([
      { file: 'feed', where: 'name', found: quoted(name), expected: 'a name that no calendar has yet' },
    ]);
}
