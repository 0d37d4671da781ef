import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, SqliteDialect } from 'kysely';
import { migrate } from './migrate';
import type { Tables } from './schema';

export type Database = Kysely<Tables>;

/**
 * Opens the database and brings it up to date. An edit that was reported as saved is on the disk:
 * write-ahead log, synchronized at every commit, foreign keys held.
 * @param last the migration to stop at, for tests of those that follow
 * @throws NewerDatabase
 */
export async function openDatabase(file: string, last?: string): Promise<Database> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const sqlite = new SQLite(file);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('busy_timeout = 5000');
  sqlite.pragma('foreign_keys = OFF');
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: sqlite }) });
  await migrate(db as Kysely<unknown>, last);
  sqlite.pragma('foreign_keys = ON');
  return db;
}

/** Does something in one transaction: the one that is open already, or one of its own. */
export const together = <T>(db: Database, work: (trx: Database) => Promise<T>): Promise<T> =>
  db.isTransaction ? work(db) : db.transaction().execute(work);
