import 'server-only';
import { cache } from 'react';
import type { ContextData } from '../core/arrange/context';
import type { Placement } from '../core/arrange/spread';
import { readCalendar } from '../core/format/calendar';
import { demandsOfWeek } from '../core/week/demands';
import type { WeekDemands } from '../core/week/demand';
import { findBook } from '../db/books';
import { listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { findKit, findKits } from '../db/kits';
import type { History } from '../db/spreads';
import { findSpread, historyOf, placementsOf, usedElsewhere } from '../db/spreads';
import { store } from './store';

/** Everything the spread and bench screens need, as plain data. */
export interface SpreadData {
  readonly id: number;
  readonly context: ContextData;
  readonly placements: readonly Placement[];
  readonly history: History;
}

/** @returns null when there is no such spread */
export async function loadSpread(id: number): Promise<SpreadData | null> {
  const db = await store();
  const row = Number.isSafeInteger(id) ? await findSpread(db, id) : undefined;
  if (!row) return null;
  const [book, kit, stash, placements, history, elsewhere] = await Promise.all([
    findBook(db, row.book_id), findKit(db, row.kit_id), findKits(db, 'stash'), placementsOf(db, id), historyOf(db, id), usedElsewhere(db, id),
  ]);
  if (!book || !kit) return null;
  const week = await weekDemands(db, row.week, book.weekStart);
  return {
    id,
    context: { book, kit, stash: stash.filter((s) => s.name !== kit.name), week, manner: row.manner, options: JSON.parse(row.options) as ContextData['options'], seed: row.seed, usedElsewhere: elsewhere },
    placements,
    history,
  };
}

/** All calendars, read once for a request. */
export const calendarsOf = cache(async (db: Database) => (await listCalendars(db)).map((c) => readCalendar(c.ics, c.name)));

export async function weekDemands(db: Database, week: string, weekStart: 'monday' | 'sunday'): Promise<WeekDemands> {
  return demandsOfWeek(await calendarsOf(db), week, weekStart);
}
