import { IANAZone } from 'luxon';
import type { Wall } from './wall';
import { DAY_MS, dayNumber } from './wall';

const zones = new Map<string, IANAZone | null>();
const offsets = new Map<string, number>();
const MOST_OFFSETS = 200_000;

/**
 * A zone of the tz database by the name a calendar file gives it; null when there is none.
 * Some programs write a path before the name: its last two parts are tried.
 */
export function zoneNamed(name: string): IANAZone | null {
  const known = zones.get(name);
  if (known !== undefined) return known;
  const zone =
    [name, name.split('/').slice(-2).join('/')].map((n) => IANAZone.create(n)).find((z) => z.isValid) ?? null;
  zones.set(name, zone);
  return zone;
}

/** How far a zone's clock is ahead of UTC at an instant; ms. Looked up once for a day on which it does not change. */
export function offsetAt(zone: IANAZone, instant: number): number {
  const day = dayNumber(instant);
  const key = `${zone.name}|${day}`;
  const known = offsets.get(key);
  if (known !== undefined && !Number.isNaN(known)) return known;
  const exact = zone.offset(instant) * 60_000;
  if (known === undefined) {
    if (offsets.size >= MOST_OFFSETS) offsets.clear();
    const still = zone.offset(day * DAY_MS) === zone.offset((day + 1) * DAY_MS);
    offsets.set(key, still ? exact : NaN);
  }
  return exact;
}

/**
 * The instant of a time on a zone's clock. Of a time that comes twice the first is meant; one that is skipped is read
 * with the offset from before the gap (RFC 5545, section 3.3.5).
 */
export function instantOf(wall: Wall, zone: IANAZone): number {
  const before = offsetAt(zone, wall - DAY_MS);
  const after = offsetAt(zone, wall + DAY_MS);
  if (before === after) return wall - before;
  if (offsetAt(zone, wall - before) === before) return wall - before;
  return offsetAt(zone, wall - after) === after ? wall - after : wall - before;
}

export const wallIn = (zone: IANAZone, instant: number): Wall => instant + offsetAt(zone, instant);

/** Where a zone's clock changes within a day, and by how many minutes; null when it does not. */
export function clockChange(zone: IANAZone, midnight: Wall): number | null {
  const minutes = Math.round(
    (offsetAt(zone, instantOf(midnight + DAY_MS, zone)) - offsetAt(zone, instantOf(midnight, zone))) / 60_000,
  );
  return minutes === 0 ? null : minutes;
}
