import { dayAfter } from '../week/day-names';
import type { IsoDay } from '../week/week';

/** Days in a row on which a habit was kept. */
export interface Streaks {
  /** up to today, or up to yesterday while today is still to come */
  readonly now: number;
  readonly longest: number;
  /** days on which it was kept */
  readonly kept: number;
}

/**
 * The streaks of one habit.
 * @param days on which it was kept, in any order
 */
export function streaksOf(days: readonly IsoDay[], today: IsoDay): Streaks {
  const kept = [...new Set(days)].filter((d) => d <= today).sort();
  let longest = 0;
  let run = 0;
  let last = '';
  for (const day of kept) {
    run = last && dayAfter(last) === day ? run + 1 : 1;
    longest = Math.max(longest, run);
    last = day;
  }
  const goesOn = last === today || (last !== '' && dayAfter(last) === today);
  return { now: goesOn ? run : 0, longest, kept: kept.length };
}
