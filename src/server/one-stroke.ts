import { revalidatePath } from 'next/cache';
import type { Database } from '../db/database';
import { together } from '../db/database';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** A use case that changes something: in one transaction, and every screen is read anew. */
export const inOneStroke = <T>(run: (trx: Database) => Promise<T>): Promise<Outcome<T>> =>
  outcome(async () => {
    const value = await together(await store(), run);
    revalidatePath('/', 'layout');
    return value;
  });
