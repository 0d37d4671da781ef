import { sql } from 'kysely';
import type { Selectable } from 'kysely';
import { pieceKey } from '../core/kit/kit';
import type { Context } from '../core/spread/placement';
import type { Database } from './database';
import { transaction } from './database';
import { gatheredFacts } from './gathered';
import { asRect, asStrings } from './json';
import { prune } from './log';
import type { SpreadTable } from './schema';
import { isPlanned } from './stock';

export type SpreadRow = Selectable<SpreadTable>;

export const findSpread = (db: Database, id: number): Promise<SpreadRow | undefined> =>
  db.selectFrom('spread').selectAll().where('id', '=', id).executeTakeFirst();

export const findSpreadOfWeek = (db: Database, week: string): Promise<SpreadRow | undefined> =>
  db.selectFrom('spread').selectAll().where('week', '=', week).executeTakeFirst();

/** A new spread, and the logs of weeks long past shortened. @returns its id */
export function addSpread(
  db: Database,
  spread: Pick<SpreadRow, 'week' | 'book_id' | 'kit_id' | 'manner' | 'seed' | 'options'> & { readonly ways?: string },
): Promise<number> {
  return transaction(db, async (trx) => {
    const { id } = await trx.insertInto('spread').values(spread).returning('id').executeTakeFirstOrThrow();
    const past = await trx.selectFrom('spread').select('id').orderBy('week', 'desc').offset(FRESH).limit(2).execute();
    for (const old of past) await prune(trx, { room: 'spread', spread: old.id }, KEPT_OF_OLD);
    return id;
  });
}

/** So many of the latest weeks keep their whole log; earlier ones a few edits. */
const FRESH = 8;
const KEPT_OF_OLD = 10;

/** How a spread is laid out from now on; what lies on it stays. */
export async function setManner(
  db: Database,
  id: number,
  row: Pick<SpreadRow, 'manner' | 'options' | 'ways'>,
): Promise<void> {
  await db.updateTable('spread').set(row).where('id', '=', id).execute();
  await rise(db, id);
}

/** Notes that a spread's picture may be another from now on. */
export async function rise(db: Database, id: number): Promise<void> {
  await db
    .updateTable('spread')
    .set({ revision: sql<number>`revision + 1` })
    .where('id', '=', id)
    .execute();
}

/** Notes that a finding is wanted so, or not any more. @returns all that are */
export function setWaved(db: Database, id: number, key: string, wanted: boolean): Promise<string[]> {
  return transaction(db, async (trx) => {
    const row = await trx.selectFrom('spread').select('waved').where('id', '=', id).executeTakeFirst();
    const others = asStrings(row?.waved ?? '[]').filter((k) => k !== key);
    const waved = wanted ? [...others, key].slice(-MOST_WAVED) : others;
    await trx
      .updateTable('spread')
      .set({ waved: JSON.stringify(waved) })
      .where('id', '=', id)
      .execute();
    return waved;
  });
}

const MOST_WAVED = 300;

/** Parts of the stickers of some kits that other spreads have used. */
export async function usedElsewhere(
  db: Database,
  spreadId: number,
  kits: readonly string[],
): Promise<Context['usedElsewhere'][number][]> {
  const rows = await db
    .selectFrom('placement')
    .innerJoin('spread', 'spread.id', 'placement.spread_id')
    .leftJoin('keep', 'keep.spread_id', 'spread.id')
    .select(['placement.kit_id', 'code', 'copy', 'cut', 'week', 'locked', 'finished'])
    .where('placement.kit_id', 'in', kits)
    .where('placement.spread_id', '!=', spreadId)
    .execute();
  return rows.map((r) => ({
    kit: r.kit_id,
    code: r.code,
    copy: r.copy,
    cut: asRect(r.cut),
    ...(isPlanned(r) ? { plannedFor: r.week } : {}),
  }));
}

/** The kits that a spread may take from beside its own, and those that it has taken from. */
export async function stashOf(db: Database, id: number): Promise<string[]> {
  const [chosen, used, own] = await Promise.all([
    db.selectFrom('spread_stash').select('kit_id').where('spread_id', '=', id).orderBy('kit_id').execute(),
    db
      .selectFrom('placement')
      .innerJoin('spread', 'spread.id', 'placement.spread_id')
      .select(['placement.kit_id', 'code'])
      .distinct()
      .where('spread_id', '=', id)
      .whereRef('placement.kit_id', '!=', 'spread.kit_id')
      .orderBy('placement.kit_id')
      .execute(),
    db.selectFrom('spread').innerJoin('kit', 'kit.id', 'kit_id').select('facts').where('spread.id', '=', id).execute(),
  ]);
  const gathered = new Set(own.flatMap(({ facts }) => gatheredFacts(facts)?.gathered ?? []));
  const taken = used.filter(({ kit_id: kit, code }) => !gathered.has(pieceKey({ kit, code })));
  return [...new Set([...chosen, ...taken].map((r) => r.kit_id))].sort();
}

/** Chooses the kits that a spread may take from beside its own. */
export function chooseStash(db: Database, id: number, kits: readonly string[]): Promise<void> {
  return transaction(db, async (trx) => {
    await trx.deleteFrom('spread_stash').where('spread_id', '=', id).execute();
    if (kits.length)
      await trx
        .insertInto('spread_stash')
        .values(kits.map((kit_id) => ({ spread_id: id, kit_id })))
        .execute();
  });
}

/** A kit that was begun in an earlier week, with the latest such week. */
export interface Begun {
  readonly kit: string;
  readonly week: string;
}

/** Kits of earlier weeks, the latest first, of which copies are left that nobody touched. */
export async function kitsBegunBefore(db: Database, week: string, most: number): Promise<Begun[]> {
  const rows = await db
    .selectFrom('spread')
    .innerJoin('kit_stock', 'kit_stock.kit_id', 'spread.kit_id')
    .select((e) => ['spread.kit_id', e.fn.max('spread.week').as('last')])
    .where('spread.week', '<', week)
    .whereRef('kit_stock.touched', '>', sql<number>`0`)
    .where(sql<boolean>`kit_stock.total - kit_stock.touched - kit_stock.spoiled > 0`)
    .groupBy('spread.kit_id')
    .orderBy('last', 'desc')
    .limit(most)
    .execute();
  return rows.map((r) => ({ kit: r.kit_id, week: String(r.last) }));
}

/** What the spread that was begun last is laid out with. */
export const newestSpread = (
  db: Database,
): Promise<Pick<SpreadRow, 'kit_id' | 'manner' | 'options' | 'ways'> | undefined> =>
  db
    .selectFrom('spread')
    .select(['kit_id', 'manner', 'options', 'ways'])
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
