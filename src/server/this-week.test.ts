import { sql } from 'kysely';
import { TODAY, beginWeek, done, freshHouse, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { blankEntry } from '../core/week/agenda-entry';
import { LEFT_UNDONE } from '../../demo/agenda';
import { threeBox } from '../core/book/three-box';
import { addBook } from '../db/books';
import type { Database } from '../db/database';
import { recordsBetween } from '../db/records';
import { markKey } from '../core/week/undone';
import {
  bringOver,
  endRoutine,
  keepRoutine,
  makeNoteAnItem,
  markItem,
  moveItems,
  undoAgenda,
  writeDown,
} from './agenda-actions';
import { loadThisWeek } from './this-week';
import { cameUp, dressDay, findPlace, saveRecordHabits } from './week-actions';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const record = (over: object = {}) => ({
  day: TODAY,
  what: 'dinner' as const,
  name: '',
  amount: 0,
  text: 'cod',
  ...over,
});
const down = () => recordsBetween(db, '0000-01-01', '9999-12-31');

describe('what comes up', () => {
  it('is added with its place, or not at all: a letting in that fails leaves no item behind', async () => {
    const id = await layWeek(db);
    // a spread that cannot be laid on any more: its pieces are refused
    await sql`create trigger no_more before insert on placement begin select raise(abort, 'no more'); end`.execute(db);
    await sql`create trigger no_words before insert on writing begin select raise(abort, 'no more'); end`.execute(db);
    const entry = { ...blankEntry('2027-02-09'), title: 'collect the greyhounds' };
    const before = (await loadThisWeek(TODAY)).history.at.undo;
    expect(refusal(await cameUp({ spreadId: id, entry }))).toContain('nothing was changed');
    expect((await loadThisWeek(TODAY)).history.at.undo).toBe(before);
    await sql`drop trigger no_more`.execute(db);
    await sql`drop trigger no_words`.execute(db);
    expect(done(await cameUp({ spreadId: id, entry })).found).toMatchObject({ is: expect.any(String) as string });
    const titles = (await spreadNow(id)).context.week.demands.filter((d) => d.title === entry.title);
    expect(titles).toHaveLength(1);
  });
});

describe('what is written down', () => {
  it('is kept, written over, taken away, and undone step by step', async () => {
    done(await writeDown({ records: [record()] }));
    done(await writeDown({ records: [record({ text: 'mussels' })] }));
    expect(await down()).toEqual([record({ text: 'mussels' })]);
    done(await undoAgenda({ way: 'undo' }));
    expect(await down()).toEqual([record()]);
    done(await undoAgenda({ way: 'undo' }));
    expect(await down()).toEqual([]);
    done(await undoAgenda({ way: 'redo' }));
    expect(await down()).toEqual([record()]);
    done(await writeDown({ records: [record({ text: '' })] }));
    expect(await down()).toEqual([]);
  });
  it.each([
    [{ day: '2027-02-30' }, 'a day such as'],
    [{ what: 'constructor' }, 'dinner'],
    [{ amount: -1 }, 'less than 0'],
    [{ amount: Infinity }, 'number'],
    [{ text: 'x'.repeat(2001) }, '2000'],
  ])('is refused where it is %j', async (over, why) => {
    expect(refusal(await writeDown({ records: [record(over)] }))).toContain(why);
    expect(await down()).toEqual([]);
  });
  it('has names of its owner’s own', async () => {
    const habits = { habits: ['water'], hours: ['ferry'], spending: ['food'], currency: '€' };
    done(await saveRecordHabits(habits));
    expect((await loadThisWeek(undefined)).habits).toEqual(habits);
    expect(refusal(await saveRecordHabits({ ...habits, habits: ['a', 'a'] }))).toContain('unique');
  });
});

describe('this week', () => {
  it('is the one that it is, or the one asked for; what is no week is none', async () => {
    expect((await loadThisWeek(undefined)).week.week).toBe('2027-W05');
    expect((await loadThisWeek('2027-W06')).week.week).toBe('2027-W06');
    expect((await loadThisWeek('soon')).week.week).toBe('2027-W05');
  });
  it('on a Sunday is the one whose page has that Sunday, by the book', async () => {
    process.env.HOBNAIL_TODAY = '2027-02-07';
    await layWeek(db);
    expect((await loadThisWeek(undefined)).week.week).toBe('2027-W05');
    await addBook(db, 'sundays', { ...threeBox, name: 'Sundays first', weekStart: 'sunday' });
    await db.updateTable('spread').set({ book_id: 'sundays' }).execute();
    const { week, today } = await loadThisWeek(undefined);
    expect([week.week, week.days.indexOf(today)]).toEqual(['2027-W06', 0]);
  });
  it('knows what has a place on its spread, and what became of each item', async () => {
    const id = await layWeek(db);
    const week = await loadThisWeek('2027-W06');
    expect(week.spread).toMatchObject({ id, kit: 'rockpool', finished: false });
    expect(week.spread!.placed.length).toBeGreaterThan(30);
    const [first] = week.week.demands;
    done(await markItem({ uid: first!.uid, on: first!.on, mark: 'let go' }));
    expect((await loadThisWeek('2027-W06')).marks).toContainEqual([markKey(first!.uid, first!.on), 'let go']);
  });
  it('carries what was not done over once, all together, and takes it back together', async () => {
    const week = await loadThisWeek(undefined);
    // nothing is ticked in this house: what comes round again by itself is not asked about
    const wanted = week.undone.filter((d) => LEFT_UNDONE.includes(d.title));
    expect(wanted.length).toBeGreaterThan(1);
    done(await bringOver({ items: wanted.map((d) => ({ uid: d.uid, on: d.on })), to: TODAY }));
    const after = await loadThisWeek(undefined);
    expect(after.undone.map((d) => d.title)).not.toEqual(expect.arrayContaining(wanted.map((d) => d.title)));
    const brought = after.week.demands.filter((d) => d.from !== null);
    expect(brought.map((d) => d.title).sort()).toEqual(wanted.map((d) => d.title).sort());
    done(await undoAgenda({ way: 'undo' }));
    const back = (await loadThisWeek(undefined)).undone.map((d) => d.title);
    expect(back).toEqual(expect.arrayContaining(wanted.map((d) => d.title)));
  });
  it('asks about routines that were skipped, till their owner says what becomes of them', async () => {
    // something must be known of earlier weeks, so that they are looked back over
    done(await writeDown({ records: [record({ day: '2027-01-05' })] }));
    const { skipped } = await loadThisWeek(undefined);
    const routine = skipped.find((s) => s.title === 'water the beans');
    expect(routine!.times).toBeGreaterThanOrEqual(3);
    done(await keepRoutine({ uid: routine!.uid, on: routine!.on }));
    expect((await loadThisWeek(undefined)).skipped.map((s) => s.uid)).not.toContain(routine!.uid);
    done(await undoAgenda({ way: 'undo' }));
    done(await endRoutine({ uid: routine!.uid, on: TODAY }));
    const now = await loadThisWeek(undefined);
    const left = now.week.demands.filter((d) => d.uid === routine!.uid);
    expect(left.every((d) => d.on < TODAY)).toBe(true);
    expect((await loadThisWeek('2027-W06')).week.demands.filter((d) => d.uid === routine!.uid)).toEqual([]);
    expect(refusal(await endRoutine({ uid: 'none', on: TODAY }))).toContain('an item of your calendars');
  });
  it('makes a note of last week’s an item, and the note goes', async () => {
    const note = record({ day: '2027-02-01', what: 'note', name: '1', text: 'ask Odile for the keys' });
    done(await writeDown({ records: [note] }));
    done(await makeNoteAnItem({ note, to: '2027-02-04' }));
    const week = await loadThisWeek(undefined);
    expect(week.records.filter((r) => r.what === 'note')).toEqual([]);
    expect(week.week.demands.find((d) => d.title === 'ask Odile for the keys')).toMatchObject({ day: 3 });
    done(await undoAgenda({ way: 'undo' }));
    expect((await loadThisWeek(undefined)).records.filter((r) => r.what === 'note')).toEqual([note]);
  });
});

describe('what came up', () => {
  const entry = { ...blankEntry('2027-02-10'), title: 'plumber', start: 840 };
  it('finds its place round what is stuck, and says what to do', async () => {
    const id = await layWeek(db);
    const before = await placementsOf(db, id);
    const { found, uid } = done(await cameUp({ spreadId: id, entry }));
    expect(found).toMatchObject({ is: expect.stringMatching(/placed|written/) });
    if (found?.is !== 'placed' && found?.is !== 'written') throw new Error('it has no place');
    expect(found.says.join(' ')).toContain('plumber');
    expect(found.says.join(' ')).toMatch(/in |mm/);
    const after = (await spreadNow(id)).placements;
    expect(after.filter((p) => p.items.includes(uid))).not.toEqual([]);
    expect(after.length).toBeGreaterThan(before.length);
    expect(done(await findPlace({ spreadId: id, uid, on: '2027-02-10' }))).toEqual({ is: 'there already' });
  });
  it('on a day that is full is sent where there is room', async () => {
    const id = await layWeek(db);
    let last = done(await cameUp({ spreadId: id, entry }));
    for (let n = 0; n < 24 && last.found?.is !== 'no room'; n++)
      last = done(await cameUp({ spreadId: id, entry: { ...entry, title: `visitor ${n}`, start: 500 + n } }));
    expect(last.found).toMatchObject({ is: 'no room' });
    const others = last.found?.is === 'no room' ? last.found.others : [];
    expect(others).not.toContain('2027-02-10');
    const [to] = others as [string];
    done(await moveItems({ items: [{ uid: last.uid, on: '2027-02-10' }], to }));
    expect(done(await findPlace({ spreadId: id, uid: last.uid, on: to })).is).toMatch(/placed|written/);
  });
  it('of another week goes into the agenda only; on no spread it is refused, and nothing is added', async () => {
    const id = await layWeek(db);
    expect(done(await cameUp({ spreadId: id, entry: { ...entry, day: '2027-03-10' } })).found).toBeNull();
    const added = (await loadThisWeek('2027-W10')).week.demands.filter((d) => d.title === 'plumber');
    expect(added).toHaveLength(1);
    expect(refusal(await cameUp({ spreadId: 99, entry: { ...entry, title: 'ghost' } }))).toContain('a spread');
    expect((await loadThisWeek('2027-W06')).week.demands.filter((d) => d.title === 'ghost')).toEqual([]);
    expect(refusal(await findPlace({ spreadId: id, uid: 'none', on: TODAY }))).toContain('an item of this week');
  });
});

it('one day is dressed and all others stay as they are', async () => {
  const id = await beginWeek();
  const { pieces } = done(await dressDay({ spreadId: id, day: 1 }));
  const { placements } = await spreadNow(id);
  expect(pieces).toBeGreaterThan(2);
  expect(placements.map((p) => p.day)).toEqual(placements.map(() => 1));
  done(await dressDay({ spreadId: id, day: 2 }));
  const both = (await spreadNow(id)).placements;
  expect(both.filter((p) => p.day === 1)).toEqual(placements);
  expect(refusal(await dressDay({ spreadId: id, day: 7 }))).toContain('greater than 6');
});
