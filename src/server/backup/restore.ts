import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { replaceAll } from '../../db/replace-all';
import type { StoredRow } from '../../db/sound-values';
import { isOfDisk } from '../../db/trouble';
import { dataFile, store } from '../store';
import { countsOf } from './counts';
import type { LeftOut } from './fill-data';
import { fillData } from './fill-data';
import { pictureFolder } from './backup-files';
import { makeBackup } from './make-backup';
import type { Counts, Manifest } from './manifest';
import { DATA_NAME, NoBackup } from './manifest';
import { passingFile, passingFolder } from './passing';
import { readBackup } from './read-backup';

/** What a restore would bring, and what it would take. */
export interface Preview {
  readonly made: string;
  readonly then: Counts;
  readonly now: Counts;
  /** weeks that are planned now and not in it */
  readonly lost: readonly string[];
  /** rows of it that are not sound, and would not be taken */
  readonly leftOut: readonly LeftOut[];
}

/** Looks a backup over, without changing anything. @throws NoBackup */
export async function previewOf(file: string): Promise<Preview> {
  return unpacked(file, async ({ manifest, data, leftOut }) => {
    const weeks = (path: string): string[] =>
      reading(path, (opened) => opened.prepare('select week from spread order by week').pluck().all() as string[]);
    const then = new Set(weeks(data));
    return {
      made: manifest.made,
      then: reading(data, (opened) => countsOf(opened, manifest.files.length - 1)),
      now: countsNow(),
      lost: weeks(dataFile()).filter((week) => !then.has(week)),
      leftOut,
    };
  });
}

interface Unpacked {
  readonly manifest: Manifest;
  /** its data as a database of this house's own, brought up to date */
  readonly data: string;
  readonly leftOut: readonly LeftOut[];
  /** the folder of its pictures */
  readonly pictures: string;
}

/** Unpacks a backup beside the data, for as long as somebody works on it. @throws NoBackup */
async function unpacked<T>(file: string, work: (at: Unpacked) => Promise<T>): Promise<T> {
  const folder = passingFolder(dirname(dataFile()));
  try {
    const manifest = await readBackup(file, folder);
    const data = join(folder, 'fresh.sqlite');
    const given = join(folder, DATA_NAME);
    const tables = new Set(
      reading(given, (opened) =>
        opened
          .prepare("select name from sqlite_master where type = 'table' and sql not like 'create virtual%'")
          .pluck()
          .all(),
      ) as string[],
    );
    const opened = new SQLite(given, { readonly: true });
    try {
      opened.pragma('trusted_schema = OFF');
      const leftOut = await fillData(data, manifest.schema, tables, (table) => rowsIn(opened, table));
      return await work({ manifest, data, leftOut, pictures: join(folder, 'pictures') });
    } finally {
      opened.close();
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function* rowsIn(opened: SQLite.Database, table: string): Generator<StoredRow> {
  try {
    yield* opened.prepare(`select * from "${table}"`).iterate() as Iterable<StoredRow>;
  } catch (error) {
    if (isOfDisk(error)) throw error;
    throw new NoBackup(`its table “${table}” cannot be read`);
  }
}

/** Asks a database, and closes it. */
function reading<T>(file: string, ask: (opened: SQLite.Database) => T): T {
  const opened = new SQLite(file, { readonly: true });
  try {
    return ask(opened);
  } finally {
    opened.close();
  }
}

function countsNow(): Counts {
  const folder = pictureFolder();
  return reading(dataFile(), (opened) => countsOf(opened, existsSync(folder) ? readdirSync(folder).length : 0));
}

/**
 * Puts everything back as a backup has it. What is here now is backed up first, so that it can be put back the same
 * way; from then on till all is back nobody can write, and who wants to waits. Pictures are added: none is taken away.
 * @returns the backup of what was here before, and what was not taken
 * @throws NoBackup; nothing has changed then
 */
export async function restore(
  file: string,
  now = new Date(),
): Promise<{ before: string; manifest: Manifest; leftOut: readonly LeftOut[] }> {
  return unpacked(file, async ({ manifest, data, leftOut, pictures }) => {
    if (existsSync(pictures)) {
      mkdirSync(pictureFolder(), { recursive: true });
      for (const name of readdirSync(pictures)) {
        const target = join(pictureFolder(), name);
        if (existsSync(target)) continue;
        const half = passingFile(pictureFolder());
        copyFileSync(join(pictures, name), half);
        renameSync(half, target);
      }
    }
    const { name: before } = await replaceAll(await store(), data, () => makeBackup(now));
    return { before, manifest, leftOut };
  });
}
