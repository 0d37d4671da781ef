import type { Database } from './database';

/** @returns null when it was never set */
export async function readSetting<T>(db: Database, name: string): Promise<T | null> {
  const row = await db.selectFrom('setting').select('json').where('name', '=', name).executeTakeFirst();
  return row ? (JSON.parse(row.json) as T) : null;
}

export async function writeSetting(db: Database, name: string, value: unknown): Promise<void> {
  const json = JSON.stringify(value);
  await db
    .insertInto('setting')
    .values({ name, json })
    .onConflict((c) => c.column('name').doUpdateSet({ json }))
    .execute();
}
