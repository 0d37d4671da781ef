'use server';

import { factsOf } from '../core/week/facts';
import { occurrencesBetween } from '../core/week/occurrences';
import { isoDay } from '../core/week/recur/wall';
import type { IsoDay } from '../core/week/week';
import { daysOfWeek, weekAfter, weekOf } from '../core/week/week';
import { calendarsOf, ownerZone } from './calendars';
import { FindDto } from './dto/find.dto';
import { check } from './dto/check';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store, today } from './store';

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
    const now = today();
    const zone = await ownerZone(db);
    const first = daysOfWeek(weekAfter(weekOf(now), -WEEKS_BACK))[0] as IsoDay;
    const last = daysOfWeek(weekAfter(weekOf(now), WEEKS_AHEAD))[6] as IsoDay;
    const found = (await calendarsOf(db)).flatMap(({ name, calendar }) =>
      occurrencesBetween(calendar, first, last, zone).flatMap((o): (Found & { uid: string })[] => {
        const { title, list, categories } = factsOf(o.component);
        if (![title, list ?? '', ...categories].join(' ').toLowerCase().includes(words)) return [];
        const day = isoDay(o.start);
        return [{ title, day, week: weekOf(day), calendar: name, uid: o.uid }];
      }),
    );
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
