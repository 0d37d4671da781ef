'use server';

import { revalidatePath } from 'next/cache';
import { readingCalendar } from '../core/format/calendar';
import { BadInput, quoted } from '../core/format/fault';
import { editAgenda } from '../db/agenda-edits';
import { listCalendars, noteAsked } from '../db/calendars';
import { SubscribeDto } from './dto/agenda.dto';
import { check } from './dto/check';
import type { Asked } from './feeds';
import { askFeed, feedAddress, fetchFeed } from './feeds';
import { inSteps } from './in-steps';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Asks all feeds for what is new. */
export async function refreshFeeds(): Promise<Outcome<Asked[]>> {
  return outcome(async () => {
    const db = await store();
    const feeds = (await listCalendars(db)).filter((c) => c.address);
    const asked = await Promise.all(feeds.map((f) => askFeed(db, f)));
    if (asked.length) revalidatePath('/', 'layout');
    return asked;
  });
}

/** Takes a feed in: it is read once, and kept only when that went well. */
export async function subscribe(input: unknown): Promise<Outcome<{ name: string; items: number }>> {
  return outcome(async () => {
    const { name, address } = check(SubscribeDto, input, 'feed');
    const db = await store();
    const url = feedAddress(address);
    if ((await listCalendars(db)).some((c) => c.name === name))
      throw new BadInput([
        { file: 'feed', where: 'name', found: quoted(name), expected: 'a name that no calendar has yet' },
      ]);
    const answer = await fetchFeed(url, null).catch((error: unknown) => {
      throw error instanceof BadInput
        ? error
        : new BadInput([
            {
              file: 'feed',
              where: url,
              found: error instanceof Error ? error.message : String(error),
              expected: 'a calendar file (.ics)',
            },
          ]);
    });
    const { root } = await inSteps(readingCalendar(answer?.text ?? '', name));
    await editAgenda(db, { do: 'take in feed', name }, async () => [
      { on: 'calendar', name, text: answer?.text ?? '', address: url },
    ]);
    const at = new Date().toISOString();
    await noteAsked(db, name, {
      at,
      trouble: null,
      read: {
        ics: answer?.text ?? '',
        etag: answer?.etag ?? null,
        changes: JSON.stringify({ added: [], changed: [], removed: [] }),
      },
    });
    revalidatePath('/', 'layout');
    return { name, items: root.getAllSubcomponents('vevent').length + root.getAllSubcomponents('vtodo').length };
  });
}
