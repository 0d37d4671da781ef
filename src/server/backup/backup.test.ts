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
import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import SQLite from 'better-sqlite3';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { demoKit } from '../../../tests/fixtures';
import { beginWeek, done, layWeek, placementsOf, refusal } from '../../../tests/house';
import { laidDown } from '../../../tests/laid-down';
import { addKit, allKits } from '../../db/kits';
import { putCalendar } from '../../db/calendars';
import { writeSetting } from '../../db/settings';
import { findSpreadOfWeek, rise } from '../../db/spreads';
import { dropSpread } from '../bench-actions';
import { lookAtBackup, restoreBackup } from '../backup-actions';
import { store } from '../store';
import { sweepAtStart } from '../sweep-at-start';
import { backupFolder, backupNamed, listBackups } from './backup-files';
import { backUpIfDue, isBackupOld, makeBackup, takeBackup } from './make-backup';
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

it('each of two houses in one place has a folder of backups of its own, and one that was alone keeps its own', () => {
  const place = join(home(), 'two');
  mkdirSync(place, { recursive: true });
  const folderOf = (file: string): string => {
    process.env.HOBNAIL_DATA = join(place, file);
    const folder = relative(place, backupFolder());
    process.env.HOBNAIL_DATA = join(home(), 'hobnail.sqlite');
    return folder;
  };
  expect([folderOf('hobnail.sqlite'), folderOf('barn.sqlite')]).toEqual(['backups', 'barn-backups']);
  mkdirSync(join(place, 'backups'));
  expect(folderOf('barn.sqlite')).toBe('backups');
  writeFileSync(join(place, 'hobnail.sqlite'), '');
  expect(folderOf('barn.sqlite')).toBe('barn-backups');
});

const at = (day: number): Date => new Date(Date.UTC(2027, 1, day, 12));
const placed = async (): Promise<number> => {
  const db = await store();
  const row = await findSpreadOfWeek(db, '2027-W06');
  return row ? (await placementsOf(db, row.id)).length : -1;
};
/** Worked out from other tables, or numbers that only rise. */
const RISING = /^(kit_clock|kit_stock|copy_state|stale_week|sqlite_sequence|week_text.*)$/;
/** Every row of every table, as text: what two databases that say the same have in common. */
const dump = (file: string): string => {
  const opened = new SQLite(file, { readonly: true });
  const tables = opened
    .prepare("select name from sqlite_master where type = 'table' order by name")
    .pluck()
    .all() as string[];
  const text = tables
    .filter((t) => !RISING.test(t))
    .map((t) => `${t}: ${JSON.stringify(opened.prepare(`select * from "${t}"`).all())}`)
    .join('\n')
    .replace(/"revision":\d+/g, '');
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
  await makeBackup(new Date(Date.UTC(2027, 1, 28, 18)));
  const left = listBackups(Date.UTC(2027, 1, 28, 18));
  expect(left.length).toBeLessThan(16);
  expect(left.length).toBeGreaterThanOrEqual(9);
});

describe('while others write', () => {
  it('no edit that was acknowledged is lost by a restore: it is in the backup made before, or in the live file', async () => {
    const { name } = await makeBackup(at(3));
    const db = await store();
    const told: string[] = [];
    const left = { going: true };
    const writer = async (w: number): Promise<void> => {
      for (let i = 0; left.going; i++) {
        await writeSetting(db, `writer ${w}, ${i}`, i);
        told.push(`writer ${w}, ${i}`);
        await new Promise((next) => setImmediate(next));
      }
    };
    const writers = [writer(1), writer(2), writer(3)];
    await new Promise((next) => setTimeout(next, 30));
    const { before } = done(await restoreBackup({ name }));
    await new Promise((next) => setTimeout(next, 30));
    left.going = false;
    await Promise.all(writers);
    const work = mkdtempSync(join(root, 'before-'));
    await readBackup(backupNamed(before)!, work);
    const settings = (file: string): string[] => {
      const opened = new SQLite(file, { readonly: true });
      const names = opened.prepare('select name from setting').pluck().all() as string[];
      opened.close();
      return names;
    };
    const there = new Set([...settings(join(work, 'hobnail.sqlite')), ...settings(process.env.HOBNAIL_DATA!)]);
    expect(told.length).toBeGreaterThan(20);
    expect(told.filter((t) => !there.has(t))).toEqual([]);
  });

  it('a backup ends, however fast another program writes', async () => {
    const other = new SQLite(process.env.HOBNAIL_DATA);
    other.exec('create table noise (x); insert into noise values (zeroblob(3000000))');
    let writes = 0;
    const noise = setInterval(() => {
      other.exec('update noise set x = zeroblob(3000000)');
      writes++;
    }, 0);
    await makeBackup(at(3));
    clearInterval(noise);
    other.close();
    expect(writes).toBeGreaterThan(3);
  }, 20_000);

  it('two made at once, and two of one second, are two', async () => {
    await Promise.all([makeBackup(at(3)), makeBackup(at(3))]);
    expect(listBackups(at(4).getTime()).map((b) => b.name)).toEqual([
      'hobnail-2027-02-03T12-00-00-2.backup.zip',
      'hobnail-2027-02-03T12-00-00.backup.zip',
    ]);
  });

  it('revisions only rise, so that nothing held of a row is taken for another', async () => {
    const revision = async (): Promise<number> => (await findSpreadOfWeek(await store(), '2027-W06'))!.revision;
    const { name } = await makeBackup(at(3));
    await rise(await store(), (await findSpreadOfWeek(await store(), '2027-W06'))!.id);
    const before = await revision();
    done(await restoreBackup({ name }));
    expect(await revision()).toBeGreaterThan(before);
    const made = await beginWeek('2027-W10');
    done(await restoreBackup({ name }));
    expect(await beginWeek('2027-W11')).toBeGreaterThan(made);
  });
});

describe('one that was brought', () => {
  it('never lies down on one that is there, and is not taken twice', async () => {
    const { name } = await makeBackup(at(3));
    const first = readFileSync(backupNamed(name)!);
    expect(await takeBackup(laidDown(first))).toBe(name);
    await beginWeek('2027-W09');
    rmSync(backupNamed(name)!);
    await makeBackup(at(3));
    const second = readFileSync(backupNamed(name)!);
    expect(await takeBackup(laidDown(first))).toBe('hobnail-2027-02-03T12-00-00-2.backup.zip');
    expect(readFileSync(backupNamed(name)!).equals(second)).toBe(true);
    expect(listBackups()).toHaveLength(2);
  });

  it('of a time to come counts for nothing: days go on being backed up, and old ones go without it', async () => {
    await makeBackup(at(20));
    expect(await backUpIfDue(at(3))).toBe(true);
    expect(listBackups(at(3).getTime()).map((b) => b.ahead)).toEqual([true, false]);
    expect(isBackupOld(listBackups(at(13).getTime()), at(13).getTime())).toBe(true);
    for (let day = 4; day <= 16; day++) await makeBackup(at(day));
    expect(listBackups(at(16).getTime()).filter((b) => b.ahead)).toHaveLength(1);
    // a clock that was an hour ahead stops no day either
    expect(await backUpIfDue(new Date(at(20).getTime() - 21 * 3_600_000))).toBe(true);
  });

  it('that was tampered with runs nothing of its own, and leaves out what is not sound, and says so', async () => {
    const laid = await placed();
    await putCalendar(await store(), 'household', 'BEGIN:VCALENDAR');
    const { name } = await makeBackup(at(3));
    const work = mkdtempSync(join(root, 'tampered-'));
    const manifest = await readBackup(backupNamed(name)!, work);
    const data = new SQLite(join(work, 'hobnail.sqlite'));
    data.exec(`create trigger eats after update on spread begin delete from spread; end;
      create view looks as select * from spread;
      insert into kit (id, role) values ('ill', 'kit');
      insert into piece select 'ill', code, position, kind, count, width, height, sheet, shape, color, accent, motif, words,
        icon, writable, opacity, finish, foil, rows, faces, picture, clear, ground from piece limit 1;
      update piece set kind = 'trapdoor' where kit_id = 'ill';
      insert into spread (week, book_id, kit_id, manner, seed, options) values ('2027-W20', 'three-box', 'rockpool', 'scattered', 1, 'not JSON'),
        ('2027-W21', 'three-box', 'rockpool', 'scattered', 1, '{"hand": 7}'), ('2027-W22', 'three-box', 'rockpool', 'scattered', 'one', '{}'),
        ('some week', 'three-box', 'rockpool', 'scattered', 1, '{}'), ('2027-W23', 'three-box', 'rockpool', 'upside down', 1, '{}');
      update calendar set ics = x'00ff'`);
    data.close();
    const bytes = readFileSync(join(work, 'hobnail.sqlite'));
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const list = {
      ...manifest,
      made: at(5).toISOString(),
      files: [{ name: 'hobnail.sqlite', bytes: bytes.length, sha256 }],
    };
    const ill = await takeBackup(
      laidDown(zipSync({ 'hobnail.sqlite': new Uint8Array(bytes), 'manifest.json': strToU8(JSON.stringify(list)) })),
    );
    const expected = [
      { table: 'calendar', rows: 1 },
      { table: 'piece', rows: 1 },
      { table: 'spread', rows: 5 },
    ];
    expect(done(await lookAtBackup({ name: ill }))).toMatchObject({
      leftOut: expect.arrayContaining(expected) as unknown,
    });
    expect(done(await restoreBackup({ name: ill })).leftOut).toHaveLength(3);
    const db = await store();
    await rise(db, (await findSpreadOfWeek(db, '2027-W06'))!.id);
    expect(await placed()).toBe(laid);
    const opened = new SQLite(process.env.HOBNAIL_DATA, { readonly: true });
    expect(opened.prepare("select name from sqlite_master where name in ('eats', 'looks')").all()).toEqual([]);
    opened.close();
  });

  it('whose data is none is said of the backup, not of the house’s own file', async () => {
    const bytes = strToU8('this is no database');
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const list = {
      format: 'hobnail.backup/1',
      made: at(2).toISOString(),
      schema: '0012-corrections',
      counts: {},
      files: [{ name: 'hobnail.sqlite', bytes: bytes.length, sha256 }],
    };
    const junk = laidDown(zipSync({ 'hobnail.sqlite': bytes, 'manifest.json': strToU8(JSON.stringify(list)) }));
    await expect(takeBackup(junk)).rejects.toThrow('its data is damaged');
  });
});

it('what a killed process left behind goes at the start, and what is being made stays', () => {
  const left = [join(home(), '.passing-999999999-abc'), join(backupFolder(), '.passing-999999999-half')];
  const living = join(home(), `.passing-${process.ppid}-x`);
  mkdirSync(backupFolder(), { recursive: true });
  for (const name of [...left, living]) mkdirSync(name);
  sweepAtStart();
  expect([...left, living].map((f) => existsSync(f))).toEqual([false, false, true]);
});

it('of an older version is brought up to date as it is put back', async () => {
  const { name } = await makeBackup(at(3));
  const laid = await placed();
  const work = mkdtempSync(join(root, 'old-'));
  await readBackup(backupNamed(name)!, work);
  const old = new SQLite(join(work, 'hobnail.sqlite'));
  old.exec(
    "drop table keep; drop table given_up; drop table record; drop table past_item; drop table past_week; drop table week_text; drop table stale_week; drop trigger past_item_mark_insert; drop trigger past_item_mark_update; drop trigger past_item_mark_delete; drop trigger stale_week_placement_insert; drop trigger stale_week_placement_update; drop trigger stale_week_placement_delete; drop trigger stale_week_writing_insert; drop trigger stale_week_writing_update; drop trigger stale_week_writing_delete; drop trigger stale_week_spread_insert; drop trigger stale_week_spread_update; drop trigger stale_week_spread_delete; alter table piece drop column ground; delete from kysely_migration where name in ('0014-records', '0015-choices', '0016-ground'); drop table learned_choice; delete from kysely_migration where name = '0013-bench'; alter table tick drop column at; alter table tick drop column tape; alter table spread drop column work",
  );
  old.exec('vacuum');
  old.close();
  const data = readFileSync(join(work, 'hobnail.sqlite'));
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
