import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { heavily } from '../heavy/heavily';
import { dataFile } from '../store';
import type { BackupFile } from './backup-files';
import { DAY, backupFolder, layBeside, listBackups } from './backup-files';
import { NoBackup } from './manifest';
import { readBackup } from './read-backup';

/**
 * Writes everything into one file: the database as it is in one moment, while it is used; every picture, and a list
 * with their checksums. It is read back and looked over before it counts; what is too old by the rule of `kept-backups`
 * goes then. One is made at a time, as all works of that thread are.
 * @throws NoBackup when what was written is not whole
 */
export const makeBackup = (now = new Date()): Promise<BackupFile> => heavily('backup', { now });

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

async function checksum(file: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(file)) hash.update(part as Buffer);
  return hash.digest('hex');
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
