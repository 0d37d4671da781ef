import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import sharp from 'sharp';
import { randomFrom } from '../../src/core/measure/random';
import { backUpIfDue, makeBackup } from '../../src/server/backup/make-backup';
import { listBackups } from '../../src/server/backup/backup-files';
import { readBackup } from '../../src/server/backup/read-backup';
import { sweepAtStart } from '../../src/server/sweep-at-start';
import { makeExport } from '../../src/server/export/make-export';
import { store } from '../../src/server/store';
import { layWeeks } from '../../tests/ten-years';
import type { LongWork } from './house-work';
import { WORKS } from './house-work';

/** What was done to houses, how often, and what came of it. */
export interface Told {
  readonly what: string;
  readonly result: string;
  readonly faults: readonly string[];
}

/** ms after its word that a process lives at most */
const SPAN = 2500;
const WEEKS = 4;

interface Ended {
  readonly kept: readonly string[];
  readonly refused: readonly string[];
}

/** Runs a process that works on a house. @param after ms after its word that it is killed; null: it may end */
function working(
  data: string,
  what: LongWork,
  name: string,
  times: number,
  given: string,
  after: number | null,
): Promise<Ended> {
  return new Promise((done, fail) => {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'scripts/storm/house-work.ts', '--work', what, name, String(times), given],
      {
        stdio: ['ignore', 'pipe', 'inherit'],
        env: { ...process.env, HOBNAIL_DATA: data, HOBNAIL_TODAY: '2027-02-03' },
      },
    );
    let said = '';
    let begun = false;
    child.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (begun || after === null || !said.includes('begin\n')) return;
      begun = true;
      setTimeout(() => child.kill('SIGKILL'), after);
    });
    child.on('error', fail);
    child.on('close', () =>
      done({
        kept: [...said.matchAll(/kept (.+)\n/g)].map((m) => m[1] as string),
        refused: [...said.matchAll(/refused: (.+)\n/g)].map((m) => m[1] as string),
      }),
    );
  });
}

/** Names of the records that a database has. Opened to write: what a killed process left half done is taken back. */
export const recordsIn = (file: string): string[] => {
  const opened = new SQLite(file);
  try {
    return opened.prepare("select name from record where what = 'moment'").pluck().all() as string[];
  } finally {
    opened.close();
  }
};

/** Looks a house over that a process left: it is whole, and all that was kept is in it, or in one of its backups. */
async function faultsOf(data: string, kept: readonly string[]): Promise<string[]> {
  const faults: string[] = [];
  process.env.HOBNAIL_DATA = data;
  sweepAtStart();
  const there = new Set(recordsIn(data));
  const opened = new SQLite(data);
  if (opened.pragma('integrity_check', { simple: true }) !== 'ok') faults.push('the data is not whole');
  if ((opened.pragma('foreign_key_check') as unknown[]).length) faults.push('references lead nowhere');
  if (opened.prepare('select count(*) from spread').pluck().get() === 0) faults.push('no week is left');
  opened.close();
  const work = mkdtempSync(join(tmpdir(), 'hobnail-storm-look-'));
  for (const { name } of listBackups()) {
    const into = join(work, name);
    mkdirSync(into);
    try {
      await readBackup(join(data, '..', 'backups', name), into);
      for (const r of recordsIn(join(into, 'hobnail.sqlite'))) there.add(r);
    } catch (error) {
      faults.push(`${name} is not whole: ${String(error)}`);
    }
  }
  rmSync(work, { recursive: true, force: true });
  const lost = kept.filter((name) => !there.has(name));
  if (lost.length) faults.push(`${lost.length} of ${kept.length} kept are lost`);
  const left = [join(data, '..'), join(data, '..', 'backups'), join(data, '..', 'pictures')]
    .flatMap((folder) => (existsSync(folder) ? readdirSync(folder) : []))
    .filter((name) => name.startsWith('.passing-'));
  if (left.length) faults.push(`${left.length} orphans`);
  return faults;
}

/** A house with some weeks, a backup, and what an import and a scan need. @returns its data */
async function houseIn(folder: string): Promise<string> {
  mkdirSync(folder, { recursive: true });
  const data = join(folder, 'hobnail.sqlite');
  process.env.HOBNAIL_DATA = data;
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  const db = await store();
  await layWeeks(db, WEEKS, 60);
  await makeBackup();
  writeFileSync(join(folder, 'export.zip'), Buffer.from(await new Response(makeExport()).arrayBuffer()));
  const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#1f6f78' } })
    .png()
    .toBuffer();
  writeFileSync(join(folder, 'sticker.png'), picture);
  await db.destroy();
  return data;
}

/** Kills inside backup, restore, import and the taking in of a scanned kit. */
export async function housesKilled(count: number, seed: number): Promise<Told[]> {
  const random = randomFrom(seed);
  const root = mkdtempSync(join(tmpdir(), 'hobnail-storm-houses-'));
  const told: Told[] = [];
  for (const what of WORKS.filter((w) => w !== 'writing')) {
    const folder = join(root, what.replace(' ', '-'));
    const data = await houseIn(folder);
    const kept: string[] = [];
    const faults: string[] = [];
    const each = Math.ceil(count / 4);
    for (let n = 0; n < each; n++) {
      const ended = await working(data, what, `k${n}`, 1000, folder, SPAN * random());
      kept.push(...ended.kept);
      faults.push(...ended.refused.map((r) => `refused: ${r}`), ...(await faultsOf(data, ended.kept)));
    }
    told.push({ what: `${each} kills inside ${what}`, result: `${kept.length} edits acknowledged`, faults });
  }
  rmSync(root, { recursive: true, force: true });
  return told;
}

/** Two servers on one file, both writing; then one writes while the other restores. */
export async function twoOnOneFile(): Promise<Told> {
  const root = mkdtempSync(join(tmpdir(), 'hobnail-storm-two-'));
  const data = await houseIn(root);
  const all = await Promise.all([
    working(data, 'writing', 'a', 400, root, null),
    working(data, 'writing', 'b', 400, root, null),
    working(data, 'restore', 'c', 3, root, null),
  ]);
  const kept = all.flatMap((e) => e.kept);
  const refused = all.flatMap((e) => e.refused);
  const faults = await faultsOf(data, kept);
  rmSync(root, { recursive: true, force: true });
  const busy = refused.filter((r) => !/Another program is writing/.test(r));
  return {
    what: 'two processes write on one file while a third restores three times',
    result: `${kept.length} kept, ${refused.length} refused with a sentence`,
    faults: [...faults, ...busy],
  };
}

/** A disk that fills up at each work. Needs the right to mount one; where it is not given, that is said. */
export async function fullDisks(): Promise<Told[]> {
  const told: Told[] = [];
  for (const what of WORKS) {
    const root = mkdtempSync(join(tmpdir(), 'hobnail-storm-full-'));
    const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=24m', 'tmpfs', root]).status === 0;
    if (!mounted) {
      rmSync(root, { recursive: true, force: true });
      return [{ what: 'a full disk', result: 'not shown: no disk could be mounted', faults: [] }];
    }
    try {
      const data = await houseIn(root);
      const before = await working(data, 'writing', 'before', 3, root, null);
      const filler = join(root, 'filler');
      spawnSync('sh', ['-c', `head -c 100m /dev/zero > '${filler}' 2>/dev/null`]);
      const size = statSync(filler).size;
      const ended = await working(data, what, 'full', 2, root, null).catch(() => ({ kept: [], refused: [] }));
      rmSync(filler);
      const faults = await faultsOf(data, [...before.kept, ...ended.kept]);
      const strange = ended.refused.filter((r) => !/disk is full/i.test(r));
      told.push({
        what: `${what} on a full disk (${Math.round(size / 2 ** 20)} MB of filler)`,
        result: `${ended.refused.length} refused: ${ended.refused[0] ?? 'none'}`,
        faults: [...faults, ...strange],
      });
    } finally {
      spawnSync('umount', [root]);
      rmSync(root, { recursive: true, force: true });
    }
  }
  return told;
}

/** A clock that jumps: in whatever order it shows days, two days that pass have a backup. */
export async function jumpingClock(seed: number): Promise<Told> {
  const random = randomFrom(seed);
  const root = mkdtempSync(join(tmpdir(), 'hobnail-storm-clock-'));
  await houseIn(root);
  const HOUR = 3_600_000;
  let [now, last] = [Date.UTC(2027, 1, 3), 0];
  const faults: string[] = [];
  let made = 0;
  for (let n = 0; n < 60; n++) {
    now += random() < 0.15 ? (random() - 0.5) * 600 * 24 * HOUR : 6 * HOUR;
    last += 6;
    if (await backUpIfDue(new Date(now))) {
      made++;
      last = 0;
    }
    if (last > 48) faults.push(`no backup for ${last} hours, at step ${n}`);
  }
  rmSync(root, { recursive: true, force: true });
  return { what: '60 looks at a clock that jumps by up to 300 days', result: `${made} backups made`, faults };
}
