import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import * as first from './migrations/0001-first';
import * as agendaEdits from './migrations/0002-agenda-edits';
import * as lookAhead from './migrations/0003-look-ahead';
import * as stock from './migrations/0004-stock';
import * as manners from './migrations/0005-manners';
import * as waved from './migrations/0006-waved';
import * as likes from './migrations/0007-likes';
import type { Tables } from './schema';

export type Database = Kysely<Tables>;

/** In order. One line a migration. */
const MIGRATIONS = {
  '0001-first': first,
  '0002-agenda-edits': agendaEdits,
  '0003-look-ahead': lookAhead,
  '0004-stock': stock,
  '0005-manners': manners,
  '0006-waved': waved,
  '0007-likes': likes,
};

/**
 * Opens the database and brings it up to date. An edit that was reported as saved is on the disk:
 * write-ahead log, synchronized at every commit, foreign keys held.
 */
export async function openDatabase(file: string): Promise<Database> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const sqlite = new SQLite(file);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma('busy_timeout = 5000');
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: sqlite }) });
  const migrator = new Migrator({ db, provider: { getMigrations: async () => MIGRATIONS } });
  const { error } = await migrator.migrateToLatest();
  if (error) throw error;
  return db;
}
