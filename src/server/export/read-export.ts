import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { StoredRow } from '../../db/sound-values';
import { MIGRATIONS } from '../../db/migrate';
import { fillData } from '../backup/fill-data';
import { packBackup } from '../backup/making-backup';
import { NoBackup } from '../backup/manifest';
import type { ZipFile } from '../backup/zip-file';
import { passingFolder } from '../backup/passing';
import { openZip } from '../backup/zip-file';
import type { ExportedRow } from './tables';
import { EXPORT_FORMAT, EXPORT_NAME, storedRow } from './tables';

const PICTURE = /^pictures\/[0-9a-f]{64}\.webp$/;

/**
 * Makes a backup of an export, which lies among the others then: it is put back as they are, with a look at what it
 * holds first. An export of an earlier version is brought up to date on the way.
 * @returns the backup's name; null where the file is no export
 * @throws NoBackup where it is not whole, or of a later version; nothing is kept then
 */
export async function takeExport(file: string, now = new Date()): Promise<string | null> {
  const zip = await openZip(file);
  const work = passingFolder(tmpdir());
  try {
    if (!zip.files.has(EXPORT_NAME)) return null;
    const told = toldOf(await json(zip, EXPORT_NAME));
    const data = join(work, 'hobnail.sqlite');
    const strange = told.tables.find((t) => !zip.files.has(`data/${t}.json`) || !/^[a-z_]+$/.test(t));
    if (strange !== undefined) throw new NoBackup(`data/${strange.slice(0, 40)}.json is not in it`);
    const [broken] = await fillData(data, told.schema, new Set(told.tables), async (t) => rowsOf(zip, t));
    if (broken)
      throw new NoBackup(`data/${broken.table}.json has ${broken.rows} rows that do not fit, or point to nothing`);
    for (const picture of zip.files.values())
      if (PICTURE.test(picture.name)) await picture.unpack(join(work, picture.name));
    return (await packBackup(data, join(work, 'pictures'), now)).name;
  } finally {
    zip.close();
    rmSync(work, { recursive: true, force: true });
  }
}

async function json({ files }: ZipFile, name: string): Promise<unknown> {
  const packed = files.get(name);
  if (!packed) throw new NoBackup(`${name} is not in it`);
  const bytes = await packed.bytes();
  let objects = 0;
  for (let at = bytes.indexOf(OPENS); at >= 0; at = bytes.indexOf(OPENS, at + 1)) objects++;
  if (objects > MOST_ROWS) throw new NoBackup(`${name} in it has ${objects} rows, at most ${MOST_ROWS} are taken`);
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    throw new NoBackup(`${name} in it cannot be read`);
  }
}

/** Rows of one table: fifty years have half of it. */
const MOST_ROWS = 600_000;
const OPENS = '{'.charCodeAt(0);

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

async function rowsOf(zip: ZipFile, table: string): Promise<readonly StoredRow[]> {
  const rows = await json(zip, `data/${table}.json`);
  if (!Array.isArray(rows) || !rows.every(isRecord)) throw new NoBackup(`data/${table}.json in it is no list of rows`);
  return (rows as readonly ExportedRow[]).map(storedRow);
}
