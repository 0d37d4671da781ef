import type { StockEvent } from '../core/kit/stock';
import { withoutClash } from './clashes';
import type { Database } from './database';
import { transaction } from './database';
import { asObject } from './json';
import { placementsOf } from './placements';
import { addEvents, takeEventsBack } from './stock';

/** The tables that hold a spread, the spread's own row first. */
const TABLES = ['spread', 'spread_stash', 'placement', 'writing', 'sticker_fact', 'tick', 'keep', 'log'] as const;
type Rows = Readonly<Record<(typeof TABLES)[number], readonly Record<string, unknown>[]>>;

/** So many given-up weeks can be taken up again. */
const KEPT = 6;

/** A week that was given up and can be taken up again. */
export interface GivenUpWeek {
  readonly id: number;
  readonly week: string;
  readonly at: string;
}

/** The week is there again already, or was given up too long ago. */
export class NotGivenUp extends Error {}

/**
 * Gives a week up: its stickers are free again, but for those that were really stuck, which lie on a page and are used
 * up. It can be taken up again.
 * @param stuck ids of the placements whose stickers do not come back
 * @param at ISO 8601
 * @returns its number among the given-up weeks; null when there is no such spread
 */
export function giveUp(db: Database, spreadId: number, stuck: ReadonlySet<string>, at: string): Promise<number | null> {
  return transaction(db, async (trx) => {
    const rows = await rowsOf(trx, spreadId);
    const [spread] = rows.spread;
    if (!spread) return null;
    const placements = await placementsOf(trx, spreadId);
    const gone = placements
      .filter((p) => p.kit !== '' && stuck.has(p.id))
      .map((p): StockEvent => ({
        what: 'used',
        kit: p.kit,
        code: p.code,
        copy: p.copy,
        cut: p.cut,
        reason: `stuck in ${String(spread.week)}`,
      }));
    await trx.deleteFrom('spread').where('id', '=', spreadId).execute();
    await addEvents(trx, gone);
    const { id } = await trx
      .insertInto('given_up')
      .values({ week: String(spread.week), at, rows: JSON.stringify(rows), stuck: JSON.stringify(gone) })
      .returning('id')
      .executeTakeFirstOrThrow();
    await trx
      .deleteFrom('given_up')
      .where('id', '<=', id - KEPT)
      .execute();
    return id;
  });
}

/** The weeks that can be taken up again, the latest first; one that is planned anew is not among them. */
export const givenUpWeeks = (db: Database): Promise<GivenUpWeek[]> =>
  db
    .selectFrom('given_up')
    .select(['id', 'week', 'at'])
    .where('week', 'not in', (q) => q.selectFrom('spread').select('week'))
    .orderBy('id', 'desc')
    .execute();

/**
 * Takes a given-up week up again, with all that lay on it, its history and its ticks.
 * @throws NotGivenUp; StockClash where one of its stickers is elsewhere by now
 * @returns the spread's id
 */
export function takeUp(db: Database, id: number): Promise<number> {
  return transaction(db, async (trx) => {
    const row = await trx.selectFrom('given_up').selectAll().where('id', '=', id).executeTakeFirst();
    if (!row) throw new NotGivenUp('it is not among the given-up weeks any more');
    const rows = asObject(row.rows) as unknown as Rows;
    if (await trx.selectFrom('spread').select('id').where('week', '=', row.week).executeTakeFirst())
      throw new NotGivenUp('that week has been planned again');
    const spreadId = await freeId(trx, Number(rows.spread[0]?.id));
    await takeEventsBack(trx, asObject(row.stuck) as unknown as StockEvent[]);
    const designs = new Map(
      rows.placement.map((r) => [
        `${String(r.kit_id)}/${String(r.code)}`,
        { kit: String(r.kit_id), code: String(r.code) },
      ]),
    );
    await withoutClash(trx, [...designs.values()], async () => {
      for (const table of TABLES)
        for (const values of rows[table])
          await trx
            .insertInto(table)
            .values({ ...values, [keyOf(table)]: spreadId })
            .execute();
    });
    await trx.deleteFrom('given_up').where('id', '=', id).execute();
    return spreadId;
  });
}

const keyOf = (table: (typeof TABLES)[number]): string => (table === 'spread' ? 'id' : 'spread_id');

/** Its own number, or a new one where another spread was given that meanwhile. */
async function freeId(trx: Database, id: number): Promise<number> {
  const { last } = await trx
    .selectFrom('spread')
    .select((e) => e.fn.max('id').as('last'))
    .executeTakeFirstOrThrow();
  const taken = await trx.selectFrom('spread').select('id').where('id', '=', id).executeTakeFirst();
  return taken ? Number(last) + 1 : id;
}

async function rowsOf(trx: Database, spreadId: number): Promise<Rows> {
  const all: [string, readonly Record<string, unknown>[]][] = [];
  for (const table of TABLES) {
    const rows = await trx
      .selectFrom(table)
      .selectAll()
      .where(keyOf(table) as never, '=', spreadId as never)
      .execute();
    all.push([table, rows]);
  }
  return Object.fromEntries(all) as Rows;
}
