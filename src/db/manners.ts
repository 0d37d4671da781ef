import type { Options } from '../core/manner/options/registry';
import { pieceKey } from '../core/kit/kit';
import type { Ways } from '../core/manner/ways/registry';
import type { Database } from './database';
import { asObject } from './json';

/** A school with one's own changes, under a name of one's own. */
export interface OwnManner {
  readonly name: string;
  readonly school: string;
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
}

export async function listManners(db: Database): Promise<OwnManner[]> {
  const rows = await db.selectFrom('own_manner').selectAll().orderBy('name').execute();
  return rows.map((r) => ({
    name: r.name,
    school: r.school,
    options: asObject(r.options),
    ways: asObject(r.ways),
  }));
}

export async function keepManner(db: Database, { name, school, options, ways }: OwnManner): Promise<void> {
  const row = { school, options: JSON.stringify(options), ways: JSON.stringify(ways) };
  await db
    .insertInto('own_manner')
    .values({ name, ...row })
    .onConflict((c) => c.column('name').doUpdateSet(row))
    .execute();
}

export async function forgetManner(db: Database, name: string): Promise<void> {
  await db.deleteFrom('own_manner').where('name', '=', name).execute();
}

/** `kit/code` of the stickers of some kits that their owner likes best; of all kits where none are named. */
export async function favoritesOf(db: Database, kits?: readonly string[]): Promise<string[]> {
  const all = db.selectFrom('favorite').select(['kit_id', 'code']).orderBy('kit_id').orderBy('code');
  const rows = await (kits ? all.where('kit_id', 'in', kits) : all).execute();
  return rows.map((r) => pieceKey({ kit: r.kit_id, code: r.code }));
}

/** The id of a sticker among the favorites; null when it is none of them. */
export async function favoriteOf(db: Database, kit: string, code: string): Promise<number | null> {
  const row = await db
    .selectFrom('favorite')
    .select('id')
    .where('kit_id', '=', kit)
    .where('code', '=', code)
    .executeTakeFirst();
  return row?.id ?? null;
}
