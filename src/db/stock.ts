import type { StockEvent, Use } from '../core/kit/stock';
import type { Database } from './database';
import { asRect } from './json';

/** All changes of the stock that hold, in their order; of one kit, or of all. */
export async function stockEvents(db: Database, kit?: string): Promise<StockEvent[]> {
  const all = db.selectFrom('stock_event').select(['what', 'kit_id', 'code', 'copy', 'reason']).orderBy('seq');
  const rows = await (kit === undefined ? all : all.where('kit_id', '=', kit)).execute();
  return rows.map(({ kit_id, ...rest }) => ({ ...rest, kit: kit_id }));
}

/** Where the stickers of a kit lie on spreads. */
export async function usesOf(db: Database, kit: string): Promise<Use[]> {
  const rows = await db
    .selectFrom('placement')
    .innerJoin('spread', 'spread.id', 'placement.spread_id')
    .select(['placement.kit_id', 'code', 'copy', 'cut', 'week'])
    .where('placement.kit_id', '=', kit)
    .execute();
  return rows.map((r) => ({
    kit: r.kit_id,
    code: r.code,
    copy: r.copy,
    cut: asRect(r.cut),
    where: r.week,
  }));
}

export interface KitSums {
  readonly kit: string;
  readonly total: number;
  /** used or cut */
  readonly touched: number;
  readonly spoiled: number;
}

/** Copies of every kit: all there were, those begun, those spoiled. What is not of these is whole. */
export async function kitSums(db: Database): Promise<KitSums[]> {
  const rows = await db.selectFrom('kit_stock').selectAll().orderBy('kit_id').execute();
  return rows.map(({ kit_id, ...sums }) => ({ kit: kit_id, ...sums }));
}

/** Changes of the stock of some kits, in their order. */
export async function eventsOf(db: Database, kits: readonly string[]): Promise<StockEvent[]> {
  const rows = await db
    .selectFrom('stock_event')
    .select(['what', 'kit_id', 'code', 'copy', 'reason'])
    .where('kit_id', 'in', kits)
    .orderBy('seq')
    .execute();
  return rows.map(({ kit_id, ...rest }) => ({ ...rest, kit: kit_id }));
}
