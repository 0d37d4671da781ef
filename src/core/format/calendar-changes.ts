import type ICAL from 'ical.js';
import { factsOf } from '../week/facts';
import type { Calendar } from '../week/calendar';

/** What a newer copy of a calendar has that the older had not; titles, each once, in the order of the file. */
export interface CalendarChanges {
  readonly added: readonly string[];
  readonly changed: readonly string[];
  readonly removed: readonly string[];
}

export const noChanges = (c: CalendarChanges): boolean => c.added.length + c.changed.length + c.removed.length === 0;

/** Compares by uid. The stamps that a service sets at every reading do not count. */
export function calendarChanges(older: Calendar, newer: Calendar): CalendarChanges {
  const [before, after] = [contents(older), contents(newer)];
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

function contents(calendar: Calendar): Map<string, Content> {
  const found = new Map<string, Content>();
  for (const component of ['vevent', 'vtodo'].flatMap((name) => calendar.root.getAllSubcomponents(name))) {
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
  return found;
}
