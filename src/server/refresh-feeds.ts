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
    return Promise.all(feeds.map((f) => askFeed(db, f)));
  });
}
