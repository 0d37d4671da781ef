import ICAL from 'ical.js';
import type { IANAZone } from 'luxon';
import type { Wall } from './wall';
import { wallOf } from './wall';
import { instantOf, wallIn, zoneNamed } from './zone';

/** The wall clock that an event is kept on, and the way from it to the owner's. */
export interface Clock {
  /** the time as the file writes it, on the event's own clock */
  read(time: ICAL.Time): Wall;
  /** from the event's clock to the owner's */
  toOwner(wall: Wall): Wall;
  /** from UTC to the event's clock */
  fromUtc(instant: number): Wall;
}

const same = (w: number): number => w;
/** A time on the owner's own clock as that shows it: of one in the hour that a change skips, an hour later. */
const shown =
  (owner: IANAZone) =>
  (w: Wall): Wall =>
    wallIn(owner, instantOf(w, owner));
export const wallOfTime = (t: ICAL.Time): Wall =>
  t.isDate ? wallOf(t.year, t.month, t.day) : wallOf(t.year, t.month, t.day, t.hour, t.minute, t.second);

/**
 * The clock of a date property. The tz database knows a named zone best, then the file's own VTIMEZONE;
 * a time without either is the owner's wall clock, and a day is the same day everywhere.
 */
export function clockOf(property: ICAL.Property, owner: IANAZone): Clock {
  const time = property.getFirstValue() as ICAL.Time;
  if (time.isDate) return { read: wallOfTime, toOwner: same, fromUtc: (i) => wallIn(owner, i) };
  if (time.zone === ICAL.Timezone.utcTimezone)
    return { read: wallOfTime, toOwner: (w) => wallIn(owner, w), fromUtc: same };
  const tzid = property.getFirstParameter('tzid');
  const named = tzid ? zoneNamed(tzid) : null;
  if (named && named.name !== owner.name) {
    return { read: wallOfTime, toOwner: (w) => wallIn(owner, instantOf(w, named)), fromUtc: (i) => wallIn(named, i) };
  }
  if (!named && tzid && time.zone && time.zone !== ICAL.Timezone.localTimezone) {
    const { zone } = time;
    const instant = (w: Wall): number => w - zone.utcOffset(ICAL.Time.fromJSDate(new Date(w), true)) * 1000;
    return {
      read: wallOfTime,
      toOwner: (w) => wallIn(owner, instant(w)),
      fromUtc: (i) => i + zone.utcOffset(ICAL.Time.fromJSDate(new Date(i), true)) * 1000,
    };
  }
  return { read: wallOfTime, toOwner: shown(owner), fromUtc: (i) => wallIn(owner, i) };
}
