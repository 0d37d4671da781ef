import { DateTime, IANAZone } from 'luxon';
import type { Calendar } from '../core/week/calendar';
import { isolateErrors, troublesOf } from '../core/week/troubles';
import { cuttingCalendar, inPlace, readCalendar, readingCut } from '../core/format/calendar';
import { bundlesOf, textOf } from '../core/format/calendar-bundles';
import { EMPTY_CALENDAR, entryOf, hasItem } from '../core/format/calendar-edit';
import { roundsOf } from '../core/format/calendar-round';
import { BadInput, quoted } from '../core/format/fault';
import { mendedCalendar } from '../core/format/mended-calendar';
import type { AgendaEntry } from '../core/week/agenda-entry';
import type { Round } from '../core/week/round';
import type { CalendarHead } from '../db/calendars';
import { calendarText, listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { houseOf } from '../db/database';
import { inSteps } from './in-steps';
import { setZone } from './settings';

export interface KeptCalendar extends CalendarHead {
  /** all of it, a long one in several */
  readonly bundles: readonly Calendar[];
  /** the same by their texts */
  readonly read: Bundles;
}

/** What was read of each bundle of a calendar, by its text. */
type Bundles = ReadonlyMap<string, Calendar>;

interface Read {
  readonly revision: number;
  /** a promise, so that those who ask meanwhile wait for the same reading */
  readonly bundles: Promise<Bundles>;
}

type Known = Map<CalendarHead['id'], Read>;

/**
 * Calendars as read, by their rows, of which none is ever born again; kept until their text changes, and then in part:
 * reading a long one takes seconds. What a transaction reads is its own: it may be taken back, and its revision given
 * to another text.
 */
const held = globalThis as unknown as { hobnailCalendars?: WeakMap<Database, Known> };

export async function calendarsOf(db: Database): Promise<KeptCalendar[]> {
  const [known, own] = [knownOf(houseOf(db)), knownOf(db)];
  const kept: KeptCalendar[] = [];
  for (const head of await listCalendars(db)) {
    const isIt = (r: Read | undefined): r is Read => r?.revision === head.revision;
    let read = [own.get(head.id), known.get(head.id)].find(isIt);
    if (!read) {
      const before = (own.get(head.id) ?? known.get(head.id))?.bundles;
      const fresh: Read = {
        revision: head.revision,
        bundles: calendarText(db, head.name).then(async (text) =>
          readBundles(text ?? '', head.name, (await before?.catch(() => null)) ?? new Map()),
        ),
      };
      own.set(head.id, fresh);
      fresh.bundles.catch(() => own.get(head.id) === fresh && own.delete(head.id));
      read = fresh;
    }
    const bundles = await read.bundles;
    kept.push({ ...head, bundles: [...bundles.values()], read: bundles });
  }
  return kept;
}

function knownOf(db: Database): Known {
  held.hobnailCalendars ??= new WeakMap();
  const known = held.hobnailCalendars.get(db) ?? new Map<CalendarHead['id'], Read>();
  held.hobnailCalendars.set(db, known);
  return known;
}

/**
 * Reads a calendar, but for what was read of it before. One that cannot be read at all costs its own items and says
 * so; the others stand.
 */
export async function readBundles(text: string, name: string, before: Bundles): Promise<Bundles> {
  const bundles = await bundlesIn(text, name, before);
  if (!(bundles instanceof BadInput)) return bundles;
  const mended = await bundlesIn(mendedCalendar(text), name, before);
  if (!(mended instanceof BadInput)) return mended;
  const { root } = readCalendar(EMPTY_CALENDAR, name);
  const notes = [`It cannot be read, and its items are not shown. ${bundles.message}`];
  return new Map([['', { root, zone: null, notes }]]);
}

async function bundlesIn(text: string, name: string, before: Bundles): Promise<Bundles | BadInput> {
  try {
    const bundles = new Map<string, Calendar>();
    for (const cut of bundlesOf(await inSteps(cuttingCalendar(text, name)))) {
      const key = textOf(cut);
      const same = before.get(key);
      // what is said of it names lines, and those may have moved
      const holds = same && !same.notes.length && !troublesOf(same).length;
      bundles.set(key, holds ? inPlace(same, cut) : await inSteps(readingCut(cut, { kept: true })));
    }
    return bundles;
  } catch (error) {
    if (error instanceof BadInput) return error;
    throw error;
  }
}

/** The owner's zone: as set, else what the first calendar says, else this machine's. */
export async function ownerZone(db: Database): Promise<string> {
  const set = await setZone(db);
  const said =
    set ??
    (await calendarsOf(db)).flatMap((c) => c.bundles.map((b) => b.zone)).find((z) => z && IANAZone.isValidZone(z));
  return said ?? DateTime.local().zoneName;
}

/** How many items a calendar has. */
export const countItems = ({ bundles }: Pick<KeptCalendar, 'bundles'>): number =>
  bundles.reduce((n, { root }) => n + countOf(root, 'vevent') + countOf(root, 'vtodo'), 0);

const countOf = (root: Calendar['root'], name: string): number => root.getAllSubcomponents(name).length;

/** The item of a uid as a person edits it, and the calendar it is in; null where none has it. */
export function findEntry(
  calendars: readonly KeptCalendar[],
  uid: string,
): { readonly calendar: KeptCalendar; readonly entry: AgendaEntry } | null {
  for (const calendar of calendars)
    for (const bundle of calendar.bundles) {
      const [entry] = hasItem(bundle, uid) ? isolateErrors(bundle, bundle.root, () => [entryOf(bundle, uid)]) : [];
      if (entry) return { calendar, entry };
    }
  return null;
}

/** All rounds of a calendar. */
export const roundsIn = ({ bundles }: KeptCalendar): readonly Round[] =>
  bundles[0] ? isolateErrors(bundles[0], bundles[0].root, () => roundsOf(...bundles)) : [];

/**
 * The calendar that an item is in. @throws BadInput where it is in none, or in a feed, which is changed only where it
 * comes from
 */
export async function editableCalendarOf(db: Database, uid: string): Promise<string> {
  const found = (await calendarsOf(db)).find((c) => c.bundles.some((b) => hasItem(b, uid)));
  if (!found)
    throw new BadInput([{ file: 'item', where: 'uid', found: quoted(uid), expected: 'an item of your calendars' }]);
  if (found.address)
    throw new BadInput([
      {
        file: 'item',
        where: `calendar ${quoted(found.name)}`,
        found: 'a feed, which is only read here',
        expected: 'a change made where the feed comes from',
      },
    ]);
  return found.name;
}
