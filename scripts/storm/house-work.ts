// A process that works on a house till it is killed, or till it is done: it writes records, says which are kept, and
// then does one long work over and over. What it says was kept when it says so.
import { copyFileSync, readFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { editAgenda } from '../../src/db/agenda-edits';
import { addKit } from '../../src/db/kits';
import { backupFolder, listBackups } from '../../src/server/backup/backup-files';
import { makeBackup, takeBackup } from '../../src/server/backup/make-backup';
import { restore } from '../../src/server/backup/restore';
import { takeExport } from '../../src/server/export/read-export';
import { saidOfError } from '../../src/server/say-trouble';
import { keepPicture } from '../../src/server/pictures';
import { store } from '../../src/server/store';
import { sweepAtStart } from '../../src/server/sweep-at-start';
import { piece } from '../../tests/fixtures';

export const WORKS = ['backup', 'restore', 'import', 'scanned kit', 'writing'] as const;
export type LongWork = (typeof WORKS)[number];

const say = (line: string): void => void writeSync(1, `${line}\n`);

/** A record of its own, told once it is kept. */
async function write(name: string): Promise<void> {
  const record = { day: '2027-02-09', what: 'moment', name, amount: 0, text: 'seals' } as const;
  await editAgenda(await store(), { do: 'write down', what: 'moment' }, async () => [{ on: 'record', record }]);
  say(`kept ${name}`);
}

async function work(what: LongWork, n: number, given: string): Promise<void> {
  switch (what) {
    case 'backup':
      await makeBackup();
      return;
    case 'restore':
      await restore(join(backupFolder(), listBackups().at(-1)!.name));
      return;
    case 'import': {
      const file = join(backupFolder(), `taken-${n}.part`);
      copyFileSync(join(given, 'export.zip'), file);
      if ((await takeExport(file)) === null) await takeBackup(file);
      return;
    }
    case 'scanned kit': {
      const bytes = new Uint8Array(readFileSync(join(given, 'sticker.png')));
      const picture = await keepPicture(bytes, 'sticker.png');
      const pieces = Array.from({ length: 300 }, (_, i) =>
        piece({ kit: `scan-${process.pid}-${n}`, code: `P${i}`, picture }),
      );
      await addKit(await store(), { name: `scan-${process.pid}-${n}`, pieces }, 'kit');
      return;
    }
    case 'writing':
      await write(`w${process.pid}-${n}`);
      return;
  }
}

async function main(what: LongWork, name: string, times: number, given: string): Promise<void> {
  sweepAtStart();
  await store();
  for (let n = 0; n < 8; n++) await write(`${name}-${n}`);
  say('begin');
  for (let n = 0; n < times; n++) {
    try {
      await work(what, n, given);
      if (what !== 'writing') await write(`${name}-after-${n}`);
    } catch (error) {
      say(`refused: ${saidOfError(error)?.what ?? (error instanceof Error ? error.message : String(error))}`);
      await new Promise((next) => setTimeout(next, 50));
    }
  }
  say('end');
  process.exit(0);
}

if (process.argv[2] === '--work')
  void main(process.argv[3] as LongWork, process.argv[4] ?? 'x', Number(process.argv[5] ?? 1), process.argv[6] ?? '');
