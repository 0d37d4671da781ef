import { beginWeek, done, freshHouse, layWeek } from '../../tests/house';
import type { Database } from '../db/database';
import { writeDown } from './agenda-actions';
import { finishSpread, saveKeepNote } from './bench-actions';
import { rateSpread, tagSpread } from './keep-actions';
import { loadLog, partsOf, readLogSearch } from './past';

let db: Database;
let laid: number;
beforeEach(async () => {
  db = await freshHouse();
  laid = await layWeek(db);
  await beginWeek('2027-W07'); // begun, and nothing lies on it yet
});
afterEach(() => db.destroy());

const weeks = async (words: string, before?: string) =>
  (await loadLog(readLogSearch({ q: words, ...(before ? { before } : {}) }))).entries.map((e) => e.week);

it('has every week that something lies on, with its kit and what came of it', async () => {
  expect((await loadLog({})).entries).toMatchObject([
    {
      week: '2027-W06',
      spread: { id: laid, kit: 'rockpool', manner: 'scattered', finished: null, photo: '', note: '', rating: 0 },
    },
  ]);
  done(await finishSpread({ spreadId: laid }));
  done(await saveKeepNote({ spreadId: laid, note: 'less blue next time' }));
  done(await rateSpread({ spreadId: laid, rating: 4 }));
  done(await tagSpread({ spreadId: laid, tags: ['#concert', ' concert', 'frost'] }));
  expect((await loadLog({})).entries).toMatchObject([
    { spread: { finished: '2027-02-03', note: 'less blue next time', rating: 4, tags: ['concert', 'frost'] } },
  ]);
});

it('is looked through by what is written on a week, its kit, manner, note and name: every word must be there', async () => {
  done(await finishSpread({ spreadId: laid }));
  done(await saveKeepNote({ spreadId: laid, note: 'less blue, 100 % happy' }));
  for (const search of ['vet', 'vet rockpool', 'scattered', '2027-W06', 'BLUE', '100 %', 'fish soup'])
    expect([search, await weeks(search)]).toEqual([search, ['2027-W06']]);
  for (const search of ['vet submarine', '%', "' or zeppelin = 1 --", 'zq_t', '\\'])
    expect([search, await weeks(search)]).toEqual([search, /[a-z]/.test(search) ? [] : ['2027-W06']]);
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
  const first = await loadLog({});
  expect([first.entries.length, first.earlier]).toEqual([48, first.entries.at(-1)!.week]);
  const second = await loadLog({ before: first.earlier! });
  expect([second.entries.length, second.earlier]).toEqual([13, null]);
  expect(new Set([...first.entries, ...second.entries].map((e) => e.week)).size).toBe(61);
});

it('is looked through in one place only, in a span of days, and follows what is changed', async () => {
  const found = async (asked: Parameters<typeof readLogSearch>[0]) =>
    (await loadLog(readLogSearch(asked))).entries.map((e) => e.week);
  expect(await found({ q: 'rockpool', in: 'kit' })).toEqual(['2027-W06']);
  expect(await found({ q: 'rockpool', in: 'items' })).toEqual([]);
  expect(await found({ q: 'vet', in: 'items' })).toEqual(['2027-W06']);
  expect(await found({ q: 'vet', in: 'constructor' })).toEqual(['2027-W06']);
  expect(await found({ q: 'vet', from: '2027-02-15' })).toEqual([]);
  expect(await found({ from: '2027-02-08', to: '2027-02-14' })).toEqual(['2027-W06']);
  expect(await found({ to: '2027-01-31' })).toEqual([]);
  const dinner = { day: '2026-12-31', what: 'dinner' as const, name: '', amount: 0, text: 'Crêpes' };
  done(await writeDown({ records: [dinner] }));
  expect((await loadLog(readLogSearch({ q: 'crepes', in: 'dinners' }))).entries).toMatchObject([
    { week: '2026-W53', spread: null, found: [{ text: 'Crêpes', hit: true }] },
  ]);
  done(await writeDown({ records: [{ ...dinner, text: '' }] }));
  expect(await found({ q: 'crepes' })).toEqual([]);
});

it('a snippet comes in parts, so that no mark-up is ever made of it', () => {
  expect(partsOf('a \u0001<b>\u0002 c\nd')).toEqual([
    { text: 'a ', hit: false },
    { text: '<b>', hit: true },
    { text: ' c · d', hit: false },
  ]);
  expect(partsOf('')).toEqual([]);
});
