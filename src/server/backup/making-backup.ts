import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { keptBackups } from '../../core/keep/kept-backups';
import { snapshot } from '../../db/snapshot';
import { dataFile } from '../store';
import type { BackupFile } from './backup-files';
import { backupFolder, layBeside, listBackups, pictureFolder } from './backup-files';
import { countsOf, schemaOf } from './counts';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME } from './manifest';
import { passingFile, passingFolder } from './passing';
import { readBackup } from './read-backup';

/** Writes everything into one file; see `makeBackup`. @throws NoBackup when what was written is not whole */
export async function makingBackup(now: Date): Promise<BackupFile> {
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
    if (failed.length) return;
    try {
      writeSync(out, data);
    } catch (full) {
      failed.push(full as Error); // thrown from here, the packing would say something else instead
    }
  });
  const listed: Manifest['files'][number][] = [];
  for (const { name, file } of files) {
    const bytes = readFileSync(file);
    listed.push({ name, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') });
    // pictures are packed already
    const entry = name === DATA_NAME ? new ZipDeflate(name, { level: 3 }) : new ZipPassThrough(name);
    zip.add(entry);
    entry.push(bytes, true);
    if (failed[0]) break;
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
