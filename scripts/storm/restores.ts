import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Hobnail } from '../../e2e/server';
import { openDatabase } from '../../src/db/database';
import { readBackup } from '../../src/server/backup/read-backup';
import { layWeeks } from '../../tests/ten-years';
import { actionIds, call } from './actions';
import type { Told } from './houses';
import { recordsIn } from './houses';

interface Answer {
  readonly ok: boolean;
  readonly messages?: readonly string[];
  readonly value?: { readonly name?: string };
}

/** Backups and restores of a house of ten years, while twenty windows write: nothing that was acknowledged is lost. */
export async function restores(weeks: number): Promise<Told> {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-storm-restores-'));
  const file = join(folder, 'seed.sqlite');
  const db = await openDatabase(file);
  await layWeeks(db, weeks, 116);
  await db.destroy();
  const hobnail = new Hobnail(file);
  await hobnail.start();
  const actions = actionIds();
  const ask = (name: string, input?: unknown): Promise<Answer> =>
    call(hobnail.url, '/settings', actions.get(name) as string, input) as Promise<Answer>;
  const kept: string[] = [];
  const faults: string[] = [];
  const times: number[] = [];
  const left = { going: true };
  const window = async (w: number): Promise<void> => {
    for (let n = 0; left.going; n++) {
      const name = `w${w}-${n}`;
      const record = { day: '2027-02-09', what: 'moment', name, amount: 0, text: 'seals' };
      const answer = await ask('writeDown', { records: [record] }).catch((error: unknown): Answer => ({ ok: false, messages: [String(error)] })); // prettier-ignore
      if (answer.ok) kept.push(name);
      else faults.push(answer.messages?.join(' ') ?? 'no answer');
    }
  };
  try {
    const first = await ask('backUpNow');
    const all = Array.from({ length: 20 }, (_, w) => window(w));
    const timed = async (what: Promise<Answer>): Promise<void> => {
      const since = performance.now();
      const answer = await what;
      times.push(performance.now() - since);
      if (!answer.ok) faults.push(answer.messages?.join(' ') ?? 'no answer');
    };
    await new Promise((next) => setTimeout(next, 2000));
    await timed(ask('backUpNow'));
    for (let n = 0; n < 2; n++) {
      await timed(ask('restoreBackup', { name: first.value?.name }));
      await new Promise((next) => setTimeout(next, 2000));
    }
    left.going = false;
    await Promise.all(all);
    const there = new Set(recordsIn(hobnail.data));
    const backups = join(dirname(hobnail.data), 'backups');
    for (const name of readdirSync(backups)) {
      const into = join(folder, name);
      mkdirSync(into);
      copyFileSync(join(backups, name), join(into, name));
      await readBackup(join(into, name), into);
      for (const r of recordsIn(join(into, 'hobnail.sqlite'))) there.add(r);
    }
    const lost = kept.filter((k) => !there.has(k));
    if (lost.length) faults.push(`${lost.length} of ${kept.length} acknowledged edits are lost`);
  } finally {
    await hobnail.remove();
    rmSync(folder, { recursive: true, force: true });
  }
  const [backup = 0, ...restored] = times.map((t) => `${(t / 1000).toFixed(1)} s`);
  return {
    what: `a backup and two restores of ${weeks} weeks under 20 writing windows`,
    result: `${kept.length} edits acknowledged; ${backup} for the backup, ${restored.join(' and ')} for the restores`,
    faults,
  };
}

/** Many requests of all sorts, with the server's memory before and after. */
export async function mixedRequests(count: number): Promise<Told> {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-storm-mixed-'));
  const file = join(folder, 'seed.sqlite');
  const db = await openDatabase(file);
  const [id = 1] = await layWeeks(db, 20, 116);
  await db.destroy();
  const hobnail = new Hobnail(file);
  await hobnail.start();
  try {
    const paths = ['/', '/agenda', '/kits', '/books', '/week', '/log', '/settings', `/spreads/${id}`, `/spreads/${id}/bench`, `/spreads/${id}/small`, `/spreads/${id}/picture`, '/spreads/999', '/nowhere', '/alive']; // prettier-ignore
    const faults: string[] = [];
    const get = async (path: string): Promise<void> => {
      const answer = await fetch(`${hobnail.url}${path}`);
      await answer.arrayBuffer();
      if (answer.status >= 500) faults.push(`${path}: ${answer.status}`);
    };
    const round = async (n: number): Promise<void> => {
      for (let i = 0; i < n; i += 4)
        await Promise.all([0, 1, 2, 3].map((k) => get(paths[(i + k) % paths.length] as string)));
    };
    await round(200); // what is held for good is held by then
    const before = hobnail.memory();
    await round(count);
    const after = hobnail.memory();
    if (after > before * 1.5 + 100) faults.push(`memory rose from ${before} to ${after} MB`);
    return { what: `${count} mixed requests`, result: `memory ${before} MB before, ${after} MB after`, faults };
  } finally {
    await hobnail.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}
