'use server';

import { revalidatePath } from 'next/cache';
import { listCalendars } from '../db/calendars';
import type { Asked } from './feeds';
import { askFeed } from './feeds';
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
