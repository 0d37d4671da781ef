import { sql } from 'kysely';
import type { StockEvent, Use } from '../core/kit/stock';
import type { Database } from './database';

/** All changes of the stock that hold, in their order; of one kit, or of all. */
export async function stockEvents(db: Database, kit?: string): Promise<StockEvent[]> {
  const all = db.selectFrom('stock_event').select(['what', 'kit_id', 'code', 'copy', 'reason']).where('undone', '=', 0).orderBy('seq');
  const rows = await (kit === undefined ? all : all.where('kit_id', '=', kit)).execute();
  return rows.map(({ kit_id, ...rest }) => ({ ...rest, kit: kit_id }));
}

export interface StockHistory {
  readonly undo: string | null;
  readonly redo: string | null;
}

const said = (e: { what: string; code: string; reason: string }): string => `${e.code} ${e.what}: ${e.reason}`;

export async function stockHistory(db: Database): Promise<StockHistory> {
  const events = await db.selectFrom('stock_event').select(['what', 'code', 'reason', 'undone']).orderBy('seq').execute();
  const done = events.filter((e) => !e.undone).at(-1);
  const undone = events.find((e) => e.undone);
  return { undo: done ? said(done) : null, redo: undone ? said(undone) : null };
}

/** Notes a change; what was undone before it can no longer be made again. */
export async function addStockEvent(db: Database, { kit, ...event }: StockEvent): Promise<void> {
  await db.transaction().execute(async (trx) => {
    await trx.deleteFrom('stock_event').where('undone', '=', 1).execute();
    await trx.insertInto('stock_event').values({ ...event, kit_id: kit }).execute();
  });
}

/** Takes the last change back, or makes it again. @returns false when there is none */
export async function stepStock(db: Database, way: 'undo' | 'redo'): Promise<boolean> {
  const event = await db.selectFrom('stock_event').select('seq').where('undone', '=', way === 'undo' ? 0 : 1).orderBy('seq', way === 'undo' ? 'desc' : 'asc').executeTakeFirst();
  if (!event) return false;
  await db.updateTable('stock_event').set({ undone: way === 'undo' ? 1 : 0 }).where('seq', '=', event.seq).execute();
  return true;
}

/** Where the stickers of a kit lie on spreads. */
export async function usesOf(db: Database, kit: string): Promise<Use[]> {
  const rows = await db.selectFrom('placement').innerJoin('spread', 'spread.id', 'placement.spread_id').select(['placement.kit_id', 'code', 'copy', 'cut', 'week']).where('placement.kit_id', '=', kit).execute();
  return rows.map((r) => ({ kit: r.kit_id, code: r.code, copy: r.copy, cut: r.cut ? (JSON.parse(r.cut) as Use['cut']) : null, where: r.week }));
}

export interface KitSums {
  readonly kit: string;
  readonly total: number;
  /** used or cut */
  readonly touched: number;
  readonly spoiled: number;
}

/** Copies of every kit, counted by SQLite: all there were, those begun, those spoiled. What is not of these is whole. */
export async function kitSums(db: Database): Promise<KitSums[]> {
  const { rows } = await sql<KitSums>`
    with event as (select what, kit_id, code, copy from stock_event where undone = 0),
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
