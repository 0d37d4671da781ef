import type { Book } from '../core/book/book';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import type { Database } from '../db/database';
import { factsOf } from '../db/kits';
import { likesOf } from '../db/likes';
import { favoritesOf } from '../db/manners';
import { boxesBefore } from './boxes-before';
import { setUnit } from './own-ways';
import { houseOptions } from './settings';
import { weekDemands } from './week-demands';
import { stocked } from './stash';

/** What was chosen for a week. */
export interface Chosen extends Pick<ContextData, 'manner' | 'options' | 'seed'> {
  readonly week: string;
  readonly book: Book;
  readonly kit: string;
  /** the kits beside its own */
  readonly stash: readonly string[];
  readonly ways: NonNullable<ContextData['ways']>;
}

/** The spread that a week has already: what lies on it is its own, not gone. */
export interface Begun {
  readonly id: number;
  readonly placements: readonly Placement[];
}

/** No spread has it. */
const NOT_BEGUN: Begun = { id: -1, placements: [] };

/**
 * What a week is laid out with: what was chosen, what of it is there, what must be on it, the house's own ways. One and
 * the same for a spread and for a week that is only looked at, so that what was shown is what is laid.
 * @returns null when its kit is not there
 */
export async function contextDataOf(
  db: Database,
  { week, book, kit, stash, manner, options, ways, seed }: Chosen,
  { id, placements }: Begun = NOT_BEGUN,
): Promise<ContextData | null> {
  const stock = await stocked(db, id, kit, stash, placements);
  if (!stock) return null;
  const kits = [...new Set([stock.kit, ...stock.stash].flatMap((k) => [k.name, ...k.pieces.map((p) => p.kit)]))];
  const [favorites, likes, useBy, demands, house, before, unit] = await Promise.all([
    favoritesOf(db, kits),
    likesOf(db, kits),
    useByOf(db, kits),
    weekDemands(db, week, book.weekStart),
    houseOptions(db),
    boxesBefore(db, week),
    setUnit(db),
  ]);
  return {
    book: unit ? { ...book, unit } : book,
    kit: stock.kit,
    stash: stock.stash,
    week: demands,
    manner,
    ways,
    options: { ...house, ...options },
    favorites,
    likes: Object.fromEntries(likes.map((l) => [`${l.kit}/${l.code}`, l.weight])),
    useBy,
    seed,
    boxesBefore: before,
    usedElsewhere: stock.gone,
  };
}

async function useByOf(db: Database, kits: readonly string[]): Promise<Record<string, string>> {
  const rows = await factsOf(db, kits);
  return Object.fromEntries(rows.flatMap((k) => (k.facts.useBy ? [[k.id, k.facts.useBy]] : [])));
}
