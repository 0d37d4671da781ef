import ICAL from 'ical.js';
import { DateTime } from 'luxon';
import type { AgendaEntry } from '../week/agenda-entry';
import { DEMAND_KINDS, PARTS, ROOMS } from '../week/demand';
import type { IsoDay } from '../week/week';
import type { Calendar } from './calendar';
import { readCalendar } from './calendar';

const EMPTY = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Hobnail//EN\r\nEND:VCALENDAR\r\n';

/** A calendar with nothing in it. @param zone the owner's IANA zone */
export const emptyCalendar = (zone: string): string => EMPTY.replace('END:VCALENDAR', `X-WR-TIMEZONE:${zone}\r\nEND:VCALENDAR`);

/** The item as a person edits it; null when the calendar has none of that uid. */
export function entryOf(calendar: Calendar, uid: string): AgendaEntry | null {
  const component = masterOf(calendar.root, uid);
  const property = component && anchor(component);
  if (!component || !property) return null;
  const text = (name: string): string => String(component.getFirstPropertyValue(name) ?? '').trim();
  const at = property.getFirstValue() as ICAL.Time;
  const end = component.getFirstPropertyValue('dtend');
  const duration = component.getFirstPropertyValue('duration');
  const length = end instanceof ICAL.Time ? end.subtractDate(at).toSeconds() : duration instanceof ICAL.Duration ? duration.toSeconds() : 0;
  const rule = component.getFirstPropertyValue('rrule');
  const known = <T extends string>(list: readonly T[], value: string): T | null => list.find((k) => k === value.toLowerCase()) ?? null;
  return {
    uid, title: text('summary'), task: component.name === 'vtodo',
    day: dayOf(at), start: at.isDate ? null : at.hour * 60 + at.minute,
    minutes: at.isDate || length <= 0 ? null : Math.round(length / 60), days: at.isDate ? Math.max(1, Math.round(length / 86_400)) : 1,
    kind: known(DEMAND_KINDS, text('x-hobnail-kind')), part: known(PARTS, text('x-hobnail-part')), room: known(ROOMS, text('x-hobnail-room')),
    list: text('x-hobnail-list') || null, tentative: text('status').toUpperCase() === 'TENTATIVE',
    leadDays: Number(/^P(\d+)D/.exec(text('x-hobnail-lead'))?.[1] ?? 0), repeat: rule ? String(rule) : null,
  };
}

/**
 * The calendar with an item put in, new or in place of the one with its uid. What this project does not know of it
 * (notes, alarms, places, exceptions) stays as it was.
 */
export function putEntry(ics: string, entry: AgendaEntry, zone: string, stamp: string): string {
  const { root } = readCalendar(ics, 'calendar');
  const old = masterOf(root, entry.uid);
  const name = entry.task ? 'vtodo' : 'vevent';
  const component = old?.name === name ? old : new ICAL.Component(name);
  if (component !== old) {
    if (old) root.removeSubcomponent(old);
    root.addSubcomponent(component);
    component.updatePropertyWithValue('uid', entry.uid);
    component.updatePropertyWithValue('dtstamp', ICAL.Time.fromDateTimeString(stamp));
  }
  component.updatePropertyWithValue('summary', entry.title);
  setTimes(component, entry, zone);
  const set = (property: string, value: string | null): void => {
    component.removeAllProperties(property);
    if (value) component.addPropertyWithValue(property, value);
  };
  set('x-hobnail-kind', entry.kind);
  set('x-hobnail-part', entry.part);
  set('x-hobnail-room', entry.room);
  set('x-hobnail-list', entry.list);
  set('x-hobnail-lead', entry.leadDays ? `P${entry.leadDays}D` : null);
  if (entry.tentative) set('status', 'TENTATIVE');
  else if (String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'TENTATIVE') component.removeAllProperties('status');
  component.removeAllProperties('rrule');
  if (entry.repeat) component.addPropertyWithValue('rrule', ICAL.Recur.fromString(entry.repeat));
  return written(root);
}

/** The calendar without an item, all of its series. */
export function removeEntry(ics: string, uid: string): string {
  const { root } = readCalendar(ics, 'calendar');
  for (const component of itemsOf(root, uid)) root.removeSubcomponent(component);
  return written(root);
}

/** The calendar without one day of a series: an EXDATE, and no exception left for that day (RFC 5545, 3.8.5.1). */
export function skipOccurrence(ics: string, uid: string, day: IsoDay, zone: string): string {
  const { root } = readCalendar(ics, 'calendar');
  const master = masterOf(root, uid);
  const property = master && anchor(master);
  if (!master || !property) return ics;
  const start = property.getFirstValue() as ICAL.Time;
  const tzid = property.getFirstParameter('tzid');
  const here = tzid && !start.isDate ? DateTime.fromObject({ year: start.year, month: start.month, day: start.day, hour: start.hour, minute: start.minute }, { zone: tzid }) : null;
  const shift = here?.isValid ? DateTime.fromISO(dayOf(start)).diff(DateTime.fromISO(here.setZone(zone).toISODate() as string), 'days').days : 0;
  const skipped = start.clone();
  const date = DateTime.fromISO(day, { zone: 'utc' }).plus({ days: shift });
  skipped.year = date.year;
  skipped.month = date.month;
  skipped.day = date.day;
  const exdate = new ICAL.Property('exdate', master);
  if (tzid) exdate.setParameter('tzid', tzid);
  if (start.isDate) exdate.resetType('date');
  exdate.setValue(skipped);
  master.addProperty(exdate);
  for (const other of itemsOf(root, uid)) {
    const replaced = other.getFirstPropertyValue('recurrence-id');
    if (replaced instanceof ICAL.Time && dayOf(replaced) === dayOf(skipped)) root.removeSubcomponent(other);
  }
  return written(root);
}

const dayOf = (t: ICAL.Time): IsoDay => `${String(t.year).padStart(4, '0')}-${String(t.month).padStart(2, '0')}-${String(t.day).padStart(2, '0')}`;
const written = (root: ICAL.Component): string => `${root.toString()}\r\n`;

const itemsOf = (root: ICAL.Component, uid: string): ICAL.Component[] =>
  ['vevent', 'vtodo'].flatMap((name) => root.getAllSubcomponents(name)).filter((c) => String(c.getFirstPropertyValue('uid')) === uid);

const masterOf = (root: ICAL.Component, uid: string): ICAL.Component | undefined => {
  const items = itemsOf(root, uid);
  return items.find((c) => !c.hasProperty('recurrence-id')) ?? items[0];
};

const anchor = (c: ICAL.Component): ICAL.Property | null => (c.name === 'vtodo' ? (c.getFirstProperty('due') ?? c.getFirstProperty('dtstart')) : c.getFirstProperty('dtstart')) ?? null;

function setTimes(component: ICAL.Component, entry: AgendaEntry, zone: string): void {
  const old = anchor(component)?.getFirstParameter('tzid') ?? zone;
  for (const property of ['dtstart', 'dtend', 'due', 'duration']) component.removeAllProperties(property);
  const set = (name: string, text: string): void => {
    const property = new ICAL.Property(name, component);
    if (text.length === 10) {
      property.resetType('date');
      property.setValue(ICAL.Time.fromDateString(text));
    } else {
      property.setParameter('tzid', old);
      property.setValue(ICAL.Time.fromDateTimeString(text));
    }
    component.addProperty(property);
  };
  const clock = entry.start === null ? '' : `T${String(Math.floor(entry.start / 60)).padStart(2, '0')}:${String(entry.start % 60).padStart(2, '0')}:00`;
  // a repeating task needs a DTSTART for its rule to count from
  if (entry.task) {
    set('due', entry.day + clock);
    if (entry.repeat) set('dtstart', entry.day + clock);
    return;
  }
  set('dtstart', entry.day + clock);
  if (entry.start === null) set('dtend', DateTime.fromISO(entry.day).plus({ days: entry.days }).toISODate() as string);
  else if (entry.minutes) component.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(entry.minutes * 60));
}
