import { beginWeek, done, freshHouse, layWeek } from '../../tests/house';
import type { Database } from '../db/database';
import { finishSpread, saveKeepNote } from './bench-actions';
import { loadLog } from './past';

let db: Database;
let laid: number;
beforeEach(async () => {
  db = await freshHouse();
  laid = await layWeek(db);
  await beginWeek('2027-W07'); // begun, and nothing lies on it yet
});
afterEach(() => db.destroy());

const weeks = async (search: string, before?: string) => (await loadLog(search, before)).entries.map((e) => e.week);

it('has every week that something lies on, with its kit and what came of it', async () => {
  expect((await loadLog('', undefined)).entries).toMatchObject([
    { id: laid, week: '2027-W06', kit: 'rockpool', manner: 'scattered', finished: null, photo: '', note: '' },
  ]);
  done(await finishSpread({ spreadId: laid }));
  done(await saveKeepNote({ spreadId: laid, note: 'less blue next time' }));
  expect((await loadLog('', undefined)).entries).toMatchObject([
    { finished: '2027-02-03', note: 'less blue next time' },
  ]);
});

it('is looked through by what is written on a week, its kit, manner, note and name: every word must be there', async () => {
  done(await finishSpread({ spreadId: laid }));
  done(await saveKeepNote({ spreadId: laid, note: 'less blue, 100 % happy' }));
  for (const search of ['vet', 'vet rockpool', 'scattered', '2027-W06', 'BLUE', '100 %', 'fish soup'])
    expect([search, await weeks(search)]).toEqual([search, ['2027-W06']]);
  for (const search of ['vet submarine', '%', "' or 1 = 1 --", 'v_t', '\\'])
    expect([search, await weeks(search)]).toEqual([search, search === '%' ? ['2027-W06'] : []]);
});

it('gives earlier weeks page by page; a week that is none is no end', async () => {
  expect(await weeks('', '2027-W06')).toEqual([]);
  expect(await weeks('', '2027-W10')).toEqual(['2027-W06']);
  expect(await weeks('', 'soon')).toEqual(['2027-W06']);
  const spread = await db.selectFrom('spread').selectAll().where('id', '=', laid).executeTakeFirstOrThrow();
  const piece = await db.selectFrom('placement').selectAll().where('spread_id', '=', laid).executeTakeFirstOrThrow();
  for (let i = 1; i <= 60; i++) {
    const week = `20${String(26 - (i >> 5)).padStart(2, '0')}-W${String((i % 32) + 10).padStart(2, '0')}`;
    await db
      .insertInto('spread')
      .values({ ...spread, id: 100 + i, week })
      .execute();
    await db
      .insertInto('placement')
      .values({ ...piece, spread_id: 100 + i, copy: 1, code: piece.code })
      .execute();
  }
  const first = await loadLog('', undefined);
  expect([first.entries.length, first.earlier]).toEqual([48, first.entries.at(-1)!.week]);
  const second = await loadLog('', first.earlier!);
  expect([second.entries.length, second.earlier]).toEqual([13, null]);
  expect(new Set([...first.entries, ...second.entries].map((e) => e.week)).size).toBe(61);
});
