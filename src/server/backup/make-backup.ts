import { createHash } from 'node:crypto';
import {
  closeSync,
  createReadStream,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { keptBackups } from '../../core/keep/kept-backups';
import { snapshot } from '../../db/snapshot';
import { dataFile } from '../store';
import { countsOf, schemaOf } from './counts';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME, NoBackup } from './manifest';
import { passingFile, passingFolder } from './passing';
import { readBackup } from './read-backup';

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

const DAY = 24 * 3_600_000;

/** Backups lie in a folder beside the database. */
export const backupFolder = (): string => join(dirname(dataFile()), 'backups');
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

/**
 * Writes everything into one file: the database as it is in one moment, while it is used; every picture, and a list
 * with their checksums. It is read back and looked over before it counts; what is too old by the rule of `kept-backups`
 * goes then. One is made at a time.
 * @throws NoBackup when what was written is not whole
 */
export function makeBackup(now = new Date()): Promise<BackupFile> {
  const mine = (turns.hobnailBackup ?? Promise.resolve()).then(() => making(now));
  turns.hobnailBackup = mine.catch(() => {});
  return mine;
}

const turns = globalThis as unknown as { hobnailBackup?: Promise<unknown> };

async function making(now: Date): Promise<BackupFile> {
  const work = passingFolder(tmpdir());
  try {
    const copy = join(work, DATA_NAME);
    await snapshot(dataFile(), copy);
    const made = await packBackup(copy, pictureFolder(), now);
    const all = listBackups(now.getTime()).filter((b) => !b.ahead);
    const kept = new Set(keptBackups(all.map((b) => b.made)));
    for (const old of all) if (!kept.has(old.made)) rmSync(join(backupFolder(), old.name), { force: true });
    return made;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

/**
 * Packs a database that nobody writes to, and a folder of pictures, into a backup that lies among the others.
 * @throws NoBackup when what was written is not whole
 */
export async function packBackup(data: string, pictureFolder: string, now: Date): Promise<BackupFile> {
  mkdirSync(backupFolder(), { recursive: true });
  const unfinished = passingFile(backupFolder());
  const pictures = existsSync(pictureFolder)
    ? readdirSync(pictureFolder)
        .filter((f) => f.endsWith('.webp'))
        .sort()
    : [];
  try {
    const opened = new SQLite(data, { readonly: true });
    const told = { schema: schemaOf(opened), counts: countsOf(opened, pictures.length) };
    opened.close();
    await write(unfinished, now, told, [
      { name: DATA_NAME, file: data },
      ...pictures.map((p) => ({ name: `pictures/${p}`, file: join(pictureFolder, p) })),
    ]);
    await readBackup(unfinished);
    const name = layBeside(unfinished, now);
    return { name, made: now.getTime(), bytes: statSync(join(backupFolder(), name)).size, ahead: false };
  } finally {
    rmSync(unfinished, { force: true });
  }
}

/**
 * Takes a backup that was kept elsewhere, under the time it was made; it is looked over first. Its file is moved: it
 * lies on the disk of the data. One that lies here already, to the byte, is not taken twice.
 * @throws NoBackup; nothing is kept then
 */
export async function takeBackup(file: string): Promise<string> {
  const { made } = await readBackup(file);
  const at = new Date(made);
  if (Number.isNaN(at.getTime())) throw new NoBackup('it does not say when it was made');
  mkdirSync(backupFolder(), { recursive: true });
  const of = await checksum(file);
  for (const { name, made: then } of listBackups())
    if (
      Math.floor(then / 1000) === Math.floor(at.getTime() / 1000) &&
      (await checksum(join(backupFolder(), name))) === of
    )
      return name;
  return layBeside(file, at);
}

/** Gives a file its name among the backups; one that lies there is never written over. @returns the name */
function layBeside(file: string, at: Date): string {
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

async function checksum(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(file)) hash.update(part as Buffer);
  return hash.digest('hex');
}

async function write(
  target: string,
  now: Date,
  told: Pick<Manifest, 'schema' | 'counts'>,
  files: readonly { readonly name: string; readonly file: string }[],
): Promise<void> {
  const out = openSync(target, 'w');
  const failed: Error[] = [];
  const zip = new Zip((error, data) => {
    if (error) failed.push(error);
    else writeSync(out, data);
  });
  const listed: Manifest['files'][number][] = [];
  for (const { name, file } of files) {
    const bytes = readFileSync(file);
    listed.push({ name, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') });
    // pictures are packed already
    const entry = name === DATA_NAME ? new ZipDeflate(name, { level: 3 }) : new ZipPassThrough(name);
    zip.add(entry);
    entry.push(bytes, true);
    await new Promise((next) => setImmediate(next)); // who waits meanwhile is answered
  }
  const manifest: Manifest = { format: 'hobnail.backup/1', made: now.toISOString(), ...told, files: listed };
  const list = new ZipDeflate(MANIFEST_NAME, { level: 6 });
  zip.add(list);
  list.push(new TextEncoder().encode(JSON.stringify(manifest)), true);
  zip.end();
  fsyncSync(out);
  closeSync(out);
  if (failed[0]) throw failed[0];
}

/** Older than this a backup is due, and older than that its owner is told, ms. */
const DUE = 20 * 3_600_000;
const OLD = 8 * DAY;

/** The latest backup that counts. */
const lastOf = (backups: readonly BackupFile[]): BackupFile | undefined => backups.find((b) => !b.ahead);

/** True where there is no backup, or none that is young enough to rely on. */
export function isBackupOld(backups: readonly BackupFile[], now = Date.now()): boolean {
  const last = lastOf(backups);
  return !last || now - last.made > OLD;
}

/** The same of a house that has stood long enough to have had one: a new one is not warned on its first day. */
export function isBackupMissed(now = Date.now()): boolean {
  const backups = listBackups(now);
  const begun = existsSync(dataFile()) ? statSync(dataFile()).birthtimeMs : now;
  return isBackupOld(backups, now) && (lastOf(backups) !== undefined || Math.abs(now - begun) > OLD);
}

/** Makes a backup where the last one is a day old. @returns whether one was made */
export async function backUpIfDue(now = new Date()): Promise<boolean> {
  const last = lastOf(listBackups(now.getTime()));
  if (!existsSync(dataFile()) || (last && Math.abs(now.getTime() - last.made) < DUE)) return false;
  await makeBackup(now);
  return true;
}
