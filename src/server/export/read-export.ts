import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { strFromU8, unzipSync } from 'fflate';
import { openDatabase } from '../../db/database';
import { MIGRATIONS } from '../../db/migrate';
import { packBackup } from '../backup/make-backup';
import { NoBackup } from '../backup/manifest';
import type { ExportedRow } from './tables';
import { EXPORT_FORMAT, EXPORT_NAME, exportedTables, fillTable } from './tables';

/** What an import reads of an export. */
const IS_READ = /^(hobnail-export\.json|data\/[a-z_]+\.json|pictures\/[0-9a-f]{64}\.webp)$/;

/** The parts of an export that an import reads; null: it is none. @throws NoBackup where it breaks off */
export function exportIn(bytes: Uint8Array): ReadonlyMap<string, Uint8Array> | null {
  try {
    const all = new Map(Object.entries(unzipSync(bytes, { filter: ({ name }) => IS_READ.test(name) })));
    return all.has(EXPORT_NAME) ? all : null;
  } catch {
    throw new NoBackup('it breaks off, or is no backup');
  }
}

/**
 * Makes a backup of an export, which lies among the others then: it is put back as they are, with a look at what it
 * holds first. An export of an earlier version is brought up to date on the way.
 * @returns the backup's name
 * @throws NoBackup where it is not whole, or of a later version; nothing is kept then
 */
export async function takeExport(all: ReadonlyMap<string, Uint8Array>, now = new Date()): Promise<string> {
  const told = toldOf(json(all, EXPORT_NAME));
  const work = mkdtempSync(join(tmpdir(), 'hobnail-import-'));
  try {
    const data = join(work, 'hobnail.sqlite');
    await (await openDatabase(data, told.schema)).destroy();
    fill(data, told.tables, all);
    await (await openDatabase(data)).destroy();
    for (const [name, bytes] of all) {
      if (!name.startsWith('pictures/')) continue;
      mkdirSync(dirname(join(work, name)), { recursive: true });
      writeFileSync(join(work, name), bytes);
    }
    return (await packBackup(data, join(work, 'pictures'), now)).name;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

function fill(data: string, tables: readonly string[], all: ReadonlyMap<string, Uint8Array>): void {
  const sqlite = new SQLite(data);
  try {
    const known = new Set(exportedTables(sqlite));
    const strange = tables.find((t) => !known.has(t));
    if (strange !== undefined) throw new NoBackup(`it has a table that is not known: ${strange.slice(0, 40)}`);
    sqlite.pragma('foreign_keys = OFF');
    sqlite.exec('begin');
    // what a migration laid in makes way for what the export says
    for (const table of [...known].reverse()) sqlite.exec(`delete from "${table}"`);
    for (const table of tables) fillTable(sqlite, table, rowsOf(all, table));
    sqlite.exec('commit');
    const [broken] = sqlite.pragma('foreign_key_check') as readonly { readonly table: string }[];
    if (broken) throw new NoBackup(`data/${broken.table}.json points to something that is not in it`);
  } catch (error) {
    if (error instanceof NoBackup) throw error;
    throw new NoBackup(`its data does not fit together: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    sqlite.close();
  }
}

function json(all: ReadonlyMap<string, Uint8Array>, name: string): unknown {
  const bytes = all.get(name);
  if (!bytes) throw new NoBackup(`${name} is not in it`);
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    throw new NoBackup(`${name} in it cannot be read`);
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function toldOf(value: unknown): { readonly schema: string; readonly tables: readonly string[] } {
  if (!isRecord(value) || value.format !== EXPORT_FORMAT)
    throw new NoBackup('it is none of Hobnail’s, or of a later version than this one');
  const { schema, tables } = value;
  if (typeof schema !== 'string' || !Array.isArray(tables) || !tables.every((t): t is string => typeof t === 'string'))
    throw new NoBackup(`${EXPORT_NAME} in it is not whole`);
  if (!MIGRATIONS.some(([name]) => name === schema))
    throw new NoBackup('it was made by a later version of Hobnail than this one');
  return { schema, tables };
}

function rowsOf(all: ReadonlyMap<string, Uint8Array>, table: string): readonly ExportedRow[] {
  const rows = json(all, `data/${table}.json`);
  if (!Array.isArray(rows) || !rows.every(isRecord)) throw new NoBackup(`data/${table}.json in it is no list of rows`);
  return rows as readonly ExportedRow[];
}
