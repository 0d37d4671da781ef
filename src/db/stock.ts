import { sql } from 'kysely';
import type { StockEvent, Use } from '../core/kit/stock';
import type { Database } from './database';

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
    cut: r.cut ? (JSON.parse(r.cut) as Use['cut']) : null,
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

/**
 * Copies of every kit, counted by SQLite: all there were, those begun, those spoiled. What is not of these is whole.
 */
export async function kitSums(db: Database): Promise<KitSums[]> {
  const { rows } = await sql<KitSums>`
    with event as (select what, kit_id, code, copy from stock_event),
      spoiled as (select distinct kit_id, code, copy from event where what = 'spoiled'),
      touched as (
        select kit_id, code, copy from placement union select kit_id, code, copy from event where what = 'used'
        except select kit_id, code, copy from spoiled)
    select kit.id as kit,
      coalesce((select sum(count) from piece where kit_id = kit.id), 0) + (select count(*) from event where kit_id = kit.id and what = 'found') as total,
      (select count(*) from touched where kit_id = kit.id) as touched,
      (select count(*) from spoiled where kit_id = kit.id) as spoiled
    from kit order by kit.id`.execute(db);
  return rows;
}
