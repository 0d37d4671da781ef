import type ICAL from 'ical.js';
import { factsOf } from '../week/facts';
import type { Calendar } from '../week/calendar';

/** What a newer copy of a calendar has that the older had not; titles, each once, in the order of the file. */
export interface CalendarChanges {
  readonly added: readonly string[];
  readonly changed: readonly string[];
  readonly removed: readonly string[];
}

export const noNews: CalendarChanges = { added: [], changed: [], removed: [] };

export const noChanges = (c: CalendarChanges): boolean => c.added.length + c.changed.length + c.removed.length === 0;

/**
 * Compares by uid, step by step; yields the share that is done. The stamps that a service sets at every reading do not
 * count.
 * @param older,newer each in one or more bundles; one that both have is not looked at
 */
export function* calendarChanges(
  older: readonly Calendar[],
  newer: readonly Calendar[],
): Generator<number, CalendarChanges> {
  const [before, after] = [new Map<string, Content>(), new Map<string, Content>()];
  const same = new Set(older.map((c) => c.root).filter((root) => newer.some((c) => c.root === root)));
  for (const [into, calendars] of [
    [before, older],
    [after, newer],
  ] as const)
    for (const calendar of calendars) if (!same.has(calendar.root)) yield* addContents(into, calendar);
  const titles = (uids: readonly string[], from: ReadonlyMap<string, Content>): string[] => [
    ...new Set(uids.map((u) => (from.get(u) as Content).title)),
  ];
  return {
    added: titles(
      [...after.keys()].filter((u) => !before.has(u)),
      after,
    ),
    changed: titles(
      [...after.keys()].filter((u) => before.has(u) && before.get(u)?.text !== after.get(u)?.text),
      after,
    ),
    removed: titles(
      [...before.keys()].filter((u) => !after.has(u)),
      before,
    ),
  };
}

interface Content {
  readonly title: string;
  readonly text: string;
}

const STAMPS = ['dtstamp', 'last-modified', 'sequence', 'created'];

const ITEMS_A_STEP = 200;

function* addContents(found: Map<string, Content>, calendar: Calendar): Generator<number, void> {
  const items = ['vevent', 'vtodo'].flatMap((name) => calendar.root.getAllSubcomponents(name));
  for (const [i, component] of items.entries()) {
    if (i % ITEMS_A_STEP === 0) yield i / items.length;
    const { title } = factsOf(component);
    const uid = String(component.getFirstPropertyValue('uid') ?? title);
    const text = component
      .getAllProperties()
      .filter((p: ICAL.Property) => !STAMPS.includes(p.name))
      .map((p: ICAL.Property) => p.toICALString())
      .sort()
      .join('\n');
    found.set(uid, { title: found.get(uid)?.title ?? title, text: `${found.get(uid)?.text ?? ''}\n${text}` });
  }
}
