import { shortDay } from './day-names';
import type { Demand } from './demand';
import { writtenText } from './demand';
import type { IsoDay, WeekName, WeekStart } from './week';
import { daysOfWeek, weekAfter } from './week';

/** What becomes of a day where the book of one week begins on another day than the book of the week before. */
export interface DayBetween {
  readonly day: IsoDay;
  /** on the pages of both, or of neither */
  readonly is: 'twice' | 'lost';
}

/**
 * The Sunday between two weeks whose books begin on different days; null where both begin alike.
 * @param before the day that the pages of the week before begin on
 */
export function dayBetween(week: WeekName, start: WeekStart, before: WeekStart): DayBetween | null {
  if (start === before) return null;
  const sunday = daysOfWeek(weekAfter(week, -1))[6] as IsoDay;
  return { day: sunday, is: start === 'monday' ? 'lost' : 'twice' };
}

/**
 * What a day asks for that is on no page goes onto the next one, with its own day's name before it: no item is lost
 * when books change. Bands are told by the days that are there.
 * @param items those of the lost day
 */
export const carriedOver = (items: readonly Demand[]): Demand[] =>
  items
    .filter((d) => d.kind !== 'band')
    .map((d) => ({
      ...d,
      key: `${d.key}~${d.on}`,
      title: `${shortDay(d.on)} ${writtenText(d)}`,
      day: 0,
      lastDay: 0,
      start: null,
      end: null,
      part: 'day' as const,
    }));
