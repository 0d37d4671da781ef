'use server';

import type ICAL from 'ical.js';
import { factsOf } from '../core/week/facts';
import { occurrencesBetween } from '../core/week/occurrences';
import { isoDay } from '../core/week/recur/wall';
import type { IsoDay } from '../core/week/week';
import { daysOfWeek, weekAfter, weekHolding, weekOf } from '../core/week/week';
import { houseWeekStart } from './week-start';
import { calendarsOf, ownerZone } from './calendars';
import { FindDto } from './dto/find.dto';
import { check } from './dto/check';
import { oneByOne } from './in-steps';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';
import { today } from './today';

export interface Found {
  readonly title: string;
  readonly day: IsoDay;
  readonly week: string;
  readonly calendar: string;
}

const WEEKS_BACK = 26;
const WEEKS_AHEAD = 53;
const MOST = 40;

/**
 * Where words are found, half a year back and a year ahead: of a series the next day, else the last; the coming ones
 * first.
 */
export async function findItems(input: unknown): Promise<Outcome<Found[]>> {
  return outcome(async () => {
    const words = check(FindDto, input, 'search').words.trim().toLowerCase();
    if (!words) return [];
    const db = await store();
    const now = await today();
    const zone = await ownerZone(db);
    const weekStart = await houseWeekStart(db);
    const first = daysOfWeek(weekAfter(weekOf(now), -WEEKS_BACK))[0] as IsoDay;
    const last = daysOfWeek(weekAfter(weekOf(now), WEEKS_AHEAD))[6] as IsoDay;
    const calendars = await calendarsOf(db);
    const bundles = calendars.flatMap((c) => c.bundles.map((bundle) => ({ bundle, calendar: c.name })));
    const found: (Found & { uid: string })[] = [];
    const says = (component: ICAL.Component): boolean => {
      const { title, list, categories } = factsOf(component);
      return [title, list ?? '', ...categories].join(' ').toLowerCase().includes(words);
    };
    await oneByOne(bundles, ({ bundle, calendar }) => {
      for (const o of occurrencesBetween(bundle, first, last, zone, says)) {
        const day = isoDay(o.start);
        found.push({ title: factsOf(o.component).title, day, week: weekHolding(day, weekStart), calendar, uid: o.uid });
      }
    });
    const byUid = new Map<string, Found>();
    for (const { uid, ...f } of found.sort((a, b) => (a.day < b.day ? -1 : 1))) {
      const known = byUid.get(uid);
      if (!known || known.day < now) byUid.set(uid, f);
    }
    return [...byUid.values()]
      .sort(
        (a, b) =>
          Number(a.day < now) - Number(b.day < now) ||
          (a.day < now ? (a.day < b.day ? 1 : -1) : a.day < b.day ? -1 : 1),
      )
      .slice(0, MOST);
  });
}
