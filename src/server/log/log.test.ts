import { sql } from 'kysely';
import { sum } from 'simple-statistics';
import { TODAY, beginWeek, done, freshHouse, layWeek } from '../../../tests/house';
import { randomFrom } from '../../core/measure/random';
import { columnOf } from '../../core/keep/log-table';
import { lifeOf } from '../../../demo/past-life';
import type { Database } from '../../db/database';
import { transaction } from '../../db/database';
import { pastItems } from '../../db/past-items';
import { putRecord } from '../../db/records';
import { markItem, moveItems } from '../agenda-actions';
import { finishSpread, tickSteps } from '../bench-actions';
import { keepPastWeeks } from '../past-weeks';
import { weekDemands } from '../week-demands';
import { loadRoom } from './load-room';
import { LOG_ROOMS } from './registry';
import { loadYears } from './years';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
  const life = lifeOf('2026-12-28', '2027-02-02', (day) => day.endsWith('1'), randomFrom(1));
  await transaction(db, async (trx) => {
    for (const r of life) await putRecord(trx, r);
  });
});
afterEach(() => db.destroy());

const tableOf = async (room: string, name: string, asked: { year?: string; q?: string } = { year: 'all' }) => {
  const table = (await loadRoom(room, asked))!.tables.find((t) => t.name === name);
  if (!table) throw new Error(`no table ${name}`);
  return table;
};
const one = async (query: ReturnType<typeof sql<{ n: number }>>) => (await query.execute(db)).rows[0]!.n;

describe('sums in tables are sums in SQL', () => {
  it.each(['hours', 'spending'] as const)('%s', async (what) => {
    const all = await one(sql`select round(sum(amount), 2) as n from record where what = ${what}`);
    expect(sum(columnOf(await tableOf('hours', what), 'in all'))).toBeCloseTo(all, 2);
  });
  it('habits', async () => {
    const table = await tableOf('habits', 'habits-by-week');
    const all = sum(table.columns.slice(1).map((name) => sum(columnOf(table, name))));
    expect(all).toBe(await one(sql`select count(*) as n from record where what = 'habit' and amount > 0`));
  });
  it('dinners', async () => {
    const all = await one(sql`select count(*) as n from record where what = 'dinner'`);
    expect(sum(columnOf(await tableOf('dinners', 'dinners'), 'times'))).toBe(all);
  });
  it('items', async () => {
    const table = await tableOf('items', 'items-by-kind');
    expect(sum(columnOf(table, 'items'))).toBe(await one(sql`select count(*) as n from past_item`));
    expect(sum(columnOf(table, 'done'))).toBe(0);
    const days = await tableOf('items', 'items-by-day');
    expect(sum(columnOf(days, 'in all'))).toBe(sum(columnOf(table, 'items')));
  });
  it('stickers and their cost', async () => {
    await layWeek(db);
    const table = await tableOf('kits', 'cost-by-week');
    const all = await one(sql`select count(distinct kit_id || code || '#' || copy) as n from placement`);
    expect(sum(columnOf(table, 'stickers'))).toBe(all);
    const kits = await tableOf('kits', 'kits');
    const used = await one(sql`select count(*) as n from copy_state where kit_id = 'rockpool' and placed > 0`);
    expect(kits.rows.find((r) => r[0] === 'Rockpool')?.[4]).toBe(used);
  });
});

describe('a room', () => {
  it('is there by its name, for the year asked for; what is no year is this one', async () => {
    for (const { name } of LOG_ROOMS) {
      const room = (await loadRoom(name, {}))!;
      expect([name, room.year, room.years]).toEqual([name, name === 'dinners' ? null : '2027', ['2027', '2026']]);
    }
    expect((await loadRoom('habits', { year: '1066' }))!.year).toBe('2027');
    expect(await loadRoom('constructor', {})).toBeNull();
  });
  it('has only the days of its year', async () => {
    const weeks = (await tableOf('hours', 'hours', { year: '2026' })).rows.map((r) => r[0]);
    expect(weeks).toEqual(['2026-W53']);
  });
  it('of an empty house says so in every table', async () => {
    await db.deleteFrom('record').execute();
    await db.deleteFrom('calendar').execute();
    for (const { name } of LOG_ROOMS)
      for (const table of (await loadRoom(name, {}))!.tables)
        if (!['kits', 'kinds'].includes(table.name)) expect([table.rows, table.nothing !== '']).toEqual([[], true]);
  });
  it('of colors has a row a week, and of the bench the minutes between its ticks', async () => {
    const id = await layWeek(db);
    expect((await tableOf('colors', 'white-space', {})).rows).toHaveLength(1);
    expect((await tableOf('colors', 'colors-by-month', {})).rows[0]![0]).toBe('2027-02');
    await beginWeek('2027-W07');
    done(await finishSpread({ spreadId: id }));
    done(await tickSteps({ spreadId: id, steps: ['cut:a#1:0'], done: true }));
    expect((await tableOf('bench', 'bench-minutes', {})).rows).toEqual([['2027-W06', 0, 0, 0, 0, 0, 0]]);
  });
});

describe('items of weeks that are over', () => {
  it('are kept once, and again where a calendar was changed since', async () => {
    expect(await keepPastWeeks(db, TODAY)).toBe(5);
    expect(await keepPastWeeks(db, TODAY)).toBe(0);
    const kept = (await pastItems(db, '2027-W04', '2027-W04')).map((i) => i.title).sort();
    const wanted = (await weekDemands(db, '2027-W04', 'monday')).demands.filter((d) => d.aspect === 'item');
    expect(kept).toEqual(wanted.map((d) => d.title).sort());
    const [item] = wanted.filter((d) => !d.repeated);
    done(await moveItems({ items: [{ uid: item!.uid, on: item!.on }], to: '2027-02-05' }));
    expect(await keepPastWeeks(db, TODAY)).toBe(5);
    expect((await pastItems(db, '2027-W04', '2027-W04')).map((i) => i.uid)).not.toContain(item!.uid);
  });
  it('have the marks that they have now', async () => {
    await keepPastWeeks(db, TODAY);
    const [item] = (await pastItems(db, '2027-W04', '2027-W04')).filter((i) => i.ticked);
    done(await markItem({ uid: item!.uid, on: item!.on, mark: 'done' }));
    const again = (await pastItems(db, '2027-W04', '2027-W04')).find((i) => i.uid === item!.uid && i.on === item!.on);
    expect(again!.mark).toBe('done');
  });
  it('tell when something was last done', async () => {
    await keepPastWeeks(db, TODAY);
    const laundry = (await pastItems(db, '2026-W53', '2027-W04')).filter((i) => i.title === 'laundry');
    for (const i of laundry.slice(0, 2)) done(await markItem({ uid: i.uid, on: i.on, mark: 'done' }));
    const found = await tableOf('items', 'last-times', { q: 'laund' });
    expect(found.rows).toEqual([['laundry', laundry[1]!.day, 2]]);
    expect((await tableOf('items', 'last-times', { q: '100% _' })).rows).toEqual([]);
  });
});

it('a week stands beside the same week of other years', async () => {
  await layWeek(db);
  const found = await loadYears('2026-W06');
  expect(found.map((w) => [w.week, w.spread !== null])).toEqual([['2027-W06', true]]);
  const first = await loadYears('2027-W01');
  expect(first[0]!.records.length).toBeGreaterThan(7);
  expect(await loadYears('2026-W53')).toEqual([expect.objectContaining({ week: '2026-W53' })]);
});
