import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { passingFile } from './backup/passing';
import { heavily } from './heavy/heavily';
import { readPicture } from './pictures';
import { loadSpread } from './spread-data';
import { keepOf } from '../db/keeps';
import { findSpread } from '../db/spreads';
import { dataFile, store } from './store';

/** px of the longer side: sharp on a small card of a fine screen */
const SIDE = 640;

/** Small pictures can be made anew at any time: they are in no backup. */
const folder = (): string => join(dirname(dataFile()), 'thumbnails');

/**
 * A spread as a small picture: its photo where it has one. Drawn once for each state; a shelf of a year then scrolls
 * pictures, not drawings of ten thousand paths.
 * @returns null when there is no such spread
 */
export async function thumbnail(id: number): Promise<Uint8Array<ArrayBuffer> | null> {
  const db = await store();
  const row = Number.isSafeInteger(id) ? await findSpread(db, id) : undefined;
  if (!row) return null;
  const photo = (await keepOf(db, id))?.photo ?? '';
  const name = `${id}-${photo ? photo.slice(0, 16) : `r${row.revision}`}.webp`;
  const file = join(folder(), name);
  if (existsSync(file)) return new Uint8Array(readFileSync(file));
  const spread = await loadSpread(id);
  if (!spread) return null;
  const { context, placements } = spread;
  const made = await heavily('small', { context, placements, photo: photo ? readPicture(photo) : null, side: SIDE });
  keepOnly(id, name, made);
  return new Uint8Array(made);
}

/** Writes it down, and takes earlier ones of the same spread away. A folder that cannot be written costs time only. */
function keepOnly(id: number, name: string, made: Uint8Array): void {
  try {
    mkdirSync(folder(), { recursive: true });
    const unfinished = passingFile(folder());
    writeFileSync(unfinished, made);
    renameSync(unfinished, join(folder(), name));
    for (const other of readdirSync(folder()))
      if (other.startsWith(`${id}-`) && other !== name) rmSync(join(folder(), other), { force: true });
  } catch (error) {
    console.error('a small picture could not be kept', error);
  }
}
