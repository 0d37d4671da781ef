import type { Unit } from '../core/measure/fraction';
import type { OwnWays } from '../core/manner/own-ways';
import type { HourClock } from '../core/week/demand';
import { HOUR_CLOCKS } from '../core/week/demand';
import { findBook, usualBook } from '../db/books';
import type { Database } from '../db/database';
import { readSetting } from '../db/settings';
import { recordHabits } from './settings';

const isClock = (value: unknown): value is HourClock => HOUR_CLOCKS.some((clock) => clock === value);
const isUnit = (value: unknown): value is Unit => value === 'in' || value === 'mm';

/** How the owner writes hours; of twelve until it is set. */
export const ownClock = async (db: Database): Promise<HourClock> => (await readSetting(db, 'clock', isClock)) ?? '12 h';

/** What the owner measures in, where that was set. */
export const setUnit = (db: Database): Promise<Unit | null> => readSetting(db, 'unit', isUnit);

/** What the owner measures in: as set, else as the usual book has it. */
export async function ownUnit(db: Database): Promise<Unit> {
  const set = await setUnit(db);
  if (set) return set;
  const usual = await usualBook(db);
  return (usual ? await findBook(db, usual) : null)?.unit ?? 'in';
}

/** How the owner writes hours, lengths and money. */
export async function ownWays(db: Database): Promise<OwnWays> {
  const [clock, unit, records] = await Promise.all([ownClock(db), ownUnit(db), recordHabits(db)]);
  return { clock, unit, currency: records.currency };
}
