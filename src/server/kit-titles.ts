import 'server-only';
import { listKits } from '../db/kits';
import { store } from './store';

/**
 * What the owner calls the kits that have another name than that of their file. None where the data cannot be read:
 * the screen below says so.
 */
export async function kitTitles(): Promise<(readonly [string, string])[]> {
  try {
    const rows = await listKits(await store());
    return rows.flatMap((k) => (k.facts.title ? [[k.id, k.facts.title] as const] : []));
  } catch {
    return [];
  }
}
