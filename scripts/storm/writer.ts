// A process that opens a database and writes to it till it is killed. What it says was saved when it says so.
import { writeSync } from 'node:fs';
import { piece, placement } from '../../tests/fixtures';
import type { Database } from '../../src/db/database';
import { openDatabase, transaction } from '../../src/db/database';
import { addKit, findKit } from '../../src/db/kits';
import { placementsOf } from '../../src/db/placements';
import { readSetting, writeSetting } from '../../src/db/settings';
import { makeEdit } from '../../src/db/spread-edits';
import { addSpread, findSpreadOfWeek } from '../../src/db/spreads';
import { lookUpSaid } from '../../src/server/upgrade';

export const COUNTER = 'storm';
const WEEK = '2031-W20';
const KIT = 'storm';

export const isNumber = (value: unknown): value is number => typeof value === 'number';
const say = (line: string): void => void writeSync(1, `${line}\n`);

async function main(file: string): Promise<void> {
  say('opening');
  const db = await openDatabase(file);
  await lookUpSaid(db);
  say('open');
  const id = await spreadToWriteIn(db);
  for (let n = ((await readSetting(db, COUNTER, isNumber)) ?? 0) + 1; ; n++) {
    await transaction(db, async (trx) => {
      const [before] = await placementsOf(trx, id);
      const after = { ...before!, y: 20 + (n % 50) };
      await makeEdit(trx, id, { deed: { do: 'lift all' }, before: [before!], after: [after] });
      await writeSetting(trx, COUNTER, n);
    });
    say(`saved ${n}`);
  }
}

async function spreadToWriteIn(db: Database): Promise<number> {
  const there = await findSpreadOfWeek(db, WEEK);
  if (there) return there.id;
  if (!(await findKit(db, KIT)))
    await addKit(db, { name: KIT, pieces: [piece({ kit: KIT, code: 'Q', width: 38, height: 12 })] }, 'kit');
  return transaction(db, async (trx) => {
    const id = await addSpread(trx, {
      week: WEEK,
      book_id: 'three-box',
      kit_id: KIT,
      manner: 'scattered',
      seed: 1,
      options: '{}',
    });
    const after = [placement({ id: 'p1', kit: KIT, code: 'Q', copy: 1, w: 38, h: 12 })];
    await makeEdit(trx, id, { deed: { do: 'lift all' }, before: [], after });
    return id;
  });
}

if (process.argv[2] === '--write') void main(process.argv[3] as string);
