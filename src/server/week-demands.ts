import type { DayBetween } from '../core/week/day-between';
import { carriedOver, dayBetween } from '../core/week/day-between';
import type { Demand, WeekDemands } from '../core/week/demand';
import { demandsOfWeek } from '../core/week/demands';
import { makeReady } from '../core/week/occurrences';
import { withTaughtWords } from '../core/week/taught';
import type { WeekStart } from '../core/week/week';
import { weekAfter } from '../core/week/week';
import type { Database } from '../db/database';
import { marksBetween } from '../db/marks';
import { findSpreadOfWeek } from '../db/spreads';
import { calendarsOf, ownerZone } from './calendars';
import { oneByOne } from './in-steps';
import { ownClock } from './own-ways';
import { taughtWords } from './settings';
import { weekStartOf } from './week-start';

/** The day between a week and the one before it, where their books begin on different days. */
export async function dayBefore(db: Database, week: string, start: WeekStart): Promise<DayBetween | null> {
  const before = weekAfter(week, -1);
  return (await findSpreadOfWeek(db, before)) ? dayBetween(week, start, await weekStartOf(db, before)) : null;
}

/** What a week must hold, on its owner's clock. */
export async function weekDemands(db: Database, week: string, weekStart: WeekStart): Promise<WeekDemands> {
  const [calendars, zone, clock, marks, between] = await Promise.all([
    calendarsOf(db),
    ownerZone(db),
    ownClock(db),
    marksBetween(db, '', ''),
    dayBefore(db, week, weekStart),
  ]);
  const bundles = calendars.flatMap((c) => c.bundles);
  await oneByOne(bundles, (b) => makeReady(b, zone));
  const found = demandsOfWeek(bundles, week, weekStart, zone);
  const lost =
    between?.is === 'lost'
      ? demandsOfWeek(bundles, weekAfter(week, -1), 'monday', zone).demands.filter((d) => d.on === between.day)
      : [];
  const taught = await taughtWords(db);
  const written = (d: Demand): Demand => (clock === '12 h' ? d : { ...d, clock });
  return {
    ...found,
    demands: withTaughtWords([...carriedOver(lost.map(written)), ...found.demands.map(written)], taught),
    bothMeant: marks.filter((m) => m.mark === 'both meant').map((m) => m.uid),
  };
}
