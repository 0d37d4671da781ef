import ICAL from 'ical.js';
import { DateTime } from 'luxon';
import type { Calendar } from '../format/calendar';
import type { IsoDay } from './week';

/** One happening of an event or to-do, in the owner's zone. */
export interface Occurrence {
  readonly component: ICAL.Component;
  readonly uid: string;
  readonly task: boolean;
  readonly allDay: boolean;
  readonly start: DateTime;
  /** the first moment after it; the same as `start` when it has no length */
  readonly end: DateTime;
}

/** An endless rule is followed no further than this many steps. */
const MOST_STEPS = 200_000;

/**
 * All that happens in the days from `first` to `last` (both in), with RRULE, RDATE, EXDATE and RECURRENCE-ID
 * followed by RFC 5545 in the zone of each event, then moved to the owner's zone.
 * @param zone the owner's IANA zone
 * @param leadDays how far beyond `last` a due date may lie whose task is planned ahead of it
 */
export function occurrencesBetween(calendar: Calendar, first: IsoDay, last: IsoDay, zone: string, leadDays = 0): Occurrence[] {
  const from = DateTime.fromISO(first, { zone });
  const until = DateTime.fromISO(last, { zone }).plus({ days: 1 + leadDays });
  const components = ['vevent', 'vtodo'].flatMap((name) => calendar.root.getAllSubcomponents(name)).filter((c) => isWanted(c) && mayTouch(c, from, until));
  const families = new Map<string, ICAL.Component[]>();
  components.forEach((component, i) => {
    const key = `${component.name}:${String(component.getFirstPropertyValue('uid') ?? `none-${i}`)}`;
    families.set(key, [...(families.get(key) ?? []), component]);
  });
  return [...families.values()].flatMap((family) => expand(family, from, until, zone));
}

function isWanted(component: ICAL.Component): boolean {
  const status = String(component.getFirstPropertyValue('status') ?? '').toUpperCase();
  return (status !== 'CANCELLED' || component.hasProperty('recurrence-id')) && status !== 'COMPLETED';
}

/** A quick look at the plain days, so that only what may lie in the span is worked out in its zone. Two days are given for zones. */
function mayTouch(component: ICAL.Component, from: DateTime, until: DateTime): boolean {
  if (component.hasProperty('rrule') || component.hasProperty('rdate') || component.hasProperty('recurrence-id')) return true;
  const start = anchor(component)?.getFirstValue() as ICAL.Time | undefined;
  if (!start) return true;
  if (dayNumber(start) > dayNumber(until) + 2) return false;
  const end = component.getFirstPropertyValue('dtend');
  const last = end instanceof ICAL.Time ? end : component.hasProperty('duration') ? null : start;
  return last === null || dayNumber(last) >= dayNumber(from) - 2;
}

function expand(family: readonly ICAL.Component[], from: DateTime, until: DateTime, zone: string): Occurrence[] {
  const exceptions = family.filter((c) => c.hasProperty('recurrence-id'));
  const replaced = new Map(exceptions.map((c) => [instantOf(c.getFirstProperty('recurrence-id') as ICAL.Property, zone).toMillis(), c]));
  const single = exceptions
    .filter((c) => String(c.getFirstPropertyValue('status') ?? '').toUpperCase() !== 'CANCELLED')
    .flatMap((c) => occurrence(c, zone, null));
  const series = family
    .filter((c) => !c.hasProperty('recurrence-id'))
    .flatMap((master) => startsOf(master, from, until, zone).filter((start) => !replaced.has(start.toMillis())).flatMap((start) => occurrence(master, zone, start)));
  return [...series, ...single].filter((o) => o.start < until && (o.end > from || (o.end >= from && o.start >= from)));
}

/** The moments a series begins, no earlier than needed and no later than `until`. */
function startsOf(master: ICAL.Component, from: DateTime, until: DateTime, zone: string): DateTime[] {
  const property = anchor(master);
  if (!property) return [];
  const start = property.getFirstValue() as ICAL.Time;
  const startAt = instantOf(property, zone);
  if (!master.hasProperty('rrule') && !master.hasProperty('rdate')) return [startAt];
  const length = lengthOf(master, zone, startAt);
  const early = dayNumber({ year: from.year, month: from.month, day: from.day }) - Math.ceil(length.as('days')) - 2;
  const found: DateTime[] = [];
  const expansion = new ICAL.RecurExpansion({ component: master, dtstart: start });
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = expansion.next();
    if (!next) break;
    if (dayNumber(next) < early) continue; // long before: not worth a look into the zone database
    const at = instant(next, tzidOf(property), zone);
    if (at >= until) break;
    if (at.plus(length) >= from) found.push(at);
  }
  return found;
}

/** Days since 1970 of a calendar day. */
const dayNumber = (d: { year: number; month: number; day: number }): number => Math.floor(Date.UTC(d.year, d.month - 1, d.day) / 86_400_000);

const anchor = (c: ICAL.Component): ICAL.Property | null =>
  (c.name === 'vtodo' ? (c.getFirstProperty('due') ?? c.getFirstProperty('dtstart')) : c.getFirstProperty('dtstart')) ?? null;

function occurrence(component: ICAL.Component, zone: string, start: DateTime | null): Occurrence[] {
  const property = anchor(component);
  if (!property) return [];
  const at = start ?? instantOf(property, zone);
  return [{
    component,
    uid: String(component.getFirstPropertyValue('uid') ?? `${String(component.getFirstPropertyValue('summary') ?? 'untitled')}@${at.toISO()}`),
    task: component.name === 'vtodo',
    allDay: (property.getFirstValue() as ICAL.Time).isDate,
    start: at,
    end: at.plus(lengthOf(component, zone, instantOf(property, zone))),
  }];
}

function lengthOf(component: ICAL.Component, zone: string, start: DateTime) {
  if (component.name === 'vtodo') return start.diff(start);
  const end = component.getFirstProperty('dtend');
  if (end) {
    const until = instantOf(end, zone);
    const units = (end.getFirstValue() as ICAL.Time).isDate ? (['days'] as const) : (['days', 'seconds'] as const);
    return (until < start ? start : until).diff(start, [...units]);
  }
  const duration = component.getFirstPropertyValue('duration');
  if (duration instanceof ICAL.Duration) return start.plus({ seconds: Math.max(0, duration.toSeconds()) }).diff(start);
  const allDay = (component.getFirstProperty('dtstart')?.getFirstValue() as ICAL.Time).isDate;
  return start.plus({ days: allDay ? 1 : 0 }).diff(start, ['days']);
}

const tzidOf = (property: ICAL.Property): string | undefined => property.getFirstParameter('tzid');
const instantOf = (property: ICAL.Property, zone: string): DateTime =>
  instant(property.getFirstValue() as ICAL.Time, tzidOf(property), zone);

/**
 * A calendar time in the owner's zone. The zone database knows a named zone best, then the file's own VTIMEZONE;
 * a time without either is the owner's wall clock.
 */
function instant(time: ICAL.Time, tzid: string | undefined, zone: string): DateTime {
  const wall = { year: time.year, month: time.month, day: time.day };
  if (time.isDate) return DateTime.fromObject(wall, { zone });
  const full = { ...wall, hour: time.hour, minute: time.minute, second: time.second };
  if (time.zone === ICAL.Timezone.utcTimezone) return DateTime.fromObject(full, { zone: 'utc' }).setZone(zone);
  if (tzid) {
    const named = DateTime.fromObject(full, { zone: tzid });
    if (named.isValid) return named.setZone(zone);
    if (time.zone !== ICAL.Timezone.localTimezone) return DateTime.fromSeconds(time.toUnixTime(), { zone });
  }
  return DateTime.fromObject(full, { zone });
}
