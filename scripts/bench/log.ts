import { statSync } from 'node:fs';
import { sql } from 'kysely';
import { lifeOf } from '../../demo/past-life';
import { Hobnail } from '../../e2e/server';
import { WORKS } from '../../src/core/bench/step-key';
import { randomFrom } from '../../src/core/measure/random';
import { DEMAND_KINDS } from '../../src/core/week/demand';
import { plus } from '../../src/core/week/typed/calendar-days';
import { daysOfWeek, weekAfter } from '../../src/core/week/week';
import type { Database } from '../../src/db/database';
import { transaction } from '../../src/db/database';
import { pastSpreads } from '../../src/db/past';
import { findWeeks } from '../../src/db/week-text';
import { backupFolder } from '../../src/server/backup/backup-files';
import { makeBackup } from '../../src/server/backup/make-backup';
import { restore } from '../../src/server/backup/restore';
import { LOG_ROOMS } from '../../src/server/log/registry';
import { FIRST_WEEK } from '../../tests/ten-years';
import { join } from 'node:path';
import { launchChrome } from './chrome';
import { ms, quantile, say } from './report';

const monday = () => Promise.resolve('monday' as const);

const SEED = 27;
/** Items a week, so that there are 25,000 in ten years. */
const ITEMS = 49;
const TITLES = ['laundry', 'change the filter', 'vet, Juniper', 'choir rehearsal', 'dentist', 'seed swap', 'bins', 'call Mum', 'time sheet', 'rent', 'hull inspection', 'walk the hounds']; // prettier-ignore
const SEARCHES = ['dentist', 'fish soup', 'choi', 'hull inspection', 'mussels rockpool', 'seals', 'zeppelin', 'v'];

/** Steps of a bench that are ticked, a week. */
const STEPS = 100;

/** Writes down ten years of days, and what became of their items. */
async function live(db: Database, weeks: number): Promise<void> {
  const random = randomFrom(SEED);
  const first = daysOfWeek(FIRST_WEEK)[0] as string;
  const life = lifeOf(first, plus(first, 7 * weeks - 1), () => random() < 0.5, random);
  await transaction(db, async (trx) => {
    for (let i = 0; i < life.length; i += 100) await trx.insertInto('record').values(life.slice(i, i + 100)).execute(); // prettier-ignore
    for (let n = 0; n < weeks; n++) {
      const week = weekAfter(FIRST_WEEK, n);
      const days = daysOfWeek(week);
      const items = Array.from({ length: ITEMS }, (_, i) => ({
        week,
        key: `k${i}`,
        uid: `u${i % TITLES.length}`,
        day: days[i % 7] as string,
        on_day: days[i % 7] as string,
        title: i < TITLES.length * 3 ? (TITLES[i % TITLES.length] as string) : `${TITLES[i % TITLES.length]} ${n}`,
        kind: DEMAND_KINDS[i % DEMAND_KINDS.length] as string,
        start: i % 3 ? null : 60 * (i % 24),
        list: null,
        ticked: i % 2,
        repeated: i % 4 ? 1 : 0,
        moved_from: i % 11 ? null : (days[0] as string),
      }));
      await trx.insertInto('past_item').values(items).execute();
      const marks = new Map(items.map((i) => [`${i.uid} ${i.on_day}`, i]));
      await trx
        .insertInto('item_mark')
        .values(
          [...marks.values()].map((i) => ({ uid: i.uid, day: i.on_day, mark: random() < 0.9 ? 'done' : 'let go' })),
        )
        .execute();
      await trx.insertInto('past_week').values({ week, as_of: '' }).execute();
      const spread = await trx.selectFrom('spread').select('id').where('week', '=', week).executeTakeFirst();
      const evening = Date.parse(`${days[0]}T19:00:00Z`);
      const ticks = Array.from({ length: spread ? STEPS : 0 }, (_, i) => ({
        spread_id: spread?.id ?? 0,
        step: `${WORKS[i % WORKS.length]}:p${i}`,
        at: new Date(evening + i * 50_000).toISOString(),
      }));
      if (ticks.length) await trx.insertInto('tick').values(ticks).execute();
    }
  });
}

async function times(runs: number, work: (i: number) => Promise<unknown>): Promise<number[]> {
  const all: number[] = [];
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    await work(i);
    all.push(performance.now() - started);
  }
  return all.sort((a, b) => a - b);
}

/** The log over ten years of weeks that are laid already: its pages, its search, its backup. */
export async function logOver(db: Database, file: string, weeks: number): Promise<void> {
  process.env.HOBNAIL_DATA = file;
  await sql`pragma synchronous = off`.execute(db);
  await live(db, weeks);
  await sql`pragma synchronous = full`.execute(db);
  const { rows } = await sql<{ items: number; records: number }>`
    select (select count(*) from past_item) as items, (select count(*) from record) as records`.execute(db);
  const what = `${weeks} weeks, ${rows[0]?.items} items, ${rows[0]?.records} records`;
  const today = plus(daysOfWeek(FIRST_WEEK)[0] as string, 7 * weeks);
  const years = [today.slice(0, 4), '2030', null];
  const slowest: string[] = [];
  const all: number[] = [];
  for (const room of LOG_ROOMS) {
    const took = await times(24, (i) =>
      room.load(db, { today, year: years[i % 3] ?? null, words: i % 2 ? 'filter' : '' }),
    );
    all.push(...took);
    slowest.push(`${room.name} ${ms(quantile(took, 0.95))}`);
  }
  all.push(...(await times(24, (i) => pastSpreads(db, { before: weekAfter(FIRST_WEEK, weeks - 20 * i), most: 49 }))));
  all.sort((a, b) => a - b);
  say(`${what}: log pages on the server`, 'under 100 ms at the 95th percentile', `95th ${ms(quantile(all, 0.95))} (${slowest.join(', ')})`); // prettier-ignore
  const [built] = await times(1, () => findWeeks(db, { words: ['vet'], field: null, most: 1044 }, monday));
  const found = await times(80, (i) =>
    findWeeks(db, { words: (SEARCHES[i % SEARCHES.length] as string).split(' '), field: null, most: 1044 }, monday),
  );
  say(`${what}: search`, 'under 50 ms', `median ${ms(quantile(found, 0.5))}, slowest ${ms(found.at(-1) as number)}; the index built once in ${ms(built as number)}`); // prettier-ignore
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
  say(`${what}: the database, without pictures`, 'under 200 MB', `${(statSync(file).size / 2 ** 20).toFixed(0)} MB`);
  const [backup] = await times(1, () => makeBackup(new Date('2037-03-01T12:00:00Z')));
  const name = 'hobnail-2037-03-01T12-00-00.backup.zip';
  const [back] = await times(1, () => restore(join(backupFolder(), name), new Date('2037-03-02T12:00:00Z')));
  say(`${what}: backup, verified; restore, verified, with a backup before it`, 'under 10 s each', `${((backup as number) / 1000).toFixed(1)} s; ${((back as number) / 1000).toFixed(1)} s`); // prettier-ignore
}

/** A year of pictures on the log's shelf, scrolled by the wheel. */
export async function scrolling(file: string): Promise<void> {
  const hobnail = new Hobnail(file);
  await hobnail.start();
  const chrome = await launchChrome();
  const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${hobnail.url}/log`);
  const pictures = await page.getByTestId('log-entry').count();
  // drawn once: each is asked for, as it would have been in the weeks before
  await page.evaluate('Promise.all([...document.images].map((i) => fetch(i.src).then((r) => r.blob())))');
  await page.reload();
  await page.waitForLoadState('networkidle');
  await page.evaluate(
    'window.frames_ = []; let last = performance.now(); requestAnimationFrame(function tick(now) { frames_.push(now - last); last = now; requestAnimationFrame(tick); });',
  );
  for (let i = 0; i < 60; i++) await page.mouse.wheel(0, 90);
  await page.waitForTimeout(400);
  const frames = (await page.evaluate<number[]>('frames_')).slice(5).sort((a, b) => a - b);
  say(`scrolling ${pictures} pictures of weeks, ${frames.length} frames`, 'no frame over 50 ms', `median ${ms(quantile(frames, 0.5))}, 95th ${ms(quantile(frames, 0.95))}, longest ${ms(frames.at(-1) as number)}`); // prettier-ignore
  await chrome.close();
  await hobnail.remove();
}
