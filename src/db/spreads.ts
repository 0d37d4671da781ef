import type { Placement } from '../core/spread/placement';
import type { Change } from '../core/edit/change';
import { applies, apply, invert } from '../core/edit/change';
import type { Database } from './database';
import type { PlacementTable, SpreadTable } from './schema';

export type SpreadRow = Omit<SpreadTable, 'id' | 'ways' | 'waved'> & {
  readonly id: number;
  readonly ways: string;
  readonly waved: string;
};

/** What undo and redo would do next, and how many edits were made: the number that a client's edits are based on. */
export interface History {
  readonly revision: number;
  readonly undo: string | null;
  readonly redo: string | null;
}

export const findSpread = (db: Database, id: number): Promise<SpreadRow | undefined> =>
  db.selectFrom('spread').selectAll().where('id', '=', id).executeTakeFirst();

export const findSpreadOfWeek = (db: Database, week: string): Promise<SpreadRow | undefined> =>
  db.selectFrom('spread').selectAll().where('week', '=', week).executeTakeFirst();

export async function addSpread(
  db: Database,
  spread: Omit<SpreadRow, 'id' | 'ways' | 'waved'> & { readonly ways?: string },
): Promise<number> {
  const { id } = await db.insertInto('spread').values(spread).returning('id').executeTakeFirstOrThrow();
  return id;
}

/** How a spread is laid out from now on; what lies on it stays. */
export async function setManner(
  db: Database,
  id: number,
  row: Pick<SpreadRow, 'manner' | 'options' | 'ways'>,
): Promise<void> {
  await db.updateTable('spread').set(row).where('id', '=', id).execute();
}

/** Notes that a finding is wanted so, or not any more. @returns all that are */
export function setWaved(db: Database, id: number, key: string, wanted: boolean): Promise<string[]> {
  return db.transaction().execute(async (trx) => {
    const row = await trx.selectFrom('spread').select('waved').where('id', '=', id).executeTakeFirst();
    const others = (JSON.parse(row?.waved ?? '[]') as string[]).filter((k) => k !== key);
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

export async function deleteSpread(db: Database, id: number): Promise<void> {
  await db.deleteFrom('spread').where('id', '=', id).execute();
}

export async function placementsOf(db: Database, spreadId: number): Promise<Placement[]> {
  const rows = await db.selectFrom('placement').selectAll().where('spread_id', '=', spreadId).orderBy('id').execute();
  return rows.map(fromRow).sort((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
}

/** Parts of stickers that other spreads have used. */
export async function usedElsewhere(
  db: Database,
  spreadId: number,
): Promise<Pick<Placement, 'kit' | 'code' | 'copy' | 'cut'>[]> {
  const rows = await db
    .selectFrom('placement')
    .select(['kit_id', 'code', 'copy', 'cut'])
    .where('spread_id', '!=', spreadId)
    .execute();
  return rows.map((r) => ({
    kit: r.kit_id,
    code: r.code,
    copy: r.copy,
    cut: r.cut ? (JSON.parse(r.cut) as Placement['cut']) : null,
  }));
}

/** Kits that a spread of an earlier week has stickers of. */
export async function kitsBegunBefore(db: Database, week: string): Promise<Set<string>> {
  const rows = await db
    .selectFrom('spread')
    .innerJoin('placement', 'placement.spread_id', 'spread.id')
    .select('spread.kit_id')
    .distinct()
    .where('week', '<', week)
    .execute();
  return new Set(rows.map((r) => r.kit_id));
}

export async function historyOf(db: Database, spreadId: number): Promise<History> {
  const edits = await db
    .selectFrom('edit')
    .select(['seq', 'label', 'undone'])
    .where('spread_id', '=', spreadId)
    .orderBy('seq')
    .execute();
  const done = edits.filter((e) => !e.undone);
  return {
    revision: edits.length * 2 + done.length,
    undo: done.at(-1)?.label ?? null,
    redo: edits.find((e) => e.undone)?.label ?? null,
  };
}

/** The edits that stand whose label begins with one of these, oldest first. */
export async function changesLabeled(db: Database, spreadId: number, ...starts: readonly string[]): Promise<Change[]> {
  const rows = await db
    .selectFrom('edit')
    .select('change')
    .where('spread_id', '=', spreadId)
    .where('undone', '=', 0)
    .where((e) => e.or(starts.map((s) => e('label', 'like', `${s}%`))))
    .orderBy('seq')
    .execute();
  return rows.map((r) => JSON.parse(r.change) as Change);
}

export class StaleEdit extends Error {}

/** Makes one edit in one transaction; what was undone before it can no longer be redone. @throws StaleEdit */
export function makeEdit(db: Database, spreadId: number, change: Change): Promise<History> {
  return db.transaction().execute(async (trx) => {
    await replace(trx, spreadId, change);
    await trx.deleteFrom('edit').where('spread_id', '=', spreadId).where('undone', '=', 1).execute();
    const last = await trx
      .selectFrom('edit')
      .select((e) => e.fn.max('seq').as('seq'))
      .where('spread_id', '=', spreadId)
      .executeTakeFirst();
    await trx
      .insertInto('edit')
      .values({
        spread_id: spreadId,
        seq: (last?.seq ?? 0) + 1,
        label: change.label,
        change: JSON.stringify(change),
        undone: 0,
      })
      .execute();
    return historyOf(trx, spreadId);
  });
}

/**
 * Takes the last edit back, or makes the last one taken back again. @returns the change made, or null when there is
 * none
 */
export function stepHistory(
  db: Database,
  spreadId: number,
  way: 'undo' | 'redo',
): Promise<{ change: Change; history: History } | null> {
  return db.transaction().execute(async (trx) => {
    const edit = await trx
      .selectFrom('edit')
      .selectAll()
      .where('spread_id', '=', spreadId)
      .where('undone', '=', way === 'undo' ? 0 : 1)
      .orderBy('seq', way === 'undo' ? 'desc' : 'asc')
      .executeTakeFirst();
    if (!edit) return null;
    const made = JSON.parse(edit.change) as Change;
    const change = way === 'undo' ? invert(made) : made;
    await replace(trx, spreadId, change);
    await trx
      .updateTable('edit')
      .set({ undone: way === 'undo' ? 1 : 0 })
      .where('spread_id', '=', spreadId)
      .where('seq', '=', edit.seq)
      .execute();
    return { change, history: await historyOf(trx, spreadId) };
  });
}

async function replace(trx: Database, spreadId: number, change: Change): Promise<void> {
  const current = await placementsOf(trx, spreadId);
  if (!applies(current, change)) throw new StaleEdit(change.label);
  apply(current, change);
  if (change.before.length)
    await trx
      .deleteFrom('placement')
      .where('spread_id', '=', spreadId)
      .where(
        'id',
        'in',
        change.before.map((p) => p.id),
      )
      .execute();
  for (let i = 0; i < change.after.length; i += 200)
    await trx
      .insertInto('placement')
      .values(change.after.slice(i, i + 200).map((p) => toRow(spreadId, p)))
      .execute();
}

const toRow = (spread_id: number, { kit, cut, items, locked, ...rest }: Placement): PlacementTable => ({
  ...rest,
  spread_id,
  kit_id: kit,
  cut: cut && JSON.stringify(cut),
  items: JSON.stringify(items),
  locked: locked ? 1 : 0,
});

function fromRow({ spread_id: _spread, kit_id, cut, items, locked, role, ...rest }: PlacementTable): Placement {
  return {
    ...rest,
    role: role as Placement['role'],
    kit: kit_id,
    cut: cut ? (JSON.parse(cut) as Placement['cut']) : null,
    items: JSON.parse(items) as string[],
    locked: locked === 1,
  };
}
