import 'server-only';
import type { ContextData } from '../core/spread/context';
import type { Kit } from '../core/kit/kit';
import { peelsOf } from '../core/edit/peels';
import { STUCK } from '../core/edit/stick-down';
import { countedKit, goneBy } from '../core/kit/stock';
import type { Options } from '../core/manner/options';
import type { Ways } from '../core/manner/ways';
import type { Placement } from '../core/spread/placement';
import { demandsOfWeek } from '../core/week/demands';
import type { TaughtWord } from '../core/week/taught';
import { withTaughtWords } from '../core/week/taught';
import type { WeekDemands } from '../core/week/demand';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { findKit, listKits } from '../db/kits';
import { listLikes } from '../db/likes';
import { favoritesOf } from '../db/manners';
import { marksBetween } from '../db/marks';
import type { History } from '../db/spreads';
import { changesLabeled, findSpread, historyOf, kitsBegunBefore, placementsOf, usedElsewhere } from '../db/spreads';
import { readSetting } from '../db/settings';
import { stockEvents } from '../db/stock';
import { ticksOf } from '../db/ticks';
import { calendarsOf, ownerZone } from './calendars';
import { houseOptions } from './settings';
import { store } from './store';

/** Everything the spread and bench screens need, as plain data. */
export interface SpreadData {
  readonly id: number;
  readonly context: ContextData;
  readonly placements: readonly Placement[];
  readonly history: History;
  /** findings waved through, by their keys */
  readonly waved: readonly string[];
  /** what the spread itself sets beside its school's habits and the house's options */
  readonly own: { readonly options: Partial<Options>; readonly ways: Partial<Ways> };
}

/** @returns null when there is no such spread */
export async function loadSpread(id: number): Promise<SpreadData | null> {
  const db = await store();
  const row = Number.isSafeInteger(id) ? await findSpread(db, id) : undefined;
  if (!row) return null;
  const [book, kit, stash, placements, history, elsewhere, events, favorites, likes, ticked, stuck, kits] =
    await Promise.all([
      findBook(db, row.book_id),
      findKit(db, row.kit_id),
      stashFor(db, row),
      placementsOf(db, id),
      historyOf(db, id),
      usedElsewhere(db, id),
      stockEvents(db),
      favoritesOf(db),
      listLikes(db),
      ticksOf(db, id),
      changesLabeled(db, id, STUCK, 'Unlock ', 'Not stuck'),
      listKits(db),
    ]);
  if (!book || !kit) return null;
  const [week, house] = await Promise.all([weekDemands(db, row.week, book.weekStart), houseOptions(db)]);
  return {
    id,
    context: {
      peeled: peelsOf(stuck),
      ticked,
      useBy: Object.fromEntries(kits.flatMap((k) => (k.facts.useBy ? [[k.id, k.facts.useBy]] : []))),
      book,
      kit: countedKit(kit, events),
      stash: stash.map((s) => countedKit(s, events)),
      week,
      manner: row.manner,
      ways: JSON.parse(row.ways) as ContextData['ways'],
      favorites,
      likes: Object.fromEntries(likes.filter((l) => !l.off).map((l) => [l.piece, l.weight])),
      options: { ...house, ...(JSON.parse(row.options) as ContextData['options']) },
      seed: row.seed,
      usedElsewhere: [...elsewhere, ...goneBy(events)],
    },
    placements,
    history,
    waved: JSON.parse(row.waved) as string[],
    own: { options: JSON.parse(row.options) as Partial<Options>, ways: JSON.parse(row.ways) as Partial<Ways> },
  };
}

/**
 * The stash, and what is left of the kits of earlier weeks; not the week's own kit, nor one that is kept for another
 * week.
 */
export async function stashFor(
  db: Database,
  { week, kit_id }: { readonly week: string; readonly kit_id: string },
): Promise<Kit[]> {
  const begun = await kitsBegunBefore(db, week);
  const rows = (await listKits(db)).filter(
    (k) =>
      k.id !== kit_id &&
      (k.role === 'stash' || (begun.has(k.id) && (k.facts.keptFor === null || k.facts.keptFor === week))),
  );
  return (await Promise.all(rows.map((k) => findKit(db, k.id)))).flatMap((k) => k ?? []);
}

/** What a week must hold, on its owner's clock. */
export async function weekDemands(db: Database, week: string, weekStart: 'monday' | 'sunday'): Promise<WeekDemands> {
  const [calendars, zone, marks] = await Promise.all([calendarsOf(db), ownerZone(db), marksBetween(db, '', '')]);
  const found = demandsOfWeek(
    calendars.map((c) => c.calendar),
    week,
    weekStart,
    zone,
  );
  const taught = (await readSetting<TaughtWord[]>(db, 'taught words')) ?? [];
  return {
    ...found,
    demands: withTaughtWords(found.demands, taught),
    bothMeant: marks.filter((m) => m.mark === 'both meant').map((m) => m.uid),
  };
}
