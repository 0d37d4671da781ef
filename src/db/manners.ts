import type { Options } from '../core/manner/options';
import type { Ways } from '../core/manner/ways';
import type { Database } from './database';

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
    options: JSON.parse(r.options) as Partial<Options>,
    ways: JSON.parse(r.ways) as Partial<Ways>,
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

/** `kit/code` of every sticker its owner likes best. */
export async function favoritesOf(db: Database): Promise<string[]> {
  return (await db.selectFrom('favorite').select('piece').orderBy('piece').execute()).map((r) => r.piece);
}
