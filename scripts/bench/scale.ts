// `npm run bench:scale`: many houses on one machine, for docs/scale.md. Each number of houses is tried in a process of
// its own: each house is a file with the demo scenario and its past, all are open at once, and people come in turn, as
// often as one is done with the last. A server a house, as Hobnail runs today, is weighed beside it.
import { execFileSync, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { movePiece } from '../../src/core/edit/move';
import { randomFrom } from '../../src/core/measure/random';
import { contextFrom } from '../../src/core/spread/context';
import type { Database } from '../../src/db/database';
import { openDatabase } from '../../src/db/database';
import { makeEdit } from '../../src/db/spread-edits';
import { spreadOf } from '../../src/server/spread-of';
import { ms, quantile } from './report';

const HOUSES = [1, 100, 1000];
const ASKED = 600;
/** Of those who come, so many move a sticker; the others open their spread. */
const EDITS = 1 / 4;
const MB = 2 ** 20;
const TODAY = '2027-02-03';
const PORT = 4397;
const START = { tries: 200, ms: 300 };

interface Answers {
  readonly houses: number;
  readonly opening: number;
  readonly memory: number;
  readonly second: number;
  readonly look: readonly [median: number, p95: number];
  readonly edit: readonly [median: number, p95: number];
}

const pair = (times: number[]): [number, number] => {
  times.sort((a, b) => a - b);
  return [quantile(times, 0.5), quantile(times, 0.95)];
};

/** All houses in this process. */
async function served(folder: string, houses: number): Promise<Answers> {
  const began = performance.now();
  const open: Database[] = [];
  for (let i = 0; i < houses; i++) open.push(await openDatabase(join(folder, String(i), 'hobnail.sqlite')));
  const opening = performance.now() - began;
  const random = randomFrom(houses);
  const looks: number[] = [];
  const edits: number[] = [];
  const start = performance.now();
  for (let n = 0; n < ASKED; n++) {
    const db = open[Math.floor(random() * houses)] as Database;
    const { id } = await db.selectFrom('spread').select('id').orderBy('week', 'desc').executeTakeFirstOrThrow();
    const at = performance.now();
    const found = await spreadOf(db, id);
    looks.push(performance.now() - at);
    const box = found?.placements.find((p) => p.role === 'box');
    if (!found || !box || random() > EDITS) continue;
    const to = { page: box.page, x: box.x, y: box.y - 0.5 - (n % 3), day: box.day };
    const change = movePiece(contextFrom(found.context), found.placements, box.id, to);
    if (!change) continue;
    const saving = performance.now();
    await makeEdit(db, id, change);
    edits.push(performance.now() - saving);
  }
  const second = ASKED / ((performance.now() - start) / 1000);
  return { houses, opening, memory: process.memoryUsage.rss(), second, look: pair(looks), edit: pair(edits) };
}

/** A server of its own for a house, once its main pages were looked at: what it holds of memory, bytes. */
async function ownServer(file: string): Promise<number> {
  const server = spawn('node_modules/.bin/next', ['start', '-H', '127.0.0.1', '-p', String(PORT)], {
    env: { ...process.env, HOBNAIL_DATA: file, HOBNAIL_TODAY: TODAY },
    stdio: 'ignore',
    detached: true,
  });
  const url = `http://127.0.0.1:${PORT}`;
  for (let i = 0; i < START.tries && !(await fetch(url).catch(() => null))?.ok; i++)
    await new Promise((done) => setTimeout(done, START.ms));
  for (const page of ['/', '/week', '/agenda', '/kits', '/log']) await (await fetch(url + page)).text();
  const all = execFileSync('ps', ['-o', 'rss=', '-g', String(server.pid)], { encoding: 'utf8' });
  process.kill(-server.pid!, 'SIGKILL');
  return (
    all
      .trim()
      .split(/\s+/)
      .reduce((sum, kb) => sum + Number(kb), 0) * 1024
  );
}

const mb = (bytes: number): string => `${Math.round(bytes / MB)} MB`;

async function main(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-scale-'));
  const seed = join(folder, 'hobnail.sqlite');
  const laid = { ...process.env, HOBNAIL_DATA: seed, HOBNAIL_TODAY: TODAY, HOBNAIL_FEED: '' };
  execFileSync(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], { env: laid, stdio: 'inherit' });
  for (let i = 0; i < Math.max(...HOUSES); i++) {
    mkdirSync(join(folder, String(i)));
    copyFileSync(seed, join(folder, String(i), 'hobnail.sqlite'));
  }
  console.log(`a house: ${(statSync(seed).size / MB).toFixed(1)} MB without pictures`);
  console.log(`a server of its own for one house: ${mb(await ownServer(seed))}`);
  for (const houses of HOUSES) {
    const args = ['--import', 'tsx', 'scripts/bench/scale.ts', folder, String(houses)];
    const a = JSON.parse(execFileSync(process.execPath, args, { encoding: 'utf8' })) as Answers;
    console.log(
      `| ${a.houses} | ${mb(a.memory)} | ${ms(a.opening / a.houses)} | ${ms(a.look[0])}, ${ms(a.look[1])} | ` +
        `${ms(a.edit[0])}, ${ms(a.edit[1])} | ${Math.round(a.second)} |`,
    );
  }
  rmSync(folder, { recursive: true, force: true });
}

const [folder, houses] = process.argv.slice(2);
const answered = (a: Answers) => process.stdout.write(JSON.stringify(a), () => process.exit(0));
if (folder) void served(folder, Number(houses)).then(answered);
else
  main().then(
    () => process.exit(0),
    (error: unknown) => {
      console.error(error);
      process.exit(1);
    },
  );
