import { copyFileSync, existsSync, mkdtempSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { sql } from 'kysely';
import { copyNamed } from './copy-aside';
import { openDatabase, transaction } from './database';
import { MIGRATIONS } from './migrate';
import { readSetting, writeSetting } from './settings';
import type { StoreTroubleKind } from './trouble';
import { STORE_TROUBLES, StoreTrouble, asTrouble, troubleOfDigest } from './trouble';

const folder = mkdtempSync(join(tmpdir(), 'hobnail-storage-'));
let file: string;
let n = 0;
beforeEach(() => {
  file = join(folder, `${++n}`, 'hobnail.sqlite');
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const isText = (value: unknown): value is string => typeof value === 'string';
const latest = MIGRATIONS.at(-1)![0];

/** What opening comes to: the trouble, or none. */
const opening = (of: string): Promise<StoreTroubleKind | 'none'> =>
  openDatabase(of).then(
    async (db) => (await db.destroy(), 'none' as const),
    (error: StoreTrouble) => error.trouble,
  );

/** What lies in its folder; SQLite leaves its journal there, over and done. */
const filesBeside = (): string[] => readdirSync(join(file, '..')).filter((f) => !f.endsWith('-journal'));

/** A database with one setting in it. */
async function filled(): Promise<void> {
  const db = await openDatabase(file);
  await writeSetting(db, 'zone', 'America/Halifax');
  await db.destroy();
}

describe('opening', () => {
  it('says of each trouble what it is, and opens once it is gone', async () => {
    await filled();
    const kept = `${file}.kept`;
    copyFileSync(file, kept);
    writeFileSync(file, 'once upon a time there was a spreadsheet');
    expect(await opening(file)).toBe('not a database');
    const damaged = new SQLite(kept).serialize();
    damaged.fill(7, 4096, 4096 * 3);
    writeFileSync(file, damaged);
    expect(await opening(file)).toBe('corrupt');
    copyFileSync(kept, file);
    expect(await opening(file)).toBe('none');
    writeFileSync(join(folder, 'a-file'), '');
    expect(await opening(join(folder, 'a-file', 'hobnail.sqlite'))).toBe('no folder');
    expect(await opening(folder)).toBe('no access');
  });

  it('waits for another program that writes, and then says so', async () => {
    await filled();
    const other = new SQLite(file);
    other.exec('begin exclusive');
    const since = performance.now();
    expect(await opening(file)).toBe('locked');
    expect(performance.now() - since).toBeGreaterThan(4000);
    other.exec('rollback');
    other.close();
    expect(await opening(file)).toBe('none');
  }, 20_000);

  it('of one that a newer version wrote is refused, and leaves it byte for byte', async () => {
    await filled();
    const db = new SQLite(file);
    db.exec("insert into kysely_migration values ('9999-later', 'then')");
    db.close();
    const before = new SQLite(file, { readonly: true }).serialize();
    expect(await opening(file)).toBe('newer');
    expect(new SQLite(file, { readonly: true }).serialize().equals(before)).toBe(true);
    expect(filesBeside()).toEqual(['hobnail.sqlite']);
  });
});

describe('an edit', () => {
  it('is in a copy of the file alone as soon as it is saved', async () => {
    const db = await openDatabase(file);
    for (const zone of ['America/Halifax', 'Europe/Oslo', 'Asia/Tokyo']) {
      await transaction(db, (trx) => writeSetting(trx, 'zone', zone));
      const copy = `${file}.copy.sqlite`;
      copyFileSync(file, copy);
      const opened = await openDatabase(copy);
      expect(await readSetting(opened, 'zone', isText)).toBe(zone);
      await opened.destroy();
    }
    await db.destroy();
  });

  it('on a full disk is one trouble, and nothing of it is kept', async () => {
    const db = await openDatabase(file);
    await writeSetting(db, 'zone', 'Europe/Oslo');
    const { rows } = await sql<{ page_count: number }>`pragma page_count`.execute(db);
    await sql`pragma max_page_count = ${sql.raw(String(rows[0]!.page_count))}`.execute(db);
    const large = transaction(db, async (trx) => {
      await writeSetting(trx, 'zone', 'Asia/Tokyo');
      await writeSetting(trx, 'taught words', 'x'.repeat(400_000));
    });
    await expect(large).rejects.toMatchObject({ trouble: 'full' });
    expect(await readSetting(db, 'zone', isText)).toBe('Europe/Oslo');
    await db.destroy();
  });

  it('waits for another program that writes for a moment', async () => {
    const db = await openDatabase(file);
    const other = new SQLite(file);
    const saved = transaction(db, async (trx) => {
      await readSetting(trx, 'zone', isText); // reading first and writing later must not be refused at once
      expect(() => other.exec('pragma busy_timeout = 0; begin immediate')).toThrow(/locked/);
      await writeSetting(trx, 'zone', 'Europe/Oslo');
    });
    await expect(saved).resolves.toBeUndefined();
    other.close();
    await db.destroy();
  });

  it('is not written into a file that was moved away', async () => {
    const db = await openDatabase(file);
    renameSync(file, `${file}.elsewhere`);
    await expect(writeSetting(db, 'zone', 'Europe/Oslo')).rejects.toMatchObject({ trouble: 'moved' });
    await expect(transaction(db, (trx) => writeSetting(trx, 'zone', 'Europe/Oslo'))).rejects.toMatchObject({
      trouble: 'moved',
    });
    renameSync(`${file}.elsewhere`, file);
    await writeSetting(db, 'zone', 'Europe/Oslo');
    await db.destroy();
  });
});

describe('before a database is brought up to date', () => {
  it.each(MIGRATIONS.slice(0, -1).map(([name]) => name))('from %s a copy is laid beside it', async (schema) => {
    const old = await openDatabase(file, schema);
    await sql`insert into calendar (name, ics) values ('household', 'as it was')`.execute(old);
    await old.destroy();
    expect(filesBeside()).toEqual(['hobnail.sqlite']);
    expect(await opening(file)).toBe('none');
    const copy = new SQLite(copyNamed(file, schema), { readonly: true });
    expect(copy.prepare('select ics from calendar').pluck().get()).toBe('as it was');
    expect(copy.prepare('select max(name) from kysely_migration').pluck().get()).toBe(schema);
    copy.close();
  });

  it('one that was cut short is made again, and none is made of what is new or up to date', async () => {
    await (await openDatabase(file, '0009-writings')).destroy();
    writeFileSync(`${copyNamed(file, '0009-writings')}.part`, 'half a cop');
    expect(await opening(file)).toBe('none');
    expect(existsSync(copyNamed(file, '0009-writings'))).toBe(true);
    expect(filesBeside().filter((f) => f.endsWith('.part'))).toEqual([]);
    expect(await opening(file)).toBe('none');
    expect(existsSync(copyNamed(file, latest))).toBe(false);
  });
});

describe('troubles', () => {
  it('are told apart by the codes of SQLite and of the file system', () => {
    const kind = (code: string) => (asTrouble(Object.assign(new Error('no'), { code })) as StoreTrouble).trouble;
    expect(
      ['SQLITE_CORRUPT_VTAB', 'SQLITE_READONLY_DBMOVED', 'SQLITE_BUSY_SNAPSHOT', 'SQLITE_IOERR_WRITE'].map(kind),
    ).toEqual(['corrupt', 'read-only', 'locked', 'no access']);
    expect(['ENOSPC', 'EROFS', 'EACCES'].map(kind)).toEqual(['full', 'read-only', 'no access']);
  });
  it('are none where something else went wrong', () => {
    const error = Object.assign(new Error('no'), { code: 'SQLITE_CONSTRAINT_UNIQUE' });
    expect(asTrouble(error)).toBe(error);
    expect(asTrouble('odd')).toBe('odd');
    expect(asTrouble(null)).toBeNull();
  });
  it('reach the error page by a digest', () => {
    for (const trouble of STORE_TROUBLES) expect(troubleOfDigest(new StoreTrouble(trouble).digest)).toBe(trouble);
    expect(troubleOfDigest('1234567')).toBeNull();
    expect(troubleOfDigest(undefined)).toBeNull();
  });
});
