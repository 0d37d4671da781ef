import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Hobnail } from '../../e2e/server';
import { randomFrom } from '../../src/core/measure/random';
import type { Placement } from '../../src/core/spread/placement';
import { openDatabase } from '../../src/db/database';
import { placementsOf } from '../../src/db/placements';
import { layWeeks } from '../../tests/ten-years';
import { quantile } from '../bench/report';
import { actionIds, call } from './actions';

/** Placements a week, as a well filled one has. */
const A_WEEK = 116;

export interface Windows {
  /** windows that each have a week of their own */
  readonly alone: number;
  /** windows on one and the same week */
  readonly together: number;
  readonly seconds: number;
}

export interface Weathered {
  readonly saved: number;
  /** edits of the shared week that came second, and were refused with a sentence */
  readonly refused: number;
  /** ms of an answer */
  readonly median: number;
  readonly p95: number;
  readonly faults: readonly string[];
}

interface Answer {
  readonly ok: boolean;
  readonly messages?: readonly string[];
  readonly value?: { readonly placements: readonly Placement[] };
}

/** Windows that all save as fast as they are answered; afterwards every spread must be as its windows were told. */
export async function windows({ alone, together, seconds }: Windows, seed: number): Promise<Weathered> {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-storm-'));
  const file = join(folder, 'seed.sqlite');
  const db = await openDatabase(file);
  // the first and the last week are begun and not laid out
  const ids = (await layWeeks(db, alone + (together ? 1 : 0) + 2, A_WEEK)).slice(1, -1);
  await db.destroy();
  const hobnail = new Hobnail(file);
  await hobnail.start();
  try {
    const until = performance.now() + seconds * 1000;
    const shared = together ? ids.slice(alone).flatMap((id) => Array.from({ length: together }, () => id)) : [];
    const all = [...ids.slice(0, alone), ...shared];
    const logs = await Promise.all(all.map((id, i) => window(hobnail.url, id, until, randomFrom(seed + i))));
    copyFileSync(hobnail.data, file); // of the file alone, while the server runs
    const faults = [...logs.flatMap((l) => l.faults), ...(await faultsOf(file, all, logs))];
    const times = logs.flatMap((l) => l.times).sort((a, b) => a - b);
    return {
      saved: times.length,
      refused: logs.reduce((n, l) => n + l.refused, 0),
      median: quantile(times, 0.5),
      p95: quantile(times, 0.95),
      faults,
    };
  } finally {
    await hobnail.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

interface Log {
  readonly times: number[];
  refused: number;
  readonly faults: string[];
  /** what it was told is there */
  placements: readonly Placement[];
}

async function window(url: string, id: number, until: number, random: () => number): Promise<Log> {
  const actions = actionIds();
  const ask = (name: string, input: unknown): Promise<Answer> =>
    call(url, `/spreads/${id}`, actions.get(name) as string, input) as Promise<Answer>;
  const read = async (): Promise<readonly Placement[]> =>
    (await ask('readSpread', { spreadId: id })).value?.placements ?? [];
  const log: Log = { times: [], refused: 0, faults: [], placements: await read() };
  while (performance.now() < until) {
    const before = log.placements[Math.floor(random() * log.placements.length)] as Placement;
    const after = { ...before, y: Math.round((before.y + random() - 0.5) * 100) / 100 };
    const since = performance.now();
    const answer = await ask('saveEdit', {
      spreadId: id,
      change: { deed: { do: 'lift all' }, before: [before], after: [after] },
    }).catch((error: unknown): Answer => ({ ok: false, messages: [String(error)] }));
    if (answer.ok) {
      log.times.push(performance.now() - since);
      log.placements = log.placements.map((p) => (p.id === after.id ? after : p));
      continue;
    }
    if (/another window/.test(answer.messages?.join() ?? '')) log.refused++;
    else log.faults.push(`week ${id}: ${answer.messages?.join(' ') ?? 'no answer'}`);
    log.placements = await read();
  }
  return log;
}

/** Every week alone is as its window has it; every acknowledged edit has raised its week's revision, nothing else. */
async function faultsOf(file: string, ids: readonly number[], logs: readonly Log[]): Promise<string[]> {
  const faults: string[] = [];
  const sqlite = new SQLite(file, { readonly: true });
  if (sqlite.pragma('integrity_check', { simple: true }) !== 'ok') faults.push('the copy of the file is not whole');
  const revision = sqlite.prepare('select revision from spread where id = ?').pluck();
  for (const id of new Set(ids)) {
    const saved = logs.reduce((n, l, i) => n + (ids[i] === id ? l.times.length : 0), 0);
    const raised = (revision.get(id) as number) - 1; // one for the laying
    if (raised !== saved) faults.push(`week ${id}: ${saved} edits were acknowledged, ${raised} are there`);
  }
  sqlite.close();
  const db = await openDatabase(file);
  for (const [i, id] of ids.entries()) {
    if (ids.filter((other) => other === id).length > 1) continue;
    const [there, told] = [await placementsOf(db, id), (logs[i] as Log).placements];
    const same = JSON.stringify(there.map((p) => [p.id, p.y])) === JSON.stringify(told.map((p) => [p.id, p.y]));
    if (!same) faults.push(`week ${id} is not as its window was told`);
  }
  await db.destroy();
  return faults;
}
