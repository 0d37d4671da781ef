import { AsyncLocalStorage } from 'node:async_hooks';
import { join } from 'node:path';
import type { Database } from '../db/database';
import { openDatabase, transaction } from '../db/database';
import { inodeOf } from '../db/house-dialect';
import { StoreTrouble } from '../db/trouble';
import { lookUpSaid } from './upgrade';

interface Opened {
  readonly db: Database;
  readonly inode: number | null;
}

/** The database's file; pictures lie in a folder beside it. */
export const dataFile = (): string => process.env.HOBNAIL_DATA ?? join(process.cwd(), '.data', 'hobnail.sqlite');

const held = globalThis as unknown as {
  hobnailStore?: Promise<Opened>;
  hobnailStroke?: AsyncLocalStorage<Database>;
};
const stroke = (held.hobnailStroke ??= new AsyncLocalStorage<Database>());

/**
 * Does something in one transaction, which is what `store` gives to all that is called meanwhile: nothing of a use case
 * is outside it by oversight.
 */
export async function inStroke<T>(run: (trx: Database) => Promise<T>): Promise<T> {
  return transaction(await store(), (trx) => stroke.run(trx, () => run(trx)));
}

/**
 * The one database of this process; its file is named by HOBNAIL_DATA. Within a stroke it is the stroke's
 * transaction. An opening that failed is tried again by who
 * asks next; so is one whose file was replaced meanwhile, by a copy that was put in its place.
 * @throws StoreTrouble
 */
export async function store(): Promise<Database> {
  const open = stroke.getStore();
  if (open) return open;
  const file = dataFile();
  const opening = (held.hobnailStore ??= openStore(file));
  try {
    const opened = await opening;
    const inode = inodeOf(file);
    if (inode === opened.inode) return opened.db;
    if (inode === null) throw new StoreTrouble('moved');
    if (held.hobnailStore === opening) delete held.hobnailStore;
    void opened.db.destroy();
  } catch (error) {
    const moved = error instanceof StoreTrouble && error.trouble === 'moved';
    if (!moved && held.hobnailStore === opening) delete held.hobnailStore;
    throw error;
  }
  return store();
}

async function openStore(file: string): Promise<Opened> {
  const db = await openDatabase(file);
  await lookUpSaid(db);
  return { db, inode: inodeOf(file) };
}
