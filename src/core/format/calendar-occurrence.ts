import ICAL from 'ical.js';
import { anchorOf } from '../week/occurrences';
import { wallOfTime } from '../week/recur/clock';
import { DAY_MS, wallOfDay } from '../week/recur/wall';
import type { IsoDay } from '../week/week';
import { cleanLine } from '../measure/clean-text';
import { atWall, itemsOf, masterOf, replacedTime, sameDay, timeOn, timeProperty } from './calendar-parts';
import { editItems, ofItem } from './calendar-splice';

/** The calendar without one day of a series: an EXDATE, and no change left for that day (RFC 5545, 3.8.5.1). */
export function skipOccurrence(ics: string, uid: string, on: IsoDay, zone: string): string {
  return editItems(ics, ofItem(uid), (root) => {
    const master = masterOf(root, uid);
    const property = master && anchorOf(master);
    if (!master || !property) return;
    const skipped = timeOn(master, on, zone);
    master.addProperty(timeProperty('exdate', skipped, property, master));
    for (const other of itemsOf(root, uid)) {
      const replaced = replacedTime(other);
      if (replaced && sameDay(replaced, skipped)) root.removeSubcomponent(other);
    }
  });
}

/** What may be changed of a single occurrence. */
export interface OccurrenceChange {
  /** the day it moves to */
  readonly day?: IsoDay;
  readonly list?: string | null;
}

/**
 * The calendar with one occurrence changed: of a series only that one, by a RECURRENCE-ID (RFC 5545, 3.8.4.4);
 * what comes once is changed itself.
 * @param on the day its calendar has it
 */
export function changeOccurrence(ics: string, uid: string, on: IsoDay, change: OccurrenceChange, zone: string): string {
  return editItems(ics, ofItem(uid), (root) => {
    const master = masterOf(root, uid);
    if (!master || !anchorOf(master)) return;
    const component = isSeries(master) ? exceptionOn(root, master, uid, on, zone) : master;
    if (change.day) moveBy(component, (wallOfDay(change.day) - wallOfDay(on)) / DAY_MS);
    if (change.list !== undefined) {
      component.removeAllProperties('x-hobnail-list');
      if (change.list) component.addPropertyWithValue('x-hobnail-list', cleanLine(change.list));
    }
  });
}

const isSeries = (c: ICAL.Component): boolean => c.hasProperty('rrule') || c.hasProperty('rdate');

/** The change that a series has for a day; made, and equal to the series, where there is none. */
function exceptionOn(
  root: ICAL.Component,
  master: ICAL.Component,
  uid: string,
  on: IsoDay,
  zone: string,
): ICAL.Component {
  const planned = timeOn(master, on, zone);
  const known = itemsOf(root, uid).find((c) => {
    const t = replacedTime(c);
    return t !== null && sameDay(t, planned);
  });
  if (known) {
    // it may have been moved before: begin again from the series' own day
    moveBy(known, dayOf(planned) - dayOf((anchorOf(known) as ICAL.Property).getFirstValue() as ICAL.Time));
    return known;
  }
  const copy = new ICAL.Component(
    JSON.parse(JSON.stringify(master.toJSON())) as ConstructorParameters<typeof ICAL.Component>[0],
  );
  for (const name of ['rrule', 'rdate', 'exdate']) copy.removeAllProperties(name);
  root.addSubcomponent(copy);
  const property = anchorOf(copy) as ICAL.Property;
  copy.addProperty(timeProperty('recurrence-id', planned, property, copy));
  moveBy(copy, dayOf(planned) - dayOf(property.getFirstValue() as ICAL.Time));
  return copy;
}

const dayOf = (t: ICAL.Time): number => Math.floor(wallOfTime(t) / DAY_MS);

function moveBy(component: ICAL.Component, days: number): void {
  if (days === 0) return;
  for (const name of ['dtstart', 'dtend', 'due']) {
    const property = component.getFirstProperty(name);
    const time = property?.getFirstValue();
    if (property && time instanceof ICAL.Time) property.setValue(atWall(time, wallOfTime(time) + days * DAY_MS));
  }
}
