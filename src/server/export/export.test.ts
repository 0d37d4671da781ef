import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { demoKit } from '../../../tests/fixtures';
import { done, layWeek } from '../../../tests/house';
import { laidDown } from '../../../tests/laid-down';
import { demoAgenda } from '../../../demo/agenda';
import { readBook } from '../../core/format/book-json';
import { readKit } from '../../core/format/kit-csv';
import { addBook } from '../../db/books';
import { threeBox } from '../../core/book/three-box';
import { putCalendar } from '../../db/calendars';
import { addKit } from '../../db/kits';
import { putScan } from '../../db/books';
import { writeDown } from '../agenda-actions';
import { restoreBackup } from '../backup-actions';
import { listBackups, backupNamed } from '../backup/backup-files';
import { makeBackup, takeBackup } from '../backup/make-backup';
import { finishSpread } from '../bench-actions';
import { store } from '../store';
import { sweepPictures } from '../sweep-pictures';
import { makeExport } from './make-export';
import { takeExport } from './read-export';

const root = mkdtempSync(join(tmpdir(), 'hobnail-exports-'));
let n = 0;
const home = (): string => join(root, String(n));
const PICTURE = `${'a'.repeat(64)}.webp`;

/** A house of its own on the disk. */
async function moveIn(): Promise<void> {
  n++;
  process.env.HOBNAIL_DATA = join(home(), 'hobnail.sqlite');
  process.env.HOBNAIL_TODAY = '2027-02-15';
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  await store();
}

beforeEach(async () => {
  await moveIn();
  const db = await store();
  await addKit(db, demoKit('rockpool'), 'kit');
  await addKit(db, demoKit('stash'), 'stash');
  await putCalendar(db, 'house/hold: one', demoAgenda('2027-02-03'));
  await addBook(db, 'mine', { ...threeBox, name: 'Harbor log' });
  await putScan(db, 'mine', 0, 'image/png', Uint8Array.from([0, 255, 7]));
  const id = await layWeek(db);
  done(await finishSpread({ spreadId: id }));
  const record = { day: '2027-02-09', what: 'dinner', name: '', amount: 0, text: 'cod “à la crème”' };
  done(await writeDown({ records: [record] }));
  mkdirSync(join(home(), 'pictures'), { recursive: true });
  writeFileSync(join(home(), 'pictures', PICTURE), 'a picture');
});
afterEach(async () => (await store()).destroy());
afterAll(() => rmSync(root, { recursive: true, force: true }));

const exported = async (): Promise<Uint8Array> => new Uint8Array(await new Response(makeExport()).arrayBuffer());
const text = (all: Record<string, Uint8Array>, name: string): string => strFromU8(all[name] ?? new Uint8Array());

it('has everything as other programs read it', async () => {
  const all = unzipSync(await exported());
  expect(Object.keys(all)).toEqual(
    expect.arrayContaining([
      'README.txt',
      'hobnail-export.json',
      'data/placement.json',
      'agenda/house_hold_ one.ics',
      'kits/rockpool.kit.csv',
      'books/mine.book.json',
      'weeks/2027-W06/spread.json',
      'weeks/2027-W06/spread.svg',
      'weeks/2027-W06/spread.png',
      'log/dinners.csv',
      `pictures/${PICTURE}`,
    ]),
  );
  // read by ical.js, which is not ours
  const calendar = new ICAL.Component(ICAL.parse(text(all, 'agenda/house_hold_ one.ics')));
  expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThan(30);
  expect(readKit(text(all, 'kits/rockpool.kit.csv'), 'r', 'rockpool')).toEqual(demoKit('rockpool'));
  expect(readBook(text(all, 'books/mine.book.json'), 'b').name).toBe('Harbor log');
  const spread = JSON.parse(text(all, 'weeks/2027-W06/spread.json')) as { placements: unknown[]; format: string };
  expect([spread.format, spread.placements.length > 50]).toEqual(['hobnail.spread/1', true]);
  expect([...all['weeks/2027-W06/spread.png']!.slice(1, 4)]).toEqual([...strToU8('PNG')]);
  expect(text(all, 'log/dinners.csv')).toContain('cod “à la crème”');
});

it('of a week that cannot be drawn goes on without its pictures, and says so', async () => {
  const db = await store();
  await db.updateTable('placement').set({ page: 99 }).execute();
  const silent = jest.spyOn(console, 'error').mockImplementation(() => {});
  const all = unzipSync(await exported());
  silent.mockRestore();
  expect(text(all, 'weeks/NOT-DRAWN.txt')).toContain('2027-W06');
  expect(Object.keys(all)).toEqual(expect.arrayContaining(['data/placement.json', 'kits/rockpool.kit.csv']));
});

it('of the same house has the same bytes', async () => {
  expect(Buffer.compare(await exported(), await exported())).toBe(0);
});

it('imported in an empty house gives the same export', async () => {
  const bytes = await exported();
  await (await store()).destroy();
  await moveIn();
  const name = await takeExport(laidDown(bytes));
  done(await restoreBackup({ name: name ?? '' }));
  expect(Buffer.compare(await exported(), bytes)).toBe(0);
  expect(readFileSync(join(home(), 'pictures', PICTURE), 'utf8')).toBe('a picture');
});

it('a backup restored into an empty house gives the same export', async () => {
  const bytes = await exported();
  const { name } = await makeBackup();
  const file = new Uint8Array(readFileSync(backupNamed(name)!));
  expect(await takeExport(laidDown(file))).toBeNull();
  await (await store()).destroy();
  await moveIn();
  await takeBackup(laidDown(file));
  done(await restoreBackup({ name }));
  expect(Buffer.compare(await exported(), bytes)).toBe(0);
});

describe('an export that is not whole is refused, and nothing is kept', () => {
  const damaged: readonly (readonly [string, (all: Record<string, Uint8Array>) => void, string])[] = [
    ['without a table', (all) => delete all['data/placement.json'], 'data/placement.json is not in it'],
    ['a table that is no list', (all) => (all['data/spread.json'] = strToU8('{}')), 'no list of rows'],
    ['a table that breaks off', (all) => (all['data/spread.json'] = strToU8('[{"id"')), 'cannot be read'],
    ['rows that point nowhere', (all) => (all['data/spread.json'] = strToU8('[]')), 'rows that do not fit'],
    [
      'rows with nothing that is needed',
      (all) => (all['data/piece.json'] = strToU8('[{"code":"A"}]')),
      'rows that do not fit',
    ],
    ['of a later version', (all) => told(all, { schema: '9999-future' }), 'later version'],
    ['of another format', (all) => told(all, { format: 'hobnail.export/2' }), 'none of Hobnail'],
    ['with a strange table', (all) => told(all, { tables: ['sqlite_master'] }), 'sqlite_master.json is not in it'],
    ['a table that says one thing over and over', (all) => (all['data/placement.json'] = strToU8(`[${'{},'.repeat(700_000)}{}]`)), 'unpack to 2 MB|has 700001 rows'], // prettier-ignore
    ['with tables that are no list', (all) => told(all, { tables: 7 }), 'not whole'],
  ];
  const told = (all: Record<string, Uint8Array>, over: object) => {
    const list = JSON.parse(text(all, 'hobnail-export.json')) as object;
    all['hobnail-export.json'] = strToU8(JSON.stringify({ ...list, ...over }));
  };
  it('each of ten ways, and cut off', async () => {
    const bytes = await exported();
    for (const [, damage, why] of damaged) {
      const all = unzipSync(bytes);
      damage(all);
      await expect(takeExport(laidDown(zipSync(all, { level: 1 })))).rejects.toThrow(new RegExp(why));
    }
    await expect(takeExport(laidDown(bytes.slice(0, bytes.length >> 1)))).rejects.toThrow('breaks off');
    expect(listBackups()).toEqual([]);
    expect(readdirSync(home()).filter((f) => f.endsWith('.part'))).toEqual([]);
  });
});

it('pictures that nothing shows are swept after a month, and none that anything shows', async () => {
  const db = await store();
  const file = join(home(), 'pictures', PICTURE);
  const old = Date.now() / 1000 - 40 * 24 * 3600;
  expect(await sweepPictures(db)).toBe(0); // it is young
  utimesSync(file, old, old);
  await db
    .updateTable('keep')
    .set({ photo: 'a'.repeat(64) })
    .execute();
  expect(await sweepPictures(db)).toBe(0);
  await db.updateTable('keep').set({ photo: '' }).execute();
  await db
    .insertInto('given_up')
    .values({ week: '2027-W01', at: '', rows: `{"photo":"${'a'.repeat(64)}"}`, stuck: '[]' })
    .execute();
  expect(await sweepPictures(db)).toBe(0);
  await db.deleteFrom('given_up').execute();
  expect([await sweepPictures(db), existsSync(file)]).toEqual([1, false]);
});
