import type { KitDeed } from '../core/kit/deed';
import { pieceKey } from '../core/kit/kit';
import type { Database } from './database';
import { together } from './database';
import type { Design } from './clashes';
import { withoutClash } from './clashes';
import type { Steps } from './log';
import { nextStep, noteStep, record, stepsOf } from './log';

/** The tables that the Kits screen changes, and what names a row of each. */
const KEYS = {
  stock_event: 'seq',
  kit: 'id',
  kit_week: 'week',
  order_item: 'id',
  supply: 'name',
  favorite: 'id',
} as const;
type Table = keyof typeof KEYS;
type Row = Readonly<Record<string, string | number | null>>;

/** What an edit did to one row; null: it was not there. */
interface Effect {
  readonly table: Table;
  readonly key: string | number;
  readonly before: Row | null;
  readonly after: Row | null;
}

/** A row as it shall be; null takes it away. Without a key it is a new one. */
export interface KitStep {
  readonly table: Table;
  readonly key: string | number | null;
  readonly row: Row | null;
}

export type KitHistory = Steps<KitDeed>;

const KITS = { room: 'kits' } as const;

export const kitHistory = (db: Database): Promise<KitHistory> => stepsOf<KitDeed>(db, KITS);

/**
 * Makes one edit of kits, stock, plans, orders or supplies, in one transaction with its entry in the history.
 * @throws StockClash
 */
export function editKits(db: Database, deed: KitDeed, steps: readonly KitStep[]): Promise<void> {
  return together(db, async (trx) => {
    const effects: Effect[] = [];
    await withoutClash(trx, await designsOfSteps(trx, steps), async () => {
      for (const step of steps) effects.push(await take(trx, step));
    });
    await record(trx, KITS, deed, effects);
  });
}

/** Takes the last edit back, or makes it again. @throws StockClash @returns false when there is none */
export function stepKits(db: Database, way: 'undo' | 'redo'): Promise<boolean> {
  return together(db, async (trx) => {
    const edit = await nextStep(trx, KITS, way);
    if (!edit) return false;
    const effects = edit.effects as readonly Effect[];
    const steps = (way === 'undo' ? [...effects].reverse() : effects).map(({ table, key, before, after }): KitStep => ({
      table,
      key,
      row: way === 'undo' ? before : after,
    }));
    await withoutClash(trx, await designsOfSteps(trx, steps), async () => {
      for (const { table, key, row } of steps) await put(trx, table, key, row);
    });
    await noteStep(trx, edit, way);
    return true;
  });
}

/** The designs whose stock some steps change. */
async function designsOfSteps(trx: Database, steps: readonly KitStep[]): Promise<Design[]> {
  const designs = new Map<string, Design>();
  for (const { table, key, row } of steps) {
    if (table !== 'stock_event') continue;
    for (const r of [row, key === null ? null : await rowOf(trx, table, key)]) {
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

async function rowOf(db: Database, table: Table, key: string | number): Promise<Row | null> {
  return (
    ((await db
      .selectFrom(table)
      .selectAll()
      .where(KEYS[table] as never, '=', key as never)
      .executeTakeFirst()) as Row | undefined) ?? null
  );
}

/** @returns the row's key */
async function put(db: Database, table: Table, key: string | number | null, row: Row | null): Promise<string | number> {
  const column = KEYS[table];
  if (row === null) {
    await db
      .deleteFrom(table)
      .where(column as never, '=', key as never)
      .execute();
    return key as string | number;
  }
  const values = (key === null ? row : { ...row, [column]: key }) as never;
  if (key !== null && (await rowOf(db, table, key)))
    await db
      .updateTable(table)
      .set(values)
      .where(column as never, '=', key as never)
      .execute();
  else {
    const made = (await db
      .insertInto(table)
      .values(values)
      .returning(column as never)
      .executeTakeFirstOrThrow()) as Row;
    return made[column] as string | number;
  }
  return key;
}
