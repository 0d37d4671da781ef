import { spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { randomFrom } from '../../src/core/measure/random';
import { openDatabase } from '../../src/db/database';
import { readSetting } from '../../src/db/settings';
import { OLD_SCHEMAS, demoHistory, fillAsThen } from '../../tests/old-databases';
import { COUNTER, isNumber } from './writer';

/** When a process is killed: while its database is first made, while an old one is brought up to date, or at work. */
const MOMENTS = ['first opening', 'upgrade', 'writing'] as const;
type Moment = (typeof MOMENTS)[number];

export interface Killed {
  readonly moment: Moment;
  /** edits that were reported as saved before the end */
  readonly acknowledged: number;
  /** what was wrong afterwards; null: nothing */
  readonly fault: string | null;
}

/** ms after its word that a process lives at most */
const SPAN: Readonly<Record<Moment, number>> = { 'first opening': 40, upgrade: 60, writing: 400 };

/** Kills processes with -9 at random moments, one after the other, and opens what each has left. */
export async function kills(count: number, seed: number): Promise<Killed[]> {
  const random = randomFrom(seed);
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-storm-'));
  const old = await oldDatabases(folder);
  const killed: Killed[] = [];
  for (let n = 0; n < count; n++) {
    const moment = MOMENTS[n % MOMENTS.length] as Moment;
    const file = join(folder, `${n}`, 'hobnail.sqlite');
    await (await openDatabase(join(folder, `${n}`, 'other.sqlite'))).destroy(); // makes the folder
    if (moment === 'upgrade') copyFileSync(old[Math.floor(random() * old.length)] as string, file);
    if (moment === 'writing') await (await openDatabase(file)).destroy();
    const acknowledged = await killedAt(file, moment, SPAN[moment] * random());
    killed.push({ moment, acknowledged, fault: await faultOf(file, acknowledged) });
    rmSync(join(folder, `${n}`), { recursive: true, force: true });
  }
  rmSync(folder, { recursive: true, force: true });
  return killed;
}

/** A database of each old schema with a week in it. */
async function oldDatabases(folder: string): Promise<string[]> {
  const demo = demoHistory();
  const files: string[] = [];
  for (const schema of OLD_SCHEMAS) {
    const file = join(folder, `${schema}.sqlite`);
    const db = await openDatabase(file, schema);
    await fillAsThen(db, schema, demo);
    await db.destroy();
    files.push(file);
  }
  return files;
}

/** @returns the last edit it said was saved */
function killedAt(file: string, moment: Moment, after: number): Promise<number> {
  return new Promise((done, fail) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/storm/writer.ts', '--write', file], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    let begun = false;
    child.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (begun || !said.includes(moment === 'writing' ? 'open\n' : 'opening\n')) return;
      begun = true;
      setTimeout(() => child.kill('SIGKILL'), after);
    });
    child.on('error', fail);
    child.on('close', (code) => {
      if (code !== null) fail(new Error(`the writer ended by itself, with ${code}`));
      done(Math.max(0, ...[...said.matchAll(/saved (\d+)\n/g)].map((m) => Number(m[1]))));
    });
  });
}

/** Opens what was left: it must be whole, hold all that was acknowledged, and at most one edit more. */
async function faultOf(file: string, acknowledged: number): Promise<string | null> {
  try {
    const db = await openDatabase(file);
    const stored = (await readSetting(db, COUNTER, isNumber)) ?? 0;
    await db.destroy();
    const sqlite = new SQLite(file, { readonly: true });
    const check = sqlite.pragma('integrity_check', { simple: true });
    const references = sqlite.pragma('foreign_key_check') as unknown[];
    sqlite.close();
    if (check !== 'ok') return `not whole: ${String(check)}`;
    if (references.length) return `${references.length} references lead nowhere`;
    if (stored < acknowledged) return `${acknowledged} edits were acknowledged, ${stored} are there`;
    return stored > acknowledged + 1 ? `${stored} edits are there, ${acknowledged} were made` : null;
  } catch (error) {
    return `does not open: ${String(error)}`;
  }
}
