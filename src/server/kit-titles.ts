import 'server-only';
import type { KitFacts } from '../core/kit/suggest';
import { asObject } from '../db/json';
import { store } from './store';

/**
 * What the owner calls the kits that have another name than that of their file. None where the data cannot be read:
 * the screen below says so.
 */
export async function kitTitles(): Promise<(readonly [string, string])[]> {
  try {
    const rows = await (await store()).selectFrom('kit').select(['id', 'facts']).orderBy('id').execute();
    return rows.flatMap(({ id, facts }) => {
      const { title } = asObject(facts) as Partial<KitFacts>;
      return title ? [[id, title] as const] : [];
    });
  } catch {
    return [];
  }
}
