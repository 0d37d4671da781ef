import { createHash } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import SQLite from 'better-sqlite3';
import { strFromU8, unzipSync } from 'fflate';
import { MIGRATIONS } from '../../db/migrate';
import type { Manifest } from './manifest';
import { DATA_NAME, MANIFEST_NAME, NoBackup, readManifest } from './manifest';

/** Names that a backup may hold: nothing that leads out of its folder. */
const MAY_BE = /^(hobnail\.sqlite|pictures\/[0-9a-f]{64}\.webp)$/;

/**
 * Looks a backup over: each file is there with its checksum, none is there that is not listed, its database is whole
 * and of no later version.
 * @param into a folder that its files are laid into; none where they are only looked at
 * @throws NoBackup in words
 */
export async function readBackup(file: string, into?: string): Promise<Manifest> {
  const contents = unpacked(file);
  const all = new Map(contents);
  const list = contents.get(MANIFEST_NAME);
  if (!list) throw new NoBackup('it has no list of contents');
  const manifest = readManifest(strFromU8(list));
  contents.delete(MANIFEST_NAME);
  for (const { name, bytes, sha256 } of manifest.files) {
    const found = contents.get(name);
    if (!MAY_BE.test(name)) throw new NoBackup(`it holds something strange: ${name.slice(0, 60)}`);
    if (found?.length !== bytes || createHash('sha256').update(found).digest('hex') !== sha256)
      throw new NoBackup(`${name} in it is not as it was written`);
    contents.delete(name);
  }
  if (contents.size) throw new NoBackup('it holds more than its list says');
  if (!manifest.files.some((f) => f.name === DATA_NAME)) throw new NoBackup('it holds no data');
  const known = MIGRATIONS.map(([name]) => name);
  if (!known.includes(manifest.schema)) throw new NoBackup('it was made by a later version of Hobnail than this one');
  const folder = into ?? mkdtempSync(join(tmpdir(), 'hobnail-read-'));
  try {
    for (const { name } of manifest.files) {
      if (!into && name !== DATA_NAME) continue;
      mkdirSync(dirname(join(folder, name)), { recursive: true });
      writeFileSync(join(folder, name), all.get(name) as Uint8Array, { flush: true });
    }
    mustBeWhole(join(folder, DATA_NAME));
  } finally {
    if (!into) rmSync(folder, { recursive: true, force: true });
  }
  return manifest;
}

function unpacked(file: string): Map<string, Uint8Array> {
  try {
    return new Map(Object.entries(unzipSync(readFileSync(file))));
  } catch {
    throw new NoBackup('it breaks off, or is no backup');
  }
}

function mustBeWhole(file: string): void {
  const opened = new SQLite(file, { readonly: true });
  try {
    if (opened.pragma('integrity_check(1)', { simple: true }) !== 'ok') throw new NoBackup('its data is damaged');
  } finally {
    opened.close();
  }
}
