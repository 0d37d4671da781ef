import type { IsoDay, WeekName, WeekStart } from '../core/week/week';
import { daysOfWeek, weekAfter, weekOf } from '../core/week/week';
import { findBook, usualBook } from '../db/books';
import type { Database } from '../db/database';
import { readSetting } from '../db/settings';
import { findSpreadOfWeek } from '../db/spreads';

const isWeekStart = (value: unknown): value is WeekStart => value === 'monday' || value === 'sunday';

/** The day that the owner's weeks begin on: as set, else as the usual book has it. */
export async function houseWeekStart(db: Database): Promise<WeekStart> {
  const set = await readSetting(db, 'week start', isWeekStart);
  if (set) return set;
  const usual = await usualBook(db);
  return (usual ? await findBook(db, usual) : null)?.weekStart ?? 'monday';
}

/** The day that a week's pages begin on: as its book has it, and as the owner's weeks do while it has none. */
export async function weekStartOf(db: Database, week: WeekName): Promise<WeekStart> {
  const spread = await findSpreadOfWeek(db, week);
  return (spread ? await findBook(db, spread.book_id) : null)?.weekStart ?? houseWeekStart(db);
}

/** The week on whose pages a day is; where two hold it, the first. */
export async function weekOfDay(db: Database, day: IsoDay): Promise<WeekName> {
  const week = weekOf(day);
  return daysOfWeek(week, await weekStartOf(db, week)).includes(day) ? week : weekAfter(week);
}
