import type { Database } from './database';
import { asValue } from './json';

/**
 * @param isIt what its reader takes it for
 * @returns null when it was never set
 * @throws BrokenColumn where it is something else
 */
export async function readSetting<T>(
  db: Database,
  name: string,
  isIt: (value: unknown) => value is T,
): Promise<T | null> {
  const row = await db.selectFrom('setting').select('json').where('name', '=', name).executeTakeFirst();
  return row ? asValue<T>(row.json, isIt, `the setting “${name}”`) : null;
}

export async function writeSetting(db: Database, name: string, value: unknown): Promise<void> {
  const json = JSON.stringify(value);
  await db
    .insertInto('setting')
    .values({ name, json })
    .onConflict((c) => c.column('name').doUpdateSet({ json }))
    .execute();
}
