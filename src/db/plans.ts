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

export async function listOrders(db: Database): Promise<OrderRow[]> {
  const rows = await db.selectFrom('order_item').selectAll().orderBy('id').execute();
  return rows.map(({ needed_by, ...rest }) => ({ ...rest, neededBy: needed_by }));
}

export async function listSupplies(db: Database): Promise<Supply[]> {
  const rows = await db.selectFrom('supply').selectAll().orderBy('name').execute();
  return rows.map(({ warn_at, ...rest }) => ({ ...rest, warnAt: warn_at }));
}
