import type { StockEvent, Use } from '../core/kit/stock';
import type { Database } from './database';
import { withoutClash } from './clashes';
import { asRect } from './json';
import type { StockEventTable } from './schema';

const EVENT = ['what', 'kit_id', 'code', 'copy', 'reason', 'cut'] as const;

const eventOf = ({ kit_id, cut, ...rest }: Pick<StockEventTable, (typeof EVENT)[number]>): StockEvent => ({
  ...rest,
  kit: kit_id,
  cut: asRect(cut),
});

/** All changes of the stock that hold, in their order; of one kit, or of all. */
export async function stockEvents(db: Database, kit?: string): Promise<StockEvent[]> {
  const all = db.selectFrom('stock_event').select(EVENT).orderBy('seq');
  const rows = await (kit === undefined ? all : all.where('kit_id', '=', kit)).execute();
  return rows.map(eventOf);
}

/** Where the stickers of a kit lie on spreads. */
export const usesOf = (db: Database, kit: string): Promise<Use[]> => uses(db, kit);

/** Where the stickers of all kits lie on spreads. */
export const allUses = (db: Database): Promise<Use[]> => uses(db, null);

async function uses(db: Database, kit: string | null): Promise<Use[]> {
  const all = db
    .selectFrom('placement')
    .innerJoin('spread', 'spread.id', 'placement.spread_id')
    .leftJoin('keep', 'keep.spread_id', 'spread.id')
    .select(['placement.kit_id', 'code', 'copy', 'cut', 'week', 'locked', 'finished']);
  const rows = await (kit === null ? all : all.where('placement.kit_id', '=', kit)).execute();
  return rows.map((r) => ({
    kit: r.kit_id,
    code: r.code,
    copy: r.copy,
    cut: asRect(r.cut),
    where: r.week,
    planned: isPlanned(r),
  }));
}

/** True for what a spread has that is not on paper yet. */
export const isPlanned = (row: { readonly locked: number; readonly finished: string | null }): boolean =>
  !row.locked && row.finished === null;

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
  const rows = await db.selectFrom('stock_event').select(EVENT).where('kit_id', 'in', kits).orderBy('seq').execute();
  return rows.map(eventOf);
}

/** Notes changes of the stock. @throws StockClash */
export const addEvents = (trx: Database, events: readonly StockEvent[]): Promise<void> =>
  withoutClash(trx, events, async () => {
    for (const { kit, cut, ...rest } of events)
      await trx
        .insertInto('stock_event')
        .values({ ...rest, kit_id: kit, cut: cut && JSON.stringify(cut) })
        .execute();
  });

/** Takes changes of the stock back: of each the last that is like it. */
export async function takeEventsBack(trx: Database, events: readonly StockEvent[]): Promise<void> {
  for (const { kit, cut, ...rest } of events) {
    const like = { ...rest, kit_id: kit, cut: cut && JSON.stringify(cut) };
    const last = await trx
      .selectFrom('stock_event')
      .select('seq')
      .where((e) => e.and({ what: like.what, kit_id: kit, code: like.code, copy: like.copy, reason: like.reason }))
      .where('cut', 'is', like.cut)
      .orderBy('seq', 'desc')
      .executeTakeFirst();
    if (last) await trx.deleteFrom('stock_event').where('seq', '=', last.seq).execute();
  }
}
