import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { demoKit } from '../../../tests/fixtures';
import { beginWeek, done, layWeek, placementsOf, refusal } from '../../../tests/house';
import { laidDown } from '../../../tests/laid-down';
import { addKit, allKits } from '../../db/kits';
import { findSpreadOfWeek } from '../../db/spreads';
import { dropSpread } from '../bench-actions';
import { backUpNow, lookAtBackup, restoreBackup } from '../backup-actions';
import { store } from '../store';
import { backUpIfDue, backupFolder, backupNamed, listBackups, makeBackup, takeBackup } from './make-backup';
import { readBackup } from './read-backup';

const root = mkdtempSync(join(tmpdir(), 'hobnail-backups-'));
let n = 0;
const home = (): string => join(root, String(n));
const PICTURE = `${'a'.repeat(64)}.webp`;

/** A house of its own on the disk, with a week laid and a picture. */
beforeEach(async () => {
  n++;
  process.env.HOBNAIL_DATA = join(home(), 'hobnail.sqlite');
  process.env.HOBNAIL_TODAY = '2027-02-03';
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  const db = await store();
  await addKit(db, demoKit('rockpool'), 'kit');
  await addKit(db, demoKit('stash'), 'stash');
  await layWeek(db);
  mkdirSync(join(home(), 'pictures'), { recursive: true });
  writeFileSync(join(home(), 'pictures', PICTURE), 'a picture');
});
afterEach(async () => (await store()).destroy());
afterAll(() => rmSync(root, { recursive: true, force: true }));

const at = (day: number): Date => new Date(Date.UTC(2027, 1, day, 12));
const placed = async (): Promise<number> => {
  const db = await store();
  const row = await findSpreadOfWeek(db, '2027-W06');
  return row ? (await placementsOf(db, row.id)).length : -1;
};
/** Every row of every table, as text: what two databases that say the same have in common. */
const dump = (file: string): string => {
  const opened = new SQLite(file, { readonly: true });
  const tables = opened
    .prepare("select name from sqlite_master where type = 'table' order by name")
    .pluck()
    .all() as string[];
  const text = tables.map((t) => `${t}: ${JSON.stringify(opened.prepare(`select * from "${t}"`).all())}`).join('\n');
  opened.close();
  return text;
};

it('has everything in one file: data, pictures, checksums, and says what it holds', async () => {
  const { name } = await makeBackup(at(3));
  const manifest = await readBackup(backupNamed(name)!);
  expect(manifest.counts).toMatchObject({ weeks: 1, kits: 2, pictures: 1, lastWeek: '2027-W06' });
  expect(manifest.counts.stickers).toBeGreaterThan(50);
  expect(manifest.files.map((f) => f.name)).toEqual(['hobnail.sqlite', `pictures/${PICTURE}`]);
  expect(readdirSync(backupFolder()).filter((f) => f.endsWith('.part'))).toEqual([]);
});

it('put back is the same to the row, and what was here before can be put back the same way', async () => {
  const laid = await placed();
  const file = process.env.HOBNAIL_DATA!;
  const before = dump(file);
  const { name } = await makeBackup(at(3));
  const spread = (await findSpreadOfWeek(await store(), '2027-W06'))!;
  done(await dropSpread({ spreadId: spread.id }));
  await beginWeek('2027-W09');
  rmSync(join(home(), 'pictures', PICTURE));
  expect(done(await lookAtBackup({ name }))).toMatchObject({
    lost: ['2027-W09'], then: { weeks: 1 }, now: { weeks: 1, stickers: 0 },
  }); // prettier-ignore
  const { before: kept } = done(await restoreBackup({ name }));
  expect([await placed(), existsSync(join(home(), 'pictures', PICTURE))]).toEqual([laid, true]);
  expect(dump(file)).toBe(before);
  done(await restoreBackup({ name: kept }));
  expect(await placed()).toBe(-1);
  expect(await findSpreadOfWeek(await store(), '2027-W09')).toBeDefined();
});

it('in an empty house gives what was there', async () => {
  const { name } = await makeBackup(at(3));
  const bytes = readFileSync(backupNamed(name)!);
  const laid = await placed();
  const kits = await allKits(await store());
  await (await store()).destroy();
  n += 1000;
  process.env.HOBNAIL_DATA = join(home(), 'hobnail.sqlite');
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  await store();
  expect(await takeBackup(laidDown(bytes))).toBe(name);
  done(await restoreBackup({ name }));
  expect([await placed(), await allKits(await store())]).toEqual([laid, kits]);
});

describe('what is no whole backup is refused, and nothing changes', () => {
  const damaged: readonly (readonly [string, (bytes: Uint8Array) => Uint8Array, string])[] = [
    ['cut off', (b) => b.slice(0, b.length >> 1), 'breaks off'],
    ['a letter', () => strToU8('Dear Wren'), 'no backup'],
    ['one byte of the data other', (b) => altered(b, 'hobnail.sqlite'), 'not as it was written'],
    ['one byte of a picture other', (b) => altered(b, `pictures/${PICTURE}`), 'not as it was written'],
    ['something more in it', (b) => zipSync({ ...unzipSync(b), 'notes.txt': strToU8('x') }), 'more than its list'],
    ['without its list', (b) => without(b, 'manifest.json'), 'no list of contents'],
    ['without its data', (b) => without(b, 'hobnail.sqlite'), 'not as it was written'],
    ['of a later version', (b) => told(b, { schema: '9999-future' }), 'later version'],
    ['of another format', (b) => told(b, { format: 'hobnail.backup/2' }), 'none of Hobnail'],
    ['leading out of its folder', (b) => told(b, { files: [{ name: '../../x', bytes: 1, sha256: '' }] }), 'strange'],
  ];
  const altered = (b: Uint8Array, name: string) => {
    const all = unzipSync(b);
    all[name]![Math.min(20, all[name]!.length - 1)]! ^= 1;
    return zipSync(all);
  };
  const without = (b: Uint8Array, name: string) =>
    zipSync(Object.fromEntries(Object.entries(unzipSync(b)).filter(([key]) => key !== name)));
  const told = (b: Uint8Array, over: object) => {
    const all = unzipSync(b);
    const list = JSON.parse(new TextDecoder().decode(all['manifest.json'])) as object;
    return zipSync({ ...all, 'manifest.json': strToU8(JSON.stringify({ ...list, ...over })) });
  };
  it.each(damaged)('%s', async (_, damage, why) => {
    const { name } = await makeBackup(at(3));
    const file = backupNamed(name)!;
    const before = dump(process.env.HOBNAIL_DATA!);
    writeFileSync(file, damage(new Uint8Array(readFileSync(file))));
    for (const act of [lookAtBackup, restoreBackup]) expect(refusal(await act({ name }))).toContain(why);
    await expect(takeBackup(file)).rejects.toThrow(why);
    expect(dump(process.env.HOBNAIL_DATA!)).toBe(before);
    expect(readdirSync(home()).filter((f) => f.startsWith('.'))).toEqual([]);
  });
  it('a name that leads elsewhere is none', async () => {
    for (const name of ['../hobnail.sqlite', 'constructor', 'hobnail-2027-02-03T12-00-00.backup.zip'])
      expect(refusal(await restoreBackup({ name }))).toContain('a backup that lies here');
  });
});

it('is made by itself once a day, and old ones go by the rule', async () => {
  expect(await backUpIfDue(at(1))).toBe(true);
  expect(await backUpIfDue(new Date(at(1).getTime() + 3_600_000))).toBe(false);
  const [first] = listBackups();
  for (let day = 2; day <= 28; day++) {
    const name = `hobnail-2027-02-${String(day).padStart(2, '0')}T12-00-00.backup.zip`;
    copyFileSync(join(backupFolder(), first!.name), join(backupFolder(), name));
  }
  done(await backUpNow());
  const left = listBackups();
  expect(left.length).toBeLessThan(16);
  expect(left.length).toBeGreaterThanOrEqual(9);
});

it('of an older version is brought up to date as it is put back', async () => {
  const { name } = await makeBackup(at(3));
  const laid = await placed();
  const work = mkdtempSync(join(root, 'old-'));
  await readBackup(backupNamed(name)!, work);
  const old = new SQLite(join(work, 'hobnail.sqlite'));
  old.exec(
    "drop table keep; drop table given_up; drop table record; drop table past_item; drop table past_week; drop table week_text; drop table stale_week; drop trigger past_item_mark_insert; drop trigger past_item_mark_update; drop trigger past_item_mark_delete; drop trigger stale_week_placement_insert; drop trigger stale_week_placement_update; drop trigger stale_week_placement_delete; drop trigger stale_week_writing_insert; drop trigger stale_week_writing_update; drop trigger stale_week_writing_delete; drop trigger stale_week_spread_insert; drop trigger stale_week_spread_update; drop trigger stale_week_spread_delete; delete from kysely_migration where name in ('0014-records', '0015-choices'); drop table learned_choice; delete from kysely_migration where name = '0013-bench'; alter table tick drop column at; alter table tick drop column tape; alter table spread drop column work",
  );
  old.exec('vacuum');
  old.close();
  const data = readFileSync(join(work, 'hobnail.sqlite'));
  const { createHash } = await import('node:crypto');
  const list = {
    format: 'hobnail.backup/1',
    made: at(2).toISOString(),
    schema: '0012-corrections',
    counts: {},
    files: [{ name: 'hobnail.sqlite', bytes: data.length, sha256: createHash('sha256').update(data).digest('hex') }],
  };
  const older = await takeBackup(
    laidDown(zipSync({ 'hobnail.sqlite': new Uint8Array(data), 'manifest.json': strToU8(JSON.stringify(list)) })),
  );
  done(await restoreBackup({ name: older }));
  expect(await placed()).toBe(laid);
});
