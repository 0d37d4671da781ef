import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { appendFile } from 'node:fs/promises';
import { join } from 'node:path';
import { BadInput } from '../../core/format/fault';
import { backupFolder } from './backup-files';

/** No larger file is taken, bytes. */
const MOST = 8 * 2 ** 30;
/** What was begun and not gone on with is thrown away after so long, ms. */
const LEFT = 24 * 3_600_000;

/** A piece of a file that comes in several, one after the other. */
export interface Piece {
  /** of the file, made up by who sends it: a UUID */
  readonly id: string;
  /** where it begins in the file, and how long the file is, bytes */
  readonly at: number;
  readonly of: number;
  readonly bytes: Uint8Array;
}

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/**
 * Adds a piece to what is there of its file.
 * @returns the whole file's place, once this was its last piece; else null
 * @throws BadInput for a piece that does not go on where the one before it ended
 */
export async function addPiece({ id, at, of, bytes }: Piece): Promise<string | null> {
  const bad = (where: string, found: string, expected: string): BadInput =>
    new BadInput([{ file: 'import', where, found, expected }]);
  if (!ID.test(id)) throw bad('upload', id.slice(0, 60), 'a UUID');
  if (!Number.isInteger(of) || of <= 0 || of > MOST) throw bad('size', `${of} bytes`, 'at most 8 GB');
  mkdirSync(backupFolder(), { recursive: true });
  if (at === 0) throwAwayOld();
  const file = join(backupFolder(), `taken-${id}.part`);
  const there = existsSync(file) ? statSync(file).size : 0;
  if (at === 0 && there > 0)
    rmSync(file); // begun anew
  else if (at !== there) throw bad('piece', `byte ${at}`, `byte ${there}, where the one before it ended`);
  if (at + bytes.length > of) throw bad('piece', `${at + bytes.length} bytes`, `${of} bytes, as was said`);
  await appendFile(file, bytes);
  return at + bytes.length === of ? file : null;
}

function throwAwayOld(): void {
  for (const name of readdirSync(backupFolder())) {
    const file = join(backupFolder(), name);
    if (/^taken-.+\.part$/.test(name) && Date.now() - statSync(file).mtimeMs > LEFT) rmSync(file, { force: true });
  }
}
