import type { CalendarChanges } from '../core/format/calendar-changes';
import { calendarChanges, noChanges } from '../core/format/calendar-changes';
import { MOST_MEGABYTES, readingCalendar } from '../core/format/calendar';
import { decodeText } from '../core/format/decode';
import { BadInput, faultLine, quoted } from '../core/format/fault';
import type { CalendarHead } from '../db/calendars';
import { noteAsked } from '../db/calendars';
import type { Database } from '../db/database';
import type { KeptCalendar } from './calendars';
import { calendarsOf, readBundles } from './calendars';
import { inSteps } from './in-steps';

/** ms a feed is given to answer whole */
const PATIENCE = Number(process.env.HOBNAIL_FEED_PATIENCE ?? 10_000);
const LOOPBACK = /^(localhost|127(?:\.\d{1,3}){3}|\[::1\])$/;

export interface Asked {
  readonly name: string;
  readonly changes: CalendarChanges | null;
  readonly trouble: string | null;
}

/**
 * The address of a feed, made fit to be asked. Feeds are read from this machine alone: no request of Hobnail leaves it.
 * @throws BadInput saying what is wrong with it
 */
export function feedAddress(given: string): string {
  const wrong = (found: string, expected: string): BadInput =>
    new BadInput([{ file: 'feed', where: 'address', found, expected }]);
  const text = given.trim().replace(/^webcal:/i, 'http:');
  const url = URL.canParse(text) ? new URL(text) : null;
  if (!url || !/^https?:$/.test(url.protocol))
    throw wrong(
      `${quoted(given)}, which isn’t a web address`,
      'an address such as http://127.0.0.1:4390/household.ics',
    );
  if (!LOOPBACK.test(url.hostname))
    throw wrong(quoted(url.hostname), 'an address on this machine (127.0.0.1 or localhost); Hobnail asks no other');
  return url.href;
}

/** Asks a feed whether it has something newer. A feed that fails keeps its last good copy, and its trouble is noted. */
export async function askFeed(db: Database, feed: CalendarHead, now: () => Date = () => new Date()): Promise<Asked> {
  const at = now().toISOString();
  try {
    const answer = await fetchFeed(feedAddress(feed.address ?? ''), feed.etag);
    if (answer === null) {
      await noteAsked(db, feed.id, { at, trouble: null });
      return { name: feed.name, changes: null, trouble: null };
    }
    await inSteps(readingCalendar(answer.text, feed.name)); // whole, or nothing of it is taken
    const changes = await changesOf(await calendarsOf(db), answer.text, feed.name);
    // a service that says nothing of versions sends the same again and again: that is no change
    await noteAsked(db, feed.id, {
      at,
      trouble: null,
      read: noChanges(changes) ? undefined : { ics: answer.text, etag: answer.etag, changes: JSON.stringify(changes) },
    });
    return { name: feed.name, changes: noChanges(changes) ? null : changes, trouble: null };
  } catch (error) {
    const trouble = error instanceof BadInput ? error.faults.slice(0, 3).map(faultLine).join(' ') : whyNot(error);
    await noteAsked(db, feed.id, { at, trouble });
    return { name: feed.name, changes: null, trouble };
  }
}

/** What a newer text of a calendar changes of what is kept under its name. */
export async function changesOf(kept: readonly KeptCalendar[], text: string, name: string): Promise<CalendarChanges> {
  const older = kept.find((c) => c.name === name);
  const newer = await readBundles(text, name, older?.read ?? new Map());
  return inSteps(calendarChanges(older?.bundles ?? [], [...newer.values()]));
}

/** @returns null when it has not changed since */
export async function fetchFeed(
  address: string,
  etag: string | null,
  signal?: AbortSignal,
): Promise<{ text: string; etag: string | null } | null> {
  const response = await fetch(address, {
    headers: { accept: 'text/calendar', ...(etag ? { 'if-none-match': etag } : {}) },
    redirect: 'error',
    signal: AbortSignal.any([AbortSignal.timeout(PATIENCE), ...(signal ? [signal] : [])]),
    cache: 'no-store',
  });
  if (response.status === 304) return null;
  if (!response.ok) throw new Error(`it answered ${response.status} ${response.statusText}`.trim());
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    size += chunk.length;
    if (size > MOST_MEGABYTES * 2 ** 20) throw new Error(`it sent more than ${MOST_MEGABYTES} MB`);
    chunks.push(chunk);
  }
  return { text: decodeText(Buffer.concat(chunks), 'feed'), etag: response.headers.get('etag') };
}

/** Why a feed could not be had. */
export function whyNot(error: unknown): string {
  const { name, message, cause } = error as {
    name?: string;
    message?: string;
    cause?: { code?: string; message?: string };
  };
  if (name === 'TimeoutError') return `it did not answer within ${PATIENCE / 1000} s`;
  if (cause?.code === 'ECONNREFUSED') return 'nothing answers at its address';
  return message === 'fetch failed'
    ? `it could not be reached (${cause?.code ?? cause?.message ?? 'no reason given'})`
    : (message ?? 'it could not be read');
}
