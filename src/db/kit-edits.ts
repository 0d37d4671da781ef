import type { KitDeed } from '../core/kit/deed';
import { pieceKey } from '../core/kit/kit';
import type { Selectable } from 'kysely';
import type { Correction } from '../core/kit/correction';
import type { Database } from './database';
import { transaction } from './database';
import type { Design } from './clashes';
import { withoutClash } from './clashes';
import type { Steps } from './log';
import type { PieceTable } from './schema';
import { mustBeNoWeeks, mustNotBeHeld } from './held';
import { pieceOfRow } from './kits';
import { nextStep, noteStep, record, stepsOf } from './log';

/** The tables that the Kits screen changes, and what names a row of each. */
const KEYS = {
  stock_event: ['seq'],
  kit: ['id'],
  piece: ['kit_id', 'code'],
  kit_week: ['week'],
  order_item: ['id'],
  supply: ['name'],
  favorite: ['id'],
  learned_like: ['kit_id', 'code'],
  spread_stash: ['spread_id', 'kit_id'],
} as const;
type Table = keyof typeof KEYS;
type Row = Readonly<Record<string, string | number | null>>;
/** of a table that has one column as its key, its value; of others the values in the order of KEYS */
type Key = string | number | readonly (string | number)[];

/** What an edit did to one row; null: it was not there. */
interface Effect {
  readonly table: Table;
  readonly key: Key;
  readonly before: Row | null;
  readonly after: Row | null;
}

/** A row as it shall be; null takes it away. Without a key it is a new one. */
export interface KitStep {
  readonly table: Table;
  readonly key: Key | null;
  readonly row: Row | null;
}

export type KitHistory = Steps<KitDeed>;

const KITS = { room: 'kits' } as const;

export const kitHistory = (db: Database): Promise<KitHistory> => stepsOf<KitDeed>(db, KITS);

/**
 * Makes one edit of kits, stock, plans, orders or supplies, in one transaction with its entry in the history.
 * @throws StockClash, Held
 * @returns its number there
 */
export function editKits(db: Database, deed: KitDeed, steps: readonly KitStep[]): Promise<number> {
  return transaction(db, async (trx) => {
    const effects: Effect[] = [];
    await mustBeFree(trx, steps);
    await withoutClash(trx, await designsOfSteps(trx, steps), async () => {
      for (const step of steps) effects.push(await take(trx, step));
    });
    return record(trx, KITS, deed, effects);
  });
}

/**
 * Takes the last edit back, or makes it again.
 * @param only the number of the one that is meant
 * @throws StockClash, Held; StaleStep where another one is the last
 * @returns false when there is none
 */
export function stepKits(db: Database, way: 'undo' | 'redo', only: number | null = null): Promise<boolean> {
  return transaction(db, async (trx) => {
    const edit = await nextStep(trx, KITS, way, only);
    if (!edit) return false;
    const effects = edit.effects as readonly Effect[];
    const steps = (way === 'undo' ? [...effects].reverse() : effects).map(({ table, key, before, after }): KitStep => ({
      table,
      key,
      row: way === 'undo' ? before : after,
    }));
    await mustBeFree(trx, steps);
    await withoutClash(trx, await designsOfSteps(trx, steps), async () => {
      for (const { table, key, row } of steps) await put(trx, table, key, row);
    });
    await noteStep(trx, edit, way);
    return true;
  });
}

/** Holds the lines and kits that some steps change or take out against the weeks that have them. @throws Held */
async function mustBeFree(trx: Database, steps: readonly KitStep[]): Promise<void> {
  const corrections = new Map<string, { changed: Correction['changed']; removed: Correction['removed'] }>();
  for (const { table, key, row } of steps) {
    if (table === 'kit' && key !== null && row === null) await mustBeNoWeeks(trx, String(parts(key)[0]));
    if (table !== 'piece' || key === null) continue;
    const was = (await rowOf(trx, table, key)) as Selectable<PieceTable> | null;
    if (!was) continue;
    const { changed, removed } = corrections.get(was.kit_id) ?? { changed: [], removed: [] };
    const [before, piece] = [pieceOfRow(was), row && pieceOfRow({ ...was, ...row })];
    corrections.set(
      was.kit_id,
      piece
        ? { removed, changed: [...changed, { before, piece, position: was.position }] }
        : { changed, removed: [...removed, before] },
    );
  }
  for (const [kit, correction] of corrections) await mustNotBeHeld(trx, kit, { ...correction, added: [] });
}

/** The designs whose stock some steps change; a new line has no stock yet. */
async function designsOfSteps(trx: Database, steps: readonly KitStep[]): Promise<Design[]> {
  const designs = new Map<string, Design>();
  for (const { table, key, row } of steps) {
    if (table !== 'stock_event' && table !== 'piece') continue;
    const before = key === null ? null : await rowOf(trx, table, key);
    for (const r of [table === 'piece' ? null : row, before]) {
      if (!r) continue;
      const design = { kit: String(r.kit_id), code: String(r.code) };
      designs.set(pieceKey(design), design);
    }
  }
  return [...designs.values()];
}

async function take(db: Database, { table, key, row }: KitStep): Promise<Effect> {
  const before = key === null ? null : await rowOf(db, table, key);
  const made = await put(db, table, key, row && before ? { ...before, ...row } : row);
  return { table, key: made, before, after: row === null ? null : await rowOf(db, table, made) };
}

const parts = (key: Key): readonly (string | number)[] => (typeof key === 'object' ? key : [key]);

const named = (table: Table, key: Key): Row =>
  Object.fromEntries(KEYS[table].map((column, i) => [column, parts(key)[i] as string | number]));

async function rowOf(db: Database, table: Table, key: Key): Promise<Row | null> {
  const rows = db.selectFrom(table).selectAll();
  return ((await rows.where((e) => e.and(named(table, key) as never)).executeTakeFirst()) as Row | undefined) ?? null;
}

/** @returns the row's key */
async function put(db: Database, table: Table, key: Key | null, row: Row | null): Promise<Key> {
  if (key !== null && row === null) {
    await db
      .deleteFrom(table)
      .where((e) => e.and(named(table, key) as never))
      .execute();
    return key;
  }
  const values = (key === null ? row : { ...row, ...named(table, key) }) as never;
  if (key !== null && (await rowOf(db, table, key))) {
    await db
      .updateTable(table)
      .set(values)
      .where((e) => e.and(named(table, key) as never))
      .execute();
    return key;
  }
  const made = (await db.insertInto(table).values(values).returningAll().executeTakeFirstOrThrow()) as Row;
  const [first, ...others] = KEYS[table].map((column) => made[column] as string | number);
  return others.length ? [first as string | number, ...others] : (first as string | number);
}
