import SQLite from 'better-sqlite3';
import type { ExportedRow } from './tables';
import { exportedTables, fillTable, storedRow, tableJson } from './tables';

let db: SQLite.Database;
beforeEach(() => {
  db = new SQLite(':memory:');
  db.exec(`create table leaf (branch integer references branch (id), note text);
    create table branch (id integer primary key, tree text references tree (name));
    create table tree (name text primary key, age real, bark blob) without rowid;
    create table pair (b text, a text, n integer, primary key (a, b));
    create table copy_state (x); create table log (x); create table kysely_migration (x)`);
});
afterEach(() => db.close());

it('tables stand after those that they point to, and what is worked out is left out', () => {
  expect(exportedTables(db)).toEqual(['pair', 'tree', 'branch', 'leaf']);
});

it('tables that point at each other in a circle are an error, not an endless search', () => {
  db.exec('create table egg (hen references hen (x), x); create table hen (egg references egg (x), x)');
  expect(() => exportedTables(db)).toThrow('cannot be put in order');
});

it('a table that points at itself is none of those', () => {
  db.exec('create table root (id integer primary key, of references root (id))');
  expect(exportedTables(db)).toContain('root');
});

describe('a table as JSON', () => {
  it('is a list, a row a line, in the order of its key', () => {
    db.prepare('insert into pair values (?, ?, ?), (?, ?, ?)').run('x', '2', 1, 'y', '1', 2);
    expect(tableJson(db, 'pair')).toBe('[\n{"b":"y","a":"1","n":2},\n{"b":"x","a":"2","n":1}\n]\n');
  });
  it('without rows is an empty list', () => expect(JSON.parse(tableJson(db, 'leaf'))).toEqual([]));
  it('without a key is in the order in which its rows were written', () => {
    db.exec("insert into leaf (note) values ('b'), ('a')");
    expect((JSON.parse(tableJson(db, 'leaf')) as { note: string }[]).map((r) => r.note)).toEqual(['b', 'a']);
  });
  it('comes back as it was: nothing, empty texts, quotes, line ends, numbers, bytes', async () => {
    const rows = [
      ['a', null, null],
      ['', 0.1 + 0.2, Buffer.from([0, 255, 10])],
      ['“q" \n\r\t\\ 𝄞 \u2028', -1e-9, Buffer.from([])],
    ] as const;
    for (const row of rows) db.prepare('insert into tree values (?, ?, ?)').run(...row);
    const json = tableJson(db, 'tree');
    const before = db.prepare('select * from tree').all();
    db.exec('delete from tree');
    expect(await fill('tree', json)).toBe(0);
    expect(db.prepare('select * from tree').all()).toEqual(before);
    expect(tableJson(db, 'tree')).toBe(json);
  });
});

const fill = (table: string, json: string): Promise<number> =>
  fillTable(db, table, (JSON.parse(json) as ExportedRow[]).map(storedRow));

describe('filling a table', () => {
  it('passes over columns that it does not have, and names of every object', async () => {
    expect(await fill('leaf', '[{"note":"x","color":"red","constructor":"y","__proto__":"z"}]')).toBe(0);
    expect(db.prepare('select note from leaf').pluck().all()).toEqual(['x']);
  });
  it('leaves out what its key forbids', async () => {
    expect(await fill('tree', '[{"name":"a"},{"name":"a"},{"name":"b"}]')).toBe(1);
    expect(db.prepare('select count(*) from tree').pluck().get()).toBe(2);
  });
  it('leaves out values of another sort than their column’s', async () => {
    expect(
      await fill('tree', '[{"name":"a","age":"old"},{"name":7},{"name":"b","bark":"soft"},{"name":"c","age":1}]'),
    ).toBe(3);
    expect(await fill('pair', '[{"a":"x","b":"y","n":0.5},{"a":"x","b":"y","n":1}]')).toBe(1);
  });
  it('leaves out what points nowhere, where that is held', async () => {
    db.pragma('foreign_keys = ON');
    expect(await fill('branch', '[{"id":1,"tree":"gone"}]')).toBe(1);
  });
  it('runs no statement that a row holds', async () => {
    await fill('leaf', JSON.stringify([{ note: "'); drop table tree; --" }]));
    expect(exportedTables(db)).toContain('tree');
  });
});
