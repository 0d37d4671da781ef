import SQLite from 'better-sqlite3';
import type { ExportedRow } from './tables';
import { exportedTables, fillTable, tableJson } from './tables';

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
  it('comes back as it was: nothing, empty texts, quotes, line ends, numbers, bytes', () => {
    const rows = [
      ['a', null, null],
      ['', 0.1 + 0.2, Buffer.from([0, 255, 10])],
      ['“q" \n\r\t\\ 𝄞 \u2028', -1e-9, Buffer.from([])],
    ] as const;
    for (const row of rows) db.prepare('insert into tree values (?, ?, ?)').run(...row);
    const json = tableJson(db, 'tree');
    const before = db.prepare('select * from tree').all();
    db.exec('delete from tree');
    fillTable(db, 'tree', JSON.parse(json) as ExportedRow[]);
    expect(db.prepare('select * from tree').all()).toEqual(before);
    expect(tableJson(db, 'tree')).toBe(json);
  });
});

describe('filling a table', () => {
  it('passes over columns that it does not have, and names of every object', () => {
    const rows = JSON.parse('[{"note":"x","color":"red","constructor":"y","__proto__":"z"}]') as ExportedRow[];
    fillTable(db, 'leaf', rows);
    expect(db.prepare('select note from leaf').pluck().all()).toEqual(['x']);
  });
  it('refuses what its key forbids', () => {
    expect(() => fillTable(db, 'tree', [{ name: 'a' }, { name: 'a' }])).toThrow('UNIQUE');
  });
  it('runs no statement that a row holds', () => {
    fillTable(db, 'leaf', [{ note: "'); drop table tree; --" }]);
    expect(exportedTables(db)).toContain('tree');
  });
});
