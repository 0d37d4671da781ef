import 'server-only';
import { contextFrom } from '../core/spread/context';
import type { Enough, Wanted } from '../core/arrange/counting/enough';
import { isItEnough } from '../core/arrange/counting/enough';
import type { Book } from '../core/book/book';
import type { Kit } from '../core/kit/kit';
import { palette } from '../core/kit/kit';
import type { PieceStock } from '../core/kit/stock';
import { countedKit, stockOfKit } from '../core/kit/stock';
import type { Candidate, KitFacts, Suggestion } from '../core/kit/suggest';
import { isSoon, pairsThatGo, suggestKits } from '../core/kit/suggest';
import { spokenWeek } from '../core/week/day-names';
import { weekAfter, weekHolding } from '../core/week/week';
import { findBook, usualBook } from '../db/books';
import { houseWeekStart, weekStartOf } from './week-start';
import type { Database } from '../db/database';
import type { KitHistory } from '../db/kit-edits';
import { kitHistory } from '../db/kit-edits';
import type { KitRow } from '../db/kits';
import { allKits, findKit, listKits } from '../db/kits';
import { favoritesOf } from '../db/manners';
import type { OrderRow, Supply } from '../db/plans';
import { listOrders, listSupplies, plannedKits } from '../db/plans';
import type { SpreadRow } from '../db/spreads';
import { findSpreadOfWeek, stashOf } from '../db/spreads';
import type { KitSums } from '../db/stock';
import { kitSums, stockEvents, usesOf } from '../db/stock';
import { candidatesOf } from './candidates';
import { ownerHand } from './settings';
import { weekDemands } from './week-demands';
import { stocked, usualStash } from './stash';
import { asObject } from '../db/json';
import { ownUnit } from './own-ways';
import { store } from './store';
import { today } from './today';

/** A kit as the list of kits shows it. */
export interface KitLine extends Omit<KitSums, 'kit'> {
  readonly name: string;
  readonly role: 'kit' | 'stash';
  readonly swatches: readonly string[];
  readonly facts: KitFacts;
}

/** A week ahead, its kit, and whether that is enough. */
export interface KitWeek {
  readonly week: string;
  readonly title: string;
  readonly days: readonly string[];
  readonly kit: string | null;
  /** the spread that is begun with it; null while it is only planned */
  readonly spreadId: number | null;
  readonly items: number;
  readonly suggestions: readonly Suggestion[];
  readonly enough: readonly Enough[];
  /** share of the kit's copies that the week's spread has, and what that cost; null where the price is not known */
  readonly share: number;
  readonly cost: number | null;
}

export interface KitsPage {
  readonly today: string;
  /** code of the sticker that is looked at first */
  readonly piece: string | null;
  readonly kits: readonly KitLine[];
  readonly chosen: {
    readonly kit: Kit;
    readonly stock: readonly PieceStock[];
    readonly facts: KitFacts;
    readonly favorites: readonly string[];
  } | null;
  readonly weeks: readonly KitWeek[];
  readonly pairs: readonly { one: string; other: string; apart: number }[];
  readonly orders: readonly OrderRow[];
  readonly supplies: readonly Supply[];
  readonly history: KitHistory;
  readonly unit: 'mm' | 'in';
}

const WEEKS = 8;
const MOST_SUGGESTED = 3;

/**
 * @param name the kit to lie on the table; the first one when it is none
 * @param piece code of the sticker that is looked at
 */
export async function loadKits(name: string | undefined, piece?: string): Promise<KitsPage> {
  const db = await store();
  const [rows, sums, events, bookId] = await Promise.all([listKits(db), kitSums(db), stockEvents(db), usualBook(db)]);
  const book = bookId ? await findBook(db, bookId) : null;
  const kits = new Map((await allKits(db)).map((k) => [k.name, countedKit(k, events)] as const));
  const lines = rows.map((r): KitLine => {
    const { kit: _kit, ...counted } = sums.find((s) => s.kit === r.id) as KitSums;
    return { name: r.id, role: r.role, facts: r.facts, swatches: palette(kits.get(r.id) as Kit, 6), ...counted };
  });
  const candidates = candidatesOf(rows, kits, sums);
  const chosenRow =
    rows.find((r) => r.id === name) ?? rows.find((r) => r.role === 'kit' && !r.facts.retired) ?? rows[0];
  const plain = chosenRow && (await findKit(db, chosenRow.id));
  return {
    today: await today(),
    piece: piece ?? null,
    kits: lines,
    chosen:
      chosenRow && plain
        ? {
            kit: kits.get(chosenRow.id) as Kit,
            stock: stockOfKit(plain, await usesOf(db, chosenRow.id), events),
            facts: chosenRow.facts,
            favorites: await favoritesOf(db),
          }
        : null,
    weeks: book ? await weeksAhead(db, book, rows, kits, candidates) : [],
    pairs: pairsThatGo(candidates),
    orders: await listOrders(db),
    supplies: await listSupplies(db),
    history: await kitHistory(db),
    unit: await ownUnit(db),
  };
}

/** The coming weeks in order: what an earlier one will take of a kit is not there for a later one. */
async function weeksAhead(
  db: Database,
  usual: Book,
  rows: readonly KitRow[],
  kits: ReadonlyMap<string, Kit>,
  candidates: readonly Candidate[],
): Promise<KitWeek[]> {
  const [planned, hand, start] = await Promise.all([plannedKits(db), ownerHand(db), houseWeekStart(db)]);
  const spent = new Map<string, Map<Wanted, number>>();
  const weeks: KitWeek[] = [];
  for (let away = 0; away < WEEKS; away++) {
    const week = weekAfter(weekHolding(await today(), start), away);
    const spread = await findSpreadOfWeek(db, week);
    const demands = await weekDemands(db, week, spread ? await weekStartOf(db, week) : start);
    const name = spread?.kit_id ?? planned.get(week) ?? null;
    const kit = name ? kits.get(name) : undefined;
    const book = (spread && (await findBook(db, spread.book_id))) ?? usual;
    const used = kit && spread ? await usedOf(db, spread, kit) : 0;
    const price = rows.find((r) => r.id === name)?.facts.price ?? null;
    const stock =
      kit && !used
        ? await stocked(db, spread?.id ?? -1, kit.name, await stashNames(db, week, kit.name, spread), [])
        : null;
    const enough =
      kit && stock
        ? isItEnough(
            contextFrom({
              book,
              kit: stock.kit,
              stash: stock.stash,
              week: demands,
              manner: spread?.manner ?? 'scattered',
              ways: spread ? asObject(spread.ways) : {},
              options: { hand, ...(spread ? asObject(spread.options) : {}) },
              seed: 1,
              usedElsewhere: stock.gone,
            }),
            spent.get(kit.name),
            new Set(rows.filter((r) => isSoon(r.facts.useBy, demands.days[0] as string)).map((r) => r.id)),
          )
        : [];
    if (kit) spent.set(kit.name, plus(spent.get(kit.name), enough));
    weeks.push({
      week,
      title: spokenWeek(demands.days),
      days: demands.days,
      kit: name,
      spreadId: spread?.id ?? null,
      items: demands.demands.length,
      enough,
      suggestions: name
        ? []
        : suggestKits(
            demands,
            candidates.map((c) => ({ ...c, left: Math.max(0, c.left - shareOf(c.kit, spent.get(c.kit.name))) })),
          ).slice(0, MOST_SUGGESTED),
      share: used,
      cost: price === null || !used ? null : Math.round(price * used * 100) / 100,
    });
  }
  return weeks;
}

/** The kits that a week takes from beside its own: as chosen, or as usual while it is not begun. */
const stashNames = (db: Database, week: string, kit: string, spread: SpreadRow | undefined): Promise<string[]> =>
  spread ? stashOf(db, spread.id) : usualStash(db, week, kit);

/** The share of a kit's copies that a spread has. */
async function usedOf(db: Database, spread: SpreadRow, kit: Kit): Promise<number> {
  const copies = new Set(
    (await usesOf(db, kit.name)).filter((u) => u.where === spread.week).map((u) => `${u.code}#${u.copy}`),
  );
  const total = kit.pieces.reduce((n, p) => n + p.count, 0);
  return total ? copies.size / total : 0;
}

/** The share of a kit that planned weeks will have taken. */
function shareOf(kit: Kit, spent: ReadonlyMap<Wanted, number> = new Map()): number {
  const total = kit.pieces.reduce((n, p) => n + p.count, 0);
  return total ? [...spent.values()].reduce((n, m) => n + m, 0) / total : 0;
}

function plus(before: ReadonlyMap<Wanted, number> | undefined, enough: readonly Enough[]): Map<Wanted, number> {
  const sum = new Map(before);
  for (const e of enough) sum.set(e.what, (sum.get(e.what) ?? 0) + Math.min(e.needed, e.there));
  return sum;
}
