import SQLite from 'better-sqlite3';
import { openDatabase } from '../../db/database';
import type { StoredRow } from '../../db/sound-values';
import { StoreTrouble } from '../../db/trouble';
import { fillTable, tablesToFill } from '../export/tables';
import { NoBackup } from './manifest';

/** Rows of a table that were not taken: what stands in them is not what should, or what they belong to is not there. */
export interface LeftOut {
  readonly table: string;
  readonly rows: number;
}

/**
 * Makes a database of this house's own, and fills it with rows from elsewhere: what else a file may hold, such as
 * triggers and views, never gets in. Each value is looked over; a row that is not sound is left out, with all that
 * needs it. Then it is brought up to date.
 * @param schema the step that the rows were written at
 * @param rowsOf the rows of a table
 * @param tables those there are; others stay empty
 * @throws NoBackup where the rest cannot be brought up to date; StoreTrouble for the disk's own troubles
 */
export async function fillData(
  file: string,
  schema: string,
  tables: ReadonlySet<string>,
  rowsOf: (table: string) => Promise<Iterable<StoredRow>> | Iterable<StoredRow>,
): Promise<LeftOut[]> {
  await (await openDatabase(file, schema)).destroy();
  const leftOut: LeftOut[] = [];
  const sqlite = new SQLite(file);
  try {
    const known = tablesToFill(sqlite);
    sqlite.pragma('foreign_keys = ON');
    sqlite.pragma('synchronous = off'); // a file of this work alone
    sqlite.exec('begin');
    // what a migration laid in makes way for what is given
    for (const table of [...known].reverse()) sqlite.exec(`delete from "${table}"`);
    for (const table of known.filter((t) => tables.has(t))) {
      const rows = await fillTable(sqlite, table, await rowsOf(table));
      if (rows) leftOut.push({ table, rows });
    }
    sqlite.exec('commit');
  } finally {
    sqlite.close();
  }
  await (await openDatabase(file).catch(notBroughtUp)).destroy();
  return leftOut;
}

function notBroughtUp(error: unknown): never {
  if (error instanceof StoreTrouble && error.trouble !== 'corrupt') throw error;
  throw new NoBackup('its data cannot be brought up to date');
}
