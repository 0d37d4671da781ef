import { revalidatePath } from 'next/cache';
import type { Database } from '../db/database';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { inStroke, store } from './store';

/** What is read anew after a change: every screen, the shelf alone, or nothing, where the window keeps up by itself. */
export type Shown = 'all' | 'shelf' | 'nothing';

/**
 * Every use case that changes something: in one transaction, all of it or nothing, and the screens are read anew.
 * @param before what takes long and writes nothing, such as reading a calendar: nobody waits for that
 */
export const inOneStroke = <T>(
  run: (trx: Database) => Promise<T>,
  shown: Shown = 'all',
  before?: (db: Database) => Promise<unknown>,
): Promise<Outcome<T>> =>
  outcome(async () => {
    await before?.(await store());
    const value = await inStroke(run);
    if (shown === 'all') revalidatePath('/', 'layout');
    if (shown === 'shelf') revalidatePath('/');
    return value;
  });
