import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { MIGRATIONS } from '../../db/migrate';
import { StoreTrouble, asTrouble, isOfDisk } from '../../db/trouble';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME, NoBackup, readManifest } from './manifest';
import { passingFolder } from './passing';
import { openZip } from './zip-file';

/** Names that a backup may hold: nothing that leads out of its folder. */
const MAY_BE = /^(hobnail\.sqlite|pictures\/[0-9a-f]{64}\.webp)$/;

/**
 * Looks a backup over: each file is there with its checksum, none is there that is not listed, its database is whole
 * and of no later version.
 * @param into a folder that its files are laid into; none where they are only looked at
 * @throws NoBackup in words
 */
export async function readBackup(file: string, into?: string): Promise<Manifest> {
  const zip = await openZip(file);
  const folder = into ?? passingFolder(tmpdir());
  try {
    const list = zip.files.get(MANIFEST_NAME);
    if (!list) throw new NoBackup('it has no list of contents');
    const manifest = readManifest(new TextDecoder().decode(await list.bytes()));
    const known = MIGRATIONS.map(([name]) => name);
    if (!known.includes(manifest.schema)) throw new NoBackup('it was made by a later version of Hobnail than this one');
    const listed = new Set(manifest.files.map((f) => f.name));
    for (const { name, bytes, sha256 } of manifest.files) {
      const found = zip.files.get(name);
      if (!MAY_BE.test(name)) throw new NoBackup(`it holds something strange: ${name.slice(0, 60)}`);
      const target = into || name === DATA_NAME ? join(folder, name) : null;
      if (found?.size !== bytes || (await found.unpack(target)) !== sha256)
        throw new NoBackup(`${name} in it is not as it was written`);
    }
    if ([...zip.files.keys()].some((name) => name !== MANIFEST_NAME && !listed.has(name)))
      throw new NoBackup('it holds more than its list says');
    if (!listed.has(DATA_NAME)) throw new NoBackup('it holds no data');
    mustBeWhole(join(folder, DATA_NAME));
    return manifest;
  } finally {
    zip.close();
    if (!into) rmSync(folder, { recursive: true, force: true });
  }
}

function mustBeWhole(file: string): void {
  const damaged = new NoBackup('its data is damaged');
  try {
    const opened = new SQLite(file, { readonly: true });
    const said: unknown = opened.pragma('integrity_check(1)', { simple: true });
    opened.close();
    if (said !== 'ok') throw damaged;
  } catch (error) {
    // what SQLite has against it is said of the backup: it is not the house's own file
    throw asTrouble(error) instanceof StoreTrouble && !isOfDisk(error) ? damaged : error;
  }
}
