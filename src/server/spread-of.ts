import type { DayBetween } from '../core/week/day-between';
import { carriedOver, dayBetween } from '../core/week/day-between';
import type { WeekStart } from '../core/week/week';
import { weekAfter } from '../core/week/week';
import { weekStartOf } from './week-start';
import type { WorkPlan } from '../core/bench/plan';
import type { Options } from '../core/manner/options/registry';
import type { Ways } from '../core/manner/ways/registry';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import { demandsOfWeek } from '../core/week/demands';
import { makeReady } from '../core/week/occurrences';
import type { Demand, WeekDemands } from '../core/week/demand';
import { withTaughtWords } from '../core/week/taught';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { asObject, asStrings } from '../db/json';
import { factsOf } from '../db/kits';
import type { Keep } from '../db/keeps';
import { keepOf } from '../db/keeps';
import { likesOf } from '../db/likes';
import { favoritesOf } from '../db/manners';
import { marksBetween } from '../db/marks';
import { placementsOf } from '../db/placements';
import type { History } from '../db/spread-edits';
import { historyOf } from '../db/spread-edits';
import { findSpreadOfWeek, findSpread, stashOf } from '../db/spreads';
import { peelsOf } from '../db/sticker-facts';
import { ticksOf } from '../db/ticks';
import { workPlanOf } from '../db/work-plans';
import { calendarsOf, ownerZone } from './calendars';
import { oneByOne } from './in-steps';
import { boxesBefore } from './boxes-before';
import { ownClock, setUnit } from './own-ways';
import { houseOptions, taughtWords } from './settings';
import { stocked } from './stash';

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
  const stock = await stocked(db, id, row.kit_id, stashNames, placements);
  if (!book || !stock) return null;
  const kits = [stock.kit, ...stock.stash].map((k) => k.name);
  const [history, favorites, likes, ticked, peeled, useBy, week, house, keep, before, unit] = await Promise.all([
    historyOf(db, id),
    favoritesOf(db, kits),
    likesOf(db, kits),
    ticksOf(db, id),
    peelsOf(db, id),
    useByOf(db, kits),
    weekDemands(db, row.week, book.weekStart),
    houseOptions(db),
    keepOf(db, id),
    boxesBefore(db, row.week),
    setUnit(db),
  ]);
  const own = { options: asObject(row.options) as Partial<Options>, ways: asObject(row.ways) as Partial<Ways> };
  return {
    id,
    context: {
      book: unit ? { ...book, unit } : book,
      kit: stock.kit,
      stash: stock.stash,
      week,
      manner: row.manner,
      ways: own.ways,
      options: { ...house, ...own.options },
      favorites,
      likes: Object.fromEntries(likes.map((l) => [`${l.kit}/${l.code}`, l.weight])),
      peeled,
      useBy,
      ticked,
      seed: row.seed,
      boxesBefore: before,
      usedElsewhere: stock.gone,
    },
    placements,
    history,
    waved: asStrings(row.waved),
    work: workPlanOf(row.work),
    keep,
    own,
  };
}

async function useByOf(db: Database, kits: readonly string[]): Promise<Record<string, string>> {
  const rows = await factsOf(db, kits);
  return Object.fromEntries(rows.flatMap((k) => (k.facts.useBy ? [[k.id, k.facts.useBy]] : [])));
}

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
