import SQLite from 'better-sqlite3';
import { StoreTrouble, asTrouble } from './trouble';

/** All that is left, in one step: copied in several, it begins anew whenever another connection writes in between. */
const ALL = 0x7fffffff;
/** ms */
const LONGEST = 60_000;

/**
 * Copies a database as it is in one moment, while it is used: who writes waits for the copy, and the copy never begins
 * anew.
 * @throws StoreTrouble `locked` where another program does not let it read for a minute
 */
export async function snapshot(file: string, copy: string): Promise<void> {
  const until = Date.now() + LONGEST;
  const source = new SQLite(file, { readonly: true, fileMustExist: true });
  try {
    await source.backup(copy, {
      progress: () => {
        if (Date.now() > until) throw new StoreTrouble('locked');
        return ALL;
      },
    });
  } catch (error) {
    throw asTrouble(error);
  } finally {
    source.close();
  }
}
