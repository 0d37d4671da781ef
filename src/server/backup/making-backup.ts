import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import SQLite from 'better-sqlite3';
import { keptBackups } from '../../core/keep/kept-backups';
import { snapshot } from '../../db/snapshot';
import { dataFile } from '../store';
import type { BackupFile } from './backup-files';
import { backupFolder, layBeside, listBackups, pictureFolder } from './backup-files';
import { countsOf, schemaOf } from './counts';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME } from './manifest';
import type { ToPack } from './pack-zip';
import { packZip } from './pack-zip';
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

interface Listed {
  readonly name: string;
  readonly file: string;
}

async function write(
  target: string,
  now: Date,
  told: Pick<Manifest, 'schema' | 'counts'>,
  files: readonly Listed[],
): Promise<void> {
  await pipeline(packZip(withManifest(now, told, files)), createWriteStream(target, { flush: true }));
}

/** The files, and last what they are. */
async function* withManifest(
  now: Date,
  told: Pick<Manifest, 'schema' | 'counts'>,
  files: readonly Listed[],
): AsyncGenerator<ToPack> {
  const listed: Manifest['files'][number][] = [];
  for (const { name, file } of files) {
    const hash = createHash('sha256');
    await pipeline(createReadStream(file), hash);
    listed.push({ name, bytes: statSync(file).size, sha256: hash.digest('hex') });
    yield { name, file };
  }
  const manifest: Manifest = { format: 'hobnail.backup/1', made: now.toISOString(), ...told, files: listed };
  yield { name: MANIFEST_NAME, bytes: JSON.stringify(manifest) };
}
