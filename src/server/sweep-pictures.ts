import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'kysely';
import type { Database } from '../db/database';
import { pictureFolder } from './backup/backup-files';

/** A picture that nothing shows stays so long, ms: one that was only just made may be on its way into a kit. */
const GRACE = 30 * 24 * 3_600_000;
const PICTURE = /^([0-9a-f]{64})\.webp$/;

/**
 * Takes pictures away that no sticker and no week shows any more, that undo could not bring back, and that no week that
 * was given up has.
 * @returns how many
 */
export async function sweepPictures(db: Database, now = Date.now()): Promise<number> {
  const folder = pictureFolder();
  if (!existsSync(folder)) return 0;
  let swept = 0;
  for (const file of readdirSync(folder)) {
    const hash = PICTURE.exec(file)?.[1];
    const path = join(folder, file);
    if (!hash || now - statSync(path).mtimeMs < GRACE || (await isShown(db, hash))) continue;
    rmSync(path, { force: true });
    swept++;
  }
  return swept;
}

async function isShown(db: Database, hash: string): Promise<boolean> {
  const { rows } = await sql`
    select 1 from piece where picture = ${hash}
    union all select 1 from keep where photo = ${hash}
    union all select 1 from log where instr(effects, ${hash}) > 0
    union all select 1 from given_up where instr(rows, ${hash}) > 0 limit 1`.execute(db);
  return rows.length > 0;
}
