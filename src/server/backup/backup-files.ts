import { existsSync, linkSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { dataFile } from '../store';

/** A backup that lies beside the data. */
export interface BackupFile {
  readonly name: string;
  /** ms */
  readonly made: number;
  readonly bytes: number;
  /**
   * made later than tomorrow, by a clock that ran ahead or on another machine: it counts for nothing, since it says
   * nothing of what is safe here
   */
  readonly ahead: boolean;
}

export const DAY = 24 * 3_600_000;

const USUAL = 'hobnail.sqlite';

/**
 * Backups lie in a folder beside the database, of its own where the database has another name than the usual one: two
 * houses in one place would count, sweep and put back each other's. One that lay there alone before keeps its folder.
 */
export function backupFolder(): string {
  const [place, file] = [dirname(dataFile()), basename(dataFile())];
  const [usual, own] = [join(place, 'backups'), join(place, `${file.replace(/\.[^.]*$/, '')}-backups`)];
  const isAlone = !existsSync(own) && existsSync(usual) && !existsSync(join(place, USUAL));
  return file === USUAL || file === ':memory:' || isAlone ? usual : own;
}
export const pictureFolder = (): string => join(dirname(dataFile()), 'pictures');

const NAME = /^hobnail-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})(-\d+)?\.backup\.zip$/;
/** @param n counts those of one second */
const nameAt = (at: Date, n: number): string =>
  `hobnail-${at.toISOString().slice(0, 19).replace(/:/g, '-')}${n === 1 ? '' : `-${n}`}.backup.zip`;

/** The backups that lie there, the latest first. */
export function listBackups(now = Date.now()): BackupFile[] {
  if (!existsSync(backupFolder())) return [];
  return readdirSync(backupFolder())
    .flatMap((name) => {
      const made = NAME.exec(name)?.[1];
      if (!made) return [];
      const [day = '', time = ''] = made.split('T');
      const at = Date.parse(`${day}T${time.replace(/-/g, ':')}Z`);
      const { size: bytes } = statSync(join(backupFolder(), name));
      return [{ name, made: at, bytes, ahead: at > now + DAY }];
    })
    .sort((a, b) => b.made - a.made);
}

/** A backup's whole name on the disk; null for what is none. */
export const backupNamed = (name: string): string | null =>
  NAME.test(name) && existsSync(join(backupFolder(), name)) ? join(backupFolder(), name) : null;

/** Gives a file its name among the backups; one that lies there is never written over. @returns the name */
export function layBeside(file: string, at: Date): string {
  for (let n = 1; ; n++) {
    const name = nameAt(at, n);
    const target = join(backupFolder(), name);
    try {
      // a new name of the same file fails where there is one, and a file that is moved does not
      linkSync(file, target);
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      if (code === 'EEXIST') continue;
      if (code !== 'EPERM' && code !== 'ENOTSUP' && code !== 'EOPNOTSUPP' && code !== 'ENOSYS') throw error;
      if (existsSync(target)) continue; // a disk that gives a file one name only
      renameSync(file, target);
      return name;
    }
    rmSync(file, { force: true });
    return name;
  }
}
