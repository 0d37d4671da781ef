import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  mkdtempSync,
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
import { dataFile } from '../store';
import { countsOf, schemaOf } from './counts';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME, NoBackup } from './manifest';
import { readBackup } from './read-backup';

/** A backup that lies beside the data. */
export interface BackupFile {
  readonly name: string;
  /** ms */
  readonly made: number;
  readonly bytes: number;
}

/** Backups lie in a folder beside the database. */
export const backupFolder = (): string => join(dirname(dataFile()), 'backups');
export const pictureFolder = (): string => join(dirname(dataFile()), 'pictures');

const NAME = /^hobnail-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})\.backup\.zip$/;
const nameAt = (at: Date): string => `hobnail-${at.toISOString().slice(0, 19).replace(/:/g, '-')}.backup.zip`;

/** The backups that lie there, the latest first. */
export function listBackups(): BackupFile[] {
  if (!existsSync(backupFolder())) return [];
  return readdirSync(backupFolder())
    .flatMap((name) => {
      const made = NAME.exec(name)?.[1];
      if (!made) return [];
      const [day = '', time = ''] = made.split('T');
      return [
        {
          name,
          made: Date.parse(`${day}T${time.replace(/-/g, ':')}Z`),
          bytes: statSync(join(backupFolder(), name)).size,
        },
      ];
    })
    .sort((a, b) => b.made - a.made);
}

/** A backup's whole name on the disk; null for what is none. */
export const backupNamed = (name: string): string | null =>
  NAME.test(name) && existsSync(join(backupFolder(), name)) ? join(backupFolder(), name) : null;

/**
 * Writes everything into one file: the database as SQLite itself copies it while it is used, every picture, and a list
 * with their checksums. It is read back and looked over before it counts; what is too old by the rule of `kept-backups`
 * goes then.
 * @throws NoBackup when what was written is not whole
 */
export async function makeBackup(now = new Date()): Promise<BackupFile> {
  const work = mkdtempSync(join(tmpdir(), 'hobnail-backup-'));
  try {
    const copy = join(work, DATA_NAME);
    const source = new SQLite(dataFile(), { readonly: true });
    await source.backup(copy);
    source.close();
    const made = await packBackup(copy, pictureFolder(), now);
    const all = listBackups();
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
  const name = nameAt(now);
  const target = join(backupFolder(), name);
  const unfinished = `${target}.part`;
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
    renameSync(unfinished, target);
  } finally {
    rmSync(unfinished, { force: true });
  }
  return { name, made: now.getTime(), bytes: statSync(target).size };
}

/**
 * Takes a backup that was kept elsewhere, under the time it was made; it is looked over first. Its file is moved: it
 * lies on the disk of the data.
 * @throws NoBackup; nothing is kept then
 */
export async function takeBackup(file: string): Promise<string> {
  const { made } = await readBackup(file);
  const at = new Date(made);
  if (Number.isNaN(at.getTime())) throw new NoBackup('it does not say when it was made');
  const name = nameAt(at);
  mkdirSync(backupFolder(), { recursive: true });
  renameSync(file, join(backupFolder(), name));
  return name;
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
const OLD = 8 * 24 * 3_600_000;

/** True where there is no backup, or none that is young enough to rely on. */
export const isBackupOld = (backups: readonly BackupFile[], now = Date.now()): boolean =>
  !backups[0] || now - backups[0].made > OLD;

/** The same of a house that has stood long enough to have had one: a new one is not warned on its first day. */
export function isBackupMissed(now = Date.now()): boolean {
  const backups = listBackups();
  const begun = existsSync(dataFile()) ? statSync(dataFile()).birthtimeMs : now;
  return isBackupOld(backups, now) && (backups.length > 0 || now - begun > OLD);
}

/** Makes a backup where the last one is a day old. @returns whether one was made */
export async function backUpIfDue(now = new Date()): Promise<boolean> {
  const [last] = listBackups();
  if (!existsSync(dataFile()) || (last && now.getTime() - last.made < DUE)) return false;
  await makeBackup(now);
  return true;
}
