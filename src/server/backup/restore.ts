import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { openDatabase } from '../../db/database';
import { dataFile } from '../store';
import { countsOf } from './counts';
import { makeBackup } from './make-backup';
import type { Counts, Manifest } from './manifest';
import { DATA_NAME } from './manifest';
import { readBackup } from './read-backup';

/** What a restore would bring, and what it would take. */
export interface Preview {
  readonly made: string;
  readonly then: Counts;
  readonly now: Counts;
  /** weeks that are planned now and not in it */
  readonly lost: readonly string[];
}

/** Looks a backup over, without changing anything. @throws NoBackup */
export async function previewOf(file: string): Promise<Preview> {
  const work = mkdtempSync(join(dirname(dataFile()), '.looking-'));
  try {
    const manifest = await readBackup(file, work);
    const weeksIn = (path: string): string[] => {
      const opened = new SQLite(path, { readonly: true });
      try {
        return opened.prepare('select week from spread order by week').pluck().all() as string[];
      } finally {
        opened.close();
      }
    };
    const then = new Set(weeksIn(join(work, DATA_NAME)));
    return {
      made: manifest.made,
      then: manifest.counts,
      now: countsNow(),
      lost: weeksIn(dataFile()).filter((week) => !then.has(week)),
    };
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

function countsNow(): Counts {
  const opened = new SQLite(dataFile(), { readonly: true });
  const folder = join(dirname(dataFile()), 'pictures');
  try {
    return countsOf(opened, existsSync(folder) ? readdirSync(folder).length : 0);
  } finally {
    opened.close();
  }
}

/**
 * Puts everything back as a backup has it. What is here now is backed up first, so that it can be put back the same
 * way. Data of an earlier version is brought up to date before it takes its place; then the file is put there whole, in
 * one stroke. Pictures are added: none is taken away.
 * @returns the backup of what was here before
 * @throws NoBackup; nothing has changed then
 */
export async function restore(file: string, now = new Date()): Promise<{ before: string; manifest: Manifest }> {
  const home = dirname(dataFile());
  const work = mkdtempSync(join(home, '.restoring-'));
  try {
    const manifest = await readBackup(file, work);
    const restored = join(work, DATA_NAME);
    await (await openDatabase(restored)).destroy();
    const { name: before } = await makeBackup(now);
    const pictures = join(home, 'pictures');
    mkdirSync(pictures, { recursive: true });
    for (const { name } of manifest.files)
      if (name.startsWith('pictures/') && !existsSync(join(home, name)))
        copyFileSync(join(work, name), join(home, name));
    renameSync(restored, dataFile());
    return { before, manifest };
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}
