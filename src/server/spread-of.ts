import type { WorkPlan } from '../core/bench/plan';
import type { Options } from '../core/manner/options/registry';
import type { Ways } from '../core/manner/ways/registry';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { asObject, asStrings } from '../db/json';
import type { Keep } from '../db/keeps';
import { keepOf } from '../db/keeps';
import { placementsOf } from '../db/placements';
import type { History } from '../db/spread-edits';
import { historyOf } from '../db/spread-edits';
import { findSpread, stashOf } from '../db/spreads';
import { peelsOf } from '../db/sticker-facts';
import { ticksOf } from '../db/ticks';
import { workPlanOf } from '../db/work-plans';
import { contextDataOf } from './context-data';

/** Everything the spread and bench screens need, as plain data. */
export interface SpreadData {
  readonly id: number;
  readonly context: ContextData;
  readonly placements: readonly Placement[];
  readonly history: History;
  /** findings waved through, by their keys */
  readonly waved: readonly string[];
  /** how its owner works on it at the bench */
  readonly work: WorkPlan;
  /** what came of it; null while it is not on paper */
  readonly keep: Keep | null;
  /** what the spread itself sets beside its school's habits and the house's options */
  readonly own: { readonly options: Partial<Options>; readonly ways: Partial<Ways> };
}

/** @returns null when there is no such spread */
export async function spreadOf(db: Database, id: number): Promise<SpreadData | null> {
  const row = Number.isSafeInteger(id) ? await findSpread(db, id) : undefined;
  if (!row) return null;
  const [book, placements, stashNames] = await Promise.all([
    findBook(db, row.book_id),
    placementsOf(db, id),
    stashOf(db, id),
  ]);
  if (!book) return null;
  const own = { options: asObject(row.options) as Partial<Options>, ways: asObject(row.ways) as Partial<Ways> };
  const [context, history, ticked, peeled, keep] = await Promise.all([
    contextDataOf(
      db,
      { ...own, week: row.week, book, kit: row.kit_id, stash: stashNames, manner: row.manner, seed: row.seed },
      { id, placements },
    ),
    historyOf(db, id),
    ticksOf(db, id),
    peelsOf(db, id),
    keepOf(db, id),
  ]);
  if (!context) return null;
  return {
    id,
    context: { ...context, peeled, ticked },
    placements,
    history,
    waved: asStrings(row.waved),
    work: workPlanOf(row.work),
    keep,
    own,
  };
}
