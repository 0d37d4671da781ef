import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { apply } from '../../src/core/edit/change';
import { movePiece } from '../../src/core/edit/move';
import { review, viewOf } from '../../src/core/review/review';
import { contextFrom } from '../../src/core/spread/context';
import type { Database } from '../../src/db/database';
import { openDatabase } from '../../src/db/database';
import { makeEdit } from '../../src/db/spread-edits';
import type { SpreadData } from '../../src/server/spread-of';
import { spreadOf } from '../../src/server/spread-of';
import { FIRST_WEEK, layWeeks, putWeek } from '../../tests/ten-years';
import { weekAfter } from '../../src/core/week/week';
import { arrange } from '../../src/core/arrange/arrange';
import { logOver, scrolling } from './log';
import { ms, quantile, say, timed } from './report';

const WEEKS = 520;
/** Placements a week, so that there are 60,000. */
const A_WEEK = 116;

/** Ten years of one kit a week: what a spread costs to open, to send, to review and to keep. */
export async function tenYears(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-years-'));
  const file = join(folder, 'hobnail.sqlite');
  const db = await openDatabase(file);
  await sql`pragma synchronous = off`.execute(db); // the laying only: what is measured reads, or is told so
  const ids = await layWeeks(db, WEEKS, A_WEEK);
  await sql`pragma synchronous = full`.execute(db);
  const { n } = await db
    .selectFrom('placement')
    .select((e) => e.fn.countAll<number>().as('n'))
    .executeTakeFirstOrThrow();
  const what = `${WEEKS} weeks, ${n} placements`;
  const [first, last] = [ids[0], ids.at(-1)] as [number, number];
  const early = await arranged(db, first);
  await putWeek(db, weekAfter(FIRST_WEEK, WEEKS - 1));
  const late = await arranged(db, last);
  const opened = await opening(db, last);
  say(`${what}: a spread opened on the server`, 'under 300 ms', `median ${ms(opened.median)}, 95th ${ms(opened.p95)}`);
  const size = JSON.stringify(late.context).length / 2 ** 20;
  const before = JSON.stringify(early.context).length / 2 ** 20;
  say(`${what}: context sent`, 'under 1 MB', `${size.toFixed(2)} MB (${before.toFixed(2)} MB in week one)`);
  const alone = { ...late, context: { ...late.context, stash: early.context.stash, usedElsewhere: [] } };
  const [was, is] = reviewed(alone, late);
  say(
    `${what}: review after one edit`,
    'as fast as in week one',
    `median ${ms(is)}, ${ms(was)} the same spread with nothing behind it: × ${(is / was).toFixed(2)}`,
  );
  const saved = await saving(db, late);
  say(`${what}: an edit saved, on the disk`, '', `median ${ms(saved.median)}, 95th ${ms(saved.p95)}`);
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
  say(`${what}: the database`, 'under 150 MB', `${(statSync(file).size / 2 ** 20).toFixed(0)} MB`);
  await logOver(db, file, WEEKS);
  await db.destroy();
  await scrolling(file);
  rmSync(folder, { recursive: true, force: true });
}

async function spread(db: Database, id: number): Promise<SpreadData> {
  const found = await spreadOf(db, id);
  if (!found) throw new Error(`no spread ${id}`);
  return found;
}

/** The spread with its own week's things, laid out as the owner's browser would. */
async function arranged(db: Database, id: number): Promise<SpreadData> {
  const open = await spread(db, id);
  const after = arrange(contextFrom(open.context));
  await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: open.placements, after });
  return spread(db, id);
}

async function measured(runs: number, work: (i: number) => Promise<unknown>): Promise<{ median: number; p95: number }> {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    await work(i);
    times.push(performance.now() - started);
  }
  times.sort((a, b) => a - b);
  return { median: quantile(times, 0.5), p95: quantile(times, 0.95) };
}

const opening = (db: Database, id: number) => measured(15, () => spread(db, id));

/** In turn, so that both are measured on the machine as it is by then. */
function reviewed(early: SpreadData, late: SpreadData): [number, number] {
  const works = [early, late].map((s) => {
    const context = contextFrom(s.context);
    const box = s.placements.find((p) => p.role === 'box');
    if (!box) throw new Error('the demo spread has no box');
    return (i: number) => {
      const to = { page: box.page, x: box.x, y: box.y - 1 - (i % 5), day: box.day };
      const change = movePiece(context, s.placements, box.id, to);
      return review(viewOf(context, change ? apply(s.placements, change) : s.placements));
    };
  });
  const rounds = Array.from({ length: 6 }, () => works.map((work) => timed(40, work, 10).median));
  const median = (of: number): number =>
    quantile(
      rounds.map((r) => r[of] as number).sort((a, b) => a - b),
      0.5,
    );
  return [median(0), median(1)];
}

function saving(db: Database, late: SpreadData) {
  const context = contextFrom(late.context);
  const box = late.placements.find((p) => p.role === 'box');
  if (!box) throw new Error('the demo spread has no box');
  let now = late.placements;
  return measured(40, async (i) => {
    const change = movePiece(context, now, box.id, { page: box.page, x: box.x, y: box.y - 1 - (i % 5), day: box.day });
    if (!change) return;
    await makeEdit(db, late.id, change);
    now = apply(now, change);
  });
}
