import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely } from 'kysely';
import { copyAside } from './copy-aside';
import { HouseDialect } from './house-dialect';
import { migrate } from './migrate';
import type { Tables } from './schema';
import { StoreTrouble, asTrouble } from './trouble';

export type Database = Kysely<Tables>;

/** ms that a write waits for another program that holds the file */
const PATIENCE = 5000;
const MEMORY = ':memory:';

/**
 * Opens the database, looks whether it is whole, and brings it up to date; of one that has to be changed for that, a
 * copy is laid beside it first. An edit that was reported as saved is in the file itself (rollback journal,
 * synchronized at every commit), so that a copy of the file alone holds it (decision 0013).
 * @param last the migration to stop at, for tests of those that follow
 * @throws StoreTrouble
 */
export async function openDatabase(file: string, last?: string): Promise<Database> {
  let sqlite: SQLite.Database | null = null;
  try {
    if (file !== MEMORY) mkdirSync(dirname(file), { recursive: true });
    sqlite = new SQLite(file, { timeout: PATIENCE });
    sqlite.pragma('journal_mode = PERSIST');
    sqlite.pragma('journal_size_limit = 1048576');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('foreign_keys = OFF');
    mustBeWhole(sqlite);
    if (file !== MEMORY) copyAside(sqlite, file, last);
    const db = new Kysely<Tables>({ dialect: new HouseDialect(sqlite, file === MEMORY ? null : file) });
    await migrate(db as Kysely<unknown>, last);
    sqlite.pragma('foreign_keys = ON');
    return db;
  } catch (error) {
    sqlite?.close();
    throw asTrouble(error);
  }
}

/** Whole, and to be written. */
function mustBeWhole(sqlite: SQLite.Database): void {
  if (sqlite.pragma('quick_check(1)', { simple: true }) !== 'ok') throw new StoreTrouble('corrupt');
  sqlite.exec('begin immediate; rollback');
}

/** Does something in one transaction: the one that is open already, or one of its own. */
export const transaction = <T>(db: Database, work: (trx: Database) => Promise<T>): Promise<T> =>
  db.isTransaction
    ? work(db)
    : db.transaction().execute((trx) => {
        houses.set(trx, db);
        return work(trx);
      });

const houses = new WeakMap<Database, Database>();

/** The database that a transaction is of: what is held of it outlives the transaction. */
export const houseOf = (db: Database): Database => houses.get(db) ?? db;
