import { randomFrom } from '../core/measure/random';
import { demoKit } from '../../tests/fixtures';
import type { Database } from './database';
import { openDatabase } from './database';
import { addKit } from './kits';
import { addSpread } from './spreads';
import { BrokenColumn, asObject, asRect, asStrings, asValue } from './json';
import type { Scope } from './log';
import { nextStep, noteStep, prune, record, stepsOf } from './log';
import { spliceOf, spliced } from './text-splice';

let db: Database;
beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(() => db.destroy());

const agenda: Scope = { room: 'agenda' };
const kits: Scope = { room: 'kits' };
const spreadOf = (week: string) =>
  addSpread(db, { week, book_id: 'three-box', kit_id: 'rockpool', manner: 'scattered', seed: 1, options: '{}' });
const write = (scope: Scope, n: number, letters = 0) =>
  record(db, scope, { do: 'edit', n }, { n, text: 'x'.repeat(letters) });
const kept = async (room: Scope['room']) =>
  (await db.selectFrom('log').select('deed').where('room', '=', room).orderBy('seq').execute()).map(
    (r) => (JSON.parse(r.deed) as { n: number }).n,
  );

describe('the log', () => {
  it('is walked back and forth, one edit at a time', async () => {
    for (const n of [1, 2, 3]) await write(agenda, n);
    expect(await stepsOf(db, agenda)).toMatchObject({
      undo: { do: 'edit', n: 3 },
      redo: null,
      at: { undo: 3, redo: null },
    });
    for (const n of [3, 2]) {
      const step = await nextStep(db, agenda, 'undo');
      expect(step?.effects).toEqual({ n, text: '' });
      await noteStep(db, step!, 'undo');
    }
    expect(await stepsOf(db, agenda)).toMatchObject({ undo: { do: 'edit', n: 1 }, redo: { do: 'edit', n: 2 } });
    await noteStep(db, (await nextStep(db, agenda, 'redo'))!, 'redo');
    expect(await stepsOf(db, agenda)).toMatchObject({ undo: { do: 'edit', n: 2 }, redo: { do: 'edit', n: 3 } });
  });

  it('forgets what was undone when something else is done instead', async () => {
    for (const n of [1, 2, 3]) await write(agenda, n);
    for (let i = 0; i < 2; i++) await noteStep(db, (await nextStep(db, agenda, 'undo'))!, 'undo');
    await write(agenda, 4);
    expect(await kept('agenda')).toEqual([1, 4]);
    expect(await nextStep(db, agenda, 'redo')).toBeNull();
  });

  it('has nothing to undo at first, and nothing of another room', async () => {
    expect(await stepsOf(db, agenda)).toMatchObject({ undo: null, redo: null });
    await write(kits, 1);
    expect(await stepsOf(db, agenda)).toMatchObject({ undo: null, redo: null });
    expect(await nextStep(db, agenda, 'undo')).toBeNull();
    await noteStep(db, (await nextStep(db, kits, 'undo'))!, 'undo');
    await write(agenda, 2);
    expect((await stepsOf(db, kits)).redo).toEqual({ do: 'edit', n: 1 });
  });

  it('keeps two spreads apart', async () => {
    await addKit(db, demoKit('rockpool'), 'kit');
    const [one, other] = [await spreadOf('2027-W06'), await spreadOf('2027-W07')];
    await write({ room: 'spread', spread: one }, 1);
    await write({ room: 'spread', spread: other }, 2);
    expect((await stepsOf(db, { room: 'spread', spread: one })).undo).toEqual({ do: 'edit', n: 1 });
  });

  it.each([
    ['agenda', 50],
    ['kits', 200],
  ] as const)('of %s keeps the latest %d edits', async (room, most) => {
    for (let n = 1; n <= most + 5; n++) await write({ room }, n);
    expect(await kept(room)).toEqual(Array.from({ length: most }, (_, i) => i + 6));
  });

  it('lets long edits go sooner, but never the last ten', async () => {
    for (let n = 1; n <= 14; n++) await write(agenda, n, 2 ** 17);
    expect(await kept('agenda')).toEqual([5, 6, 7, 8, 9, 10, 11, 12, 13, 14]);
    for (let n = 15; n <= 60; n++) await write(agenda, n);
    const numbers = await kept('agenda');
    expect(numbers.at(-1)).toBe(60);
    expect(numbers.length).toBeGreaterThan(40);
  });

  it('is pruned of one room only', async () => {
    for (let n = 1; n <= 3; n++) await write(kits, n);
    for (let n = 1; n <= 3; n++) await write(agenda, n);
    await prune(db, agenda, 1);
    expect([await kept('agenda'), await kept('kits')]).toEqual([[3], [1, 2, 3]]);
  });
});

describe('a splice', () => {
  const random = randomFrom(11);
  const letters = (n: number): string => Array.from({ length: n }, () => 'ab\n'[Math.floor(random() * 3)]).join('');

  it('makes either text of the other, whatever was changed', () => {
    for (let i = 0; i < 400; i++) {
      const start = letters(Math.floor(random() * 12));
      const end = letters(Math.floor(random() * 12));
      const [before, after] = [1, 2].map(() => start + letters(Math.floor(random() * 6)) + end) as [string, string];
      const splice = spliceOf(before, after);
      expect(spliced(before, splice, 'redo')).toBe(after);
      expect(spliced(after, splice, 'undo')).toBe(before);
    }
  });

  it('keeps no more than what differs', () => {
    const long = 'x'.repeat(5000);
    expect(spliceOf(`${long}old${long}`, `${long}brand new${long}`)).toMatchObject({
      at: 5000,
      before: 'old',
      after: 'brand new',
    });
  });

  it('is refused for a text that was changed otherwise meanwhile, even elsewhere', () => {
    const splice = spliceOf('one two three', 'one 2 three');
    expect(spliced('one 2 three!', splice, 'undo')).toBeUndefined();
    expect(spliced('ONE 2 three', splice, 'undo')).toBeUndefined();
    expect(spliced(null, splice, 'undo')).toBeUndefined();
  });

  it('makes a text that was not there, and takes it away again', () => {
    const made = spliceOf(null, 'new');
    expect([spliced('new', made, 'undo'), spliced(null, made, 'redo')]).toEqual([null, 'new']);
    expect(spliced('newer', made, 'undo')).toBeUndefined();
  });

  it('of a text that stayed as it was changes nothing', () => {
    const same = spliceOf('same', 'same');
    expect([spliced('same', same, 'undo'), spliced('same', same, 'redo')]).toEqual(['same', 'same']);
  });
});

describe('a JSON column', () => {
  const isText = (value: unknown): value is string => typeof value === 'string';

  it('is read as what it should hold', () => {
    expect(asObject('{"a":1}')).toEqual({ a: 1 });
    expect(asStrings('["a","b"]')).toEqual(['a', 'b']);
    expect(asRect('{"x":1,"y":2,"w":3,"h":4}')).toEqual({ x: 1, y: 2, w: 3, h: 4 });
    expect(asRect(null)).toBeNull();
    expect(asValue('"a"', isText, 'a text')).toBe('a');
  });

  it.each([
    ['broken', () => asObject('{"a":'), 'an object'],
    ['a number', () => asObject('3'), 'an object'],
    ['nothing', () => asObject('null'), 'an object'],
    ['numbers', () => asStrings('[1]'), 'a list of strings'],
    ['an object', () => asStrings('{}'), 'a list of strings'],
    ['half a rectangle', () => asRect('{"x":1,"y":2,"w":3}'), 'a rectangle'],
    ['words for numbers', () => asRect('{"x":"1","y":2,"w":3,"h":4}'), 'a rectangle'],
    ['a number for a text', () => asValue('3', isText, 'a text'), 'a text'],
  ])('that holds %s is said to', (_, read, expected) => {
    expect(read).toThrow(BrokenColumn);
    expect(read).toThrow(`expected ${expected} in the database, found`);
  });

  it('is quoted no longer than a line', () => {
    expect(() => asStrings(`[${'1,'.repeat(500)}1]`)).toThrow(/found .{79}…$/);
  });
});
