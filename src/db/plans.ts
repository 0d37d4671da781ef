import type { OrderLine } from '../core/kit/order';
import type { Database } from './database';

export type OrderRow = OrderLine & { readonly id: number };
export interface Supply {
  readonly name: string;
  readonly unit: string;
  readonly amount: number;
  readonly warnAt: number;
}

/** The kits planned for weeks that are not begun. */
export async function plannedKits(db: Database): Promise<Map<string, string>> {
  const rows = await db.selectFrom('kit_week').selectAll().execute();
  return new Map(rows.map((r) => [r.week, r.kit_id]));
}

export async function planKit(db: Database, week: string, kit: string | null): Promise<void> {
  if (kit === null) await db.deleteFrom('kit_week').where('week', '=', week).execute();
  else await db.insertInto('kit_week').values({ week, kit_id: kit }).onConflict((c) => c.column('week').doUpdateSet({ kit_id: kit })).execute();
}

export async function listOrders(db: Database): Promise<OrderRow[]> {
  const rows = await db.selectFrom('order_item').selectAll().orderBy('id').execute();
  return rows.map(({ needed_by, ...rest }) => ({ ...rest, neededBy: needed_by }));
}

/** Adds orders all or none, or changes the one of that id. */
export async function putOrders(db: Database, orders: readonly OrderLine[], id: number | null = null): Promise<void> {
  const rows = orders.map(({ neededBy, ...rest }) => ({ ...rest, needed_by: neededBy }));
  await db.transaction().execute(async (trx) => {
    for (const row of rows) {
      if (id === null) await trx.insertInto('order_item').values(row).execute();
      else await trx.updateTable('order_item').set(row).where('id', '=', id).execute();
    }
  });
}

export const dropOrder = async (db: Database, id: number): Promise<void> => {
  await db.deleteFrom('order_item').where('id', '=', id).execute();
};

export async function listSupplies(db: Database): Promise<Supply[]> {
  const rows = await db.selectFrom('supply').selectAll().orderBy('name').execute();
  return rows.map(({ warn_at, ...rest }) => ({ ...rest, warnAt: warn_at }));
}

export async function putSupply(db: Database, { warnAt, ...rest }: Supply): Promise<void> {
  const row = { ...rest, warn_at: warnAt };
  await db.insertInto('supply').values(row).onConflict((c) => c.column('name').doUpdateSet(row)).execute();
}

export const dropSupply = async (db: Database, name: string): Promise<void> => {
  await db.deleteFrom('supply').where('name', '=', name).execute();
};
