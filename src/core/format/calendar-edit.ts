import ICAL from 'ical.js';
import { DateTime } from 'luxon';
import type { AgendaEntry } from '../week/agenda-entry';
import { factsOf } from '../week/facts';
import { anchorOf } from '../week/occurrences';
import { wallOfTime } from '../week/recur/clock';
import { isoDay } from '../week/recur/wall';
import { zoneNamed } from '../week/recur/zone';
import type { Calendar } from '../week/calendar';
import { cleanLine } from '../measure/clean-text';
import { BadInput, quoted } from './fault';
import { itemsOf, masterOf } from './calendar-parts';
import { editItems, ofItem } from './calendar-splice';

/** A calendar with nothing in it. */
export const EMPTY_CALENDAR = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Hobnail//EN\r\nEND:VCALENDAR\r\n';

/** A calendar with nothing in it. @param zone the owner's IANA zone */
export const emptyCalendar = (zone: string): string =>
  EMPTY_CALENDAR.replace('END:VCALENDAR', `X-WR-TIMEZONE:${zone}\r\nEND:VCALENDAR`);

/** The rule of an item as a person edits it: it ends on a day of the item's clock. Null where it has none. */
function repeatOf(component: ICAL.Component, calendarZone: string | null): string | null {
  const rule = component.getFirstPropertyValue('rrule');
  if (!rule) return null;
  // a name that is no zone's, such as another system's own, says nothing of the clock
  const named = [anchorOf(component)?.getFirstParameter('tzid'), calendarZone].flatMap((n) =>
    n ? [zoneNamed(n)] : [],
  );
  const zone = named.find((z) => z !== null) ?? 'utc';
  return String(rule).replace(
    /UNTIL=(\d{8}T\d{6}Z)/,
    (_, at: string) => `UNTIL=${DateTime.fromISO(at, { zone }).toFormat('yyyyLLdd')}`,
  );
}

const indexes = new WeakMap<ICAL.Component, ReadonlyMap<string, ICAL.Component>>();

/** The component of each uid that its series is written in; looked through once a calendar. */
function mastersOf(calendar: Calendar): ReadonlyMap<string, ICAL.Component> {
  const known = indexes.get(calendar.root);
  if (known) return known;
  const masters = new Map<string, ICAL.Component>();
  for (const component of ['vevent', 'vtodo'].flatMap((name) => calendar.root.getAllSubcomponents(name))) {
    const uid = String(component.getFirstPropertyValue('uid'));
    if (!masters.has(uid) || !component.hasProperty('recurrence-id')) masters.set(uid, component);
  }
  indexes.set(calendar.root, masters);
  return masters;
}

export const hasItem = (calendar: Calendar, uid: string): boolean => mastersOf(calendar).has(uid);

export interface Routine {
  readonly uid: string;
  readonly title: string;
  readonly round: string | null;
}

const routines = new WeakMap<ICAL.Component, readonly Routine[]>();

/** What comes round in a calendar; looked through once a calendar. */
export function routinesOf(calendar: Calendar): readonly Routine[] {
  const known = routines.get(calendar.root);
  if (known) return known;
  const found = [...mastersOf(calendar)]
    .filter(([, c]) => c.hasProperty('rrule'))
    .map(([uid, c]) => ({ uid, title: factsOf(c).title, round: factsOf(c).round }));
  routines.set(calendar.root, found);
  return found;
}

/** The item as a person edits it; null when the calendar has none of that uid. */
export function entryOf(calendar: Calendar, uid: string): AgendaEntry | null {
  const component = mastersOf(calendar).get(uid);
  const property = component && anchorOf(component);
  if (!component || !property) return null;
  const {
    title,
    kind,
    part,
    room,
    list,
    tentative,
    lead,
    dueShown,
    countdown,
    reminders,
    since,
    onlyWith,
    quiet,
    from,
  } = factsOf(component);
  const at = property.getFirstValue() as ICAL.Time;
  const end = component.getFirstPropertyValue('dtend');
  const duration = component.getFirstPropertyValue('duration');
  const length =
    end instanceof ICAL.Time
      ? end.subtractDate(at).toSeconds()
      : duration instanceof ICAL.Duration
        ? duration.toSeconds()
        : 0;
  return {
    uid,
    title,
    task: component.name === 'vtodo',
    kind,
    part,
    room,
    list,
    tentative,
    leadDays: lead,
    dueShown,
    countdown,
    reminders,
    since,
    onlyWith,
    quiet,
    from,
    day: isoDay(wallOfTime(at)),
    start: at.isDate ? null : at.hour * 60 + at.minute,
    minutes: at.isDate || length <= 0 ? null : Math.round(length / 60),
    days: at.isDate ? Math.max(1, Math.round(length / 86_400)) : 1,
    repeat: repeatOf(component, calendar.zone),
  };
}

/**
 * The calendar with an item put in, new or in place of the one with its uid. What this project does not know of it
 * (notes, alarms, places, exceptions) stays as it was.
 */
export function putEntry(ics: string, entry: AgendaEntry, zone: string, stamp: string): string {
  return editItems(ics, ofItem(entry.uid), (root) => put(root, entry, zone, stamp));
}

function put(root: ICAL.Component, entry: AgendaEntry, zone: string, stamp: string): void {
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
  const kept = component === old ? keptRule(component, entry, root) : null;
  setTimes(component, entry, zone);
  const set = (property: string, value: string | null): void => {
    component.removeAllProperties(property);
    // of a property that is not in the standard the value is written as it stands
    if (value) component.addPropertyWithValue(property, cleanLine(value));
  };
  set('x-hobnail-kind', entry.kind);
  set('x-hobnail-part', entry.part);
  set('x-hobnail-room', entry.room);
  set('x-hobnail-list', entry.list);
  set('x-hobnail-lead', entry.leadDays ? `P${entry.leadDays}D` : null);
  set('x-hobnail-due', entry.dueShown ? 'SHOWN' : null);
  set('x-hobnail-countdown', entry.countdown.join(','));
  set('x-hobnail-since', entry.since === null ? null : String(entry.since));
  set('x-hobnail-only-with', entry.onlyWith);
  set('x-hobnail-quiet', entry.quiet.join(','));
  set('x-hobnail-from', entry.from);
  setReminders(component, entry);
  if (entry.tentative) set('status', 'TENTATIVE');
  else if (String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'TENTATIVE')
    component.removeAllProperties('status');
  component.removeAllProperties('rrule');
  if (entry.repeat)
    component.addPropertyWithValue(
      'rrule',
      kept ?? ruleOf(entry.start === null ? entry.repeat : untilInUtc(entry.repeat, zone)),
    );
}

/** The rule as it is written, where nothing was changed of it: what a person edits ends on a day, not at a moment. */
function keptRule(component: ICAL.Component, { repeat, start }: AgendaEntry, root: ICAL.Component): ICAL.Recur | null {
  const time = anchorOf(component)?.getFirstValue();
  const before = time instanceof ICAL.Time && !time.isDate ? time.hour * 60 + time.minute : null;
  const said = root.getFirstPropertyValue('x-wr-timezone');
  const same = before === start && repeatOf(component, said ? String(said) : null) === repeat;
  const rule = component.getFirstPropertyValue('rrule');
  return same && rule instanceof ICAL.Recur ? rule : null;
}

function ruleOf(repeat: string): ICAL.Recur {
  try {
    return ICAL.Recur.fromString(repeat);
  } catch {
    const expected = 'a rule such as FREQ=WEEKLY;BYDAY=MO';
    throw new BadInput([{ file: 'item', where: 'entry.repeat', found: quoted(repeat), expected }]);
  }
}

/** The calendar without an item, all of its series. */
export const removeEntry = (ics: string, uid: string): string =>
  editItems(ics, ofItem(uid), (root) => {
    for (const component of itemsOf(root, uid)) root.removeSubcomponent(component);
  });

/** The UNTIL of a timed series is an instant in UTC (RFC 5545, 3.3.10): the end of its last day. */
const untilInUtc = (rule: string, zone: string): string =>
  rule.replace(
    /UNTIL=(\d{8})(?=;|$)/,
    (_, day: string) =>
      `UNTIL=${DateTime.fromISO(day, { zone }).endOf('day').toUTC().toFormat("yyyyLLdd'T'HHmmss'Z'")}`,
  );

/** A reminder is an alarm, days before, that other programs ring and this one writes down. Their own alarms stay. */
function setReminders(component: ICAL.Component, entry: AgendaEntry): void {
  for (const alarm of component.getAllSubcomponents('valarm'))
    if (alarm.hasProperty('x-hobnail-kind')) component.removeSubcomponent(alarm);
  for (const { days, text } of entry.reminders) {
    const alarm = new ICAL.Component('valarm');
    alarm.updatePropertyWithValue('action', 'DISPLAY');
    alarm.addPropertyWithValue('trigger', ICAL.Duration.fromString(`-P${days}D`));
    alarm.updatePropertyWithValue('description', text);
    alarm.updatePropertyWithValue('x-hobnail-kind', 'reminder');
    component.addSubcomponent(alarm);
  }
}

function setTimes(component: ICAL.Component, entry: AgendaEntry, zone: string): void {
  const old = anchorOf(component)?.getFirstParameter('tzid') ?? zone;
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
  const clock =
    entry.start === null
      ? ''
      : `T${String(Math.floor(entry.start / 60)).padStart(2, '0')}:${String(entry.start % 60).padStart(2, '0')}:00`;
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
