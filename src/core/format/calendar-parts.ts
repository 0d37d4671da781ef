import ICAL from 'ical.js';
import { clockOf, wallOfTime } from '../week/recur/clock';
import type { Wall } from '../week/recur/wall';
import { DAY_MS, isoDay, wallOfDay } from '../week/recur/wall';
import { anchorOf, ownerClock } from '../week/occurrences';
import type { IsoDay } from '../week/week';

export const itemsOf = (root: ICAL.Component, uid: string): ICAL.Component[] =>
  ['vevent', 'vtodo']
    .flatMap((name) => root.getAllSubcomponents(name))
    .filter((c) => String(c.getFirstPropertyValue('uid')) === uid);

/** The component that a series is written in; the first one where it comes once. */
export const masterOf = (root: ICAL.Component, uid: string): ICAL.Component | undefined => {
  const items = itemsOf(root, uid);
  return items.find((c) => !c.hasProperty('recurrence-id')) ?? items[0];
};

/** A time as a property on the clock of another one. */
export function timeProperty(
  name: string,
  time: ICAL.Time,
  like: ICAL.Property,
  parent: ICAL.Component,
): ICAL.Property {
  const property = new ICAL.Property(name, parent);
  const tzid = like.getFirstParameter('tzid');
  if (time.isDate) property.resetType('date');
  else if (tzid) property.setParameter('tzid', tzid);
  property.setValue(time);
  return property;
}

/**
 * When a series happens on a day of the owner's, on the series' own clock.
 * @param master dated
 */
export function timeOn(master: ICAL.Component, day: IsoDay, zone: string): ICAL.Time {
  const property = anchorOf(master) as ICAL.Property;
  const begins = property.getFirstValue() as ICAL.Time;
  if (begins.isDate) return ICAL.Time.fromDateString(day);
  const clock = clockOf(property, ownerClock(zone));
  const ofDay = wallOfTime(begins) % DAY_MS;
  const wall =
    [0, -1, 1].map((d) => wallOfDay(day) + d * DAY_MS + ofDay).find((w) => isoDay(clock.toOwner(w)) === day) ??
    wallOfDay(day) + ofDay;
  return atWall(begins, wall);
}

/** The same kind of time, at another moment of its clock. */
export function atWall(time: ICAL.Time, wall: Wall): ICAL.Time {
  const moved = time.clone();
  const date = new Date(wall);
  moved.year = date.getUTCFullYear();
  moved.month = date.getUTCMonth() + 1;
  moved.day = date.getUTCDate();
  return moved;
}

/** The day a series' occurrence is replaced on, as its RECURRENCE-ID says; on the series' own clock. */
export const replacedTime = (c: ICAL.Component): ICAL.Time | null => {
  const value = c.getFirstPropertyValue('recurrence-id');
  return value instanceof ICAL.Time ? value : null;
};

export const sameDay = (a: ICAL.Time, b: ICAL.Time): boolean =>
  a.year === b.year && a.month === b.month && a.day === b.day;
