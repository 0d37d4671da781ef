import type { Database } from './database';

/** No more edits than these are kept to be undone. */
const KEPT = 200;

/** The tables that the Kits screen changes, and what names a row of each. */
const KEYS = {
  stock_event: 'seq',
  kit: 'id',
  kit_week: 'week',
  order_item: 'id',
  supply: 'name',
  favorite: 'piece',
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

export interface KitHistory {
  readonly undo: string | null;
  readonly redo: string | null;
}

export async function kitHistory(db: Database): Promise<KitHistory> {
  const edits = await db.selectFrom('kit_edit').select(['label', 'undone']).orderBy('seq').execute();
  return {
    undo: edits.filter((e) => !e.undone).at(-1)?.label ?? null,
    redo: edits.find((e) => e.undone)?.label ?? null,
  };
}

/** Makes one edit of kits, stock, plans, orders or supplies, in one transaction with its entry in the history. */
export function editKits(db: Database, label: string, steps: readonly KitStep[]): Promise<void> {
  return db.transaction().execute(async (trx) => {
    const effects: Effect[] = [];
    for (const step of steps) effects.push(await take(trx, step));
    await trx.deleteFrom('kit_edit').where('undone', '=', 1).execute();
    await trx
      .insertInto('kit_edit')
      .values({ label, effects: JSON.stringify(effects), undone: 0 })
      .execute();
    const old = await trx
      .selectFrom('kit_edit')
      .select('seq')
      .orderBy('seq', 'desc')
      .offset(KEPT)
      .limit(1)
      .executeTakeFirst();
    if (old) await trx.deleteFrom('kit_edit').where('seq', '<=', old.seq).execute();
  });
}

/** Takes the last edit back, or makes it again. @returns false when there is none */
export function stepKits(db: Database, way: 'undo' | 'redo'): Promise<boolean> {
  return db.transaction().execute(async (trx) => {
    const edit = await trx
      .selectFrom('kit_edit')
      .selectAll()
      .where('undone', '=', way === 'undo' ? 0 : 1)
      .orderBy('seq', way === 'undo' ? 'desc' : 'asc')
      .executeTakeFirst();
    if (!edit) return false;
    const effects = JSON.parse(edit.effects) as readonly Effect[];
    for (const e of way === 'undo' ? [...effects].reverse() : effects)
      await put(trx, e.table, e.key, way === 'undo' ? e.before : e.after);
    await trx
      .updateTable('kit_edit')
      .set({ undone: way === 'undo' ? 1 : 0 })
      .where('seq', '=', edit.seq)
      .execute();
    return true;
  });
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
