import { TODAY, done, freshHouse, refusal } from '../../tests/house';
import { imageOf } from '../core/format/image-of';
import { readCalendar } from '../core/format/calendar';
import { entryOf } from '../core/format/calendar-edit';
import { blankEntry } from '../core/week/agenda-entry';
import { calendarText, listCalendars, putCalendar } from '../db/calendars';
import type { Database } from '../db/database';
import { agendaHistory } from '../db/agenda-edits';
import { marksBetween } from '../db/marks';
import { loadAgenda } from './agenda';
import {
  bringOver,
  dropCalendar,
  dropEntry,
  dropRound,
  gatherItems,
  keepBoth,
  markItem,
  moveItems,
  saveEntry,
  saveRound,
  takeUpSomeday,
  undoAgenda,
} from './agenda-actions';
import { findItems } from './find-items';
import { loadThisWeek } from './this-week';
import { weekDemands } from './week-demands';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const vet = { ...blankEntry('2027-02-10'), title: 'hoof trim', start: 990, minutes: 45 };
const week = async () => (await weekDemands(db, '2027-W06', 'monday')).demands;
const named = async (title: string) => (await week()).filter((d) => d.title === title);
const add = async (over: Partial<typeof vet> = {}) => {
  done(await saveEntry({ entry: { ...vet, ...over } }));
  return (await named(over.title ?? vet.title))[0]!;
};

describe('an item', () => {
  it('is added, changed and taken out, each undone and made again', async () => {
    const item = await add();
    expect(item).toMatchObject({ day: 2, start: 990, kind: 'appointment' });
    const entry = (await readEntry(item.uid))!;
    const history = done(await saveEntry({ entry: { ...entry, title: 'hoof trim, Fig' } }));
    expect(history.undo).toEqual({ do: 'change item', title: 'hoof trim, Fig' });
    expect([(await named('hoof trim')).length, (await named('hoof trim, Fig')).length]).toEqual([0, 1]);
    expect(done(await dropEntry({ uid: item.uid, day: null })).undo).toEqual({
      do: 'take item out',
      title: 'hoof trim, Fig',
    });
    expect(await named('hoof trim, Fig')).toEqual([]);
    for (const way of ['undo', 'undo', 'redo'] as const) done(await undoAgenda({ way }));
    expect(await named('hoof trim, Fig')).toHaveLength(1);
  });

  it('is undone by the step that the button names, and never another window’s', async () => {
    const mine = done(await saveEntry({ entry: { ...vet, title: 'mine' } }));
    done(await saveEntry({ entry: { ...vet, title: 'theirs' } }));
    const late = await undoAgenda({ way: 'undo', step: mine.at.undo });
    expect(late).toMatchObject({ ok: false, stale: true });
    expect([(await named('mine')).length, (await named('theirs')).length]).toEqual([1, 1]);
    const { at } = await agendaHistory(db);
    const redo = done(await undoAgenda({ way: 'undo', step: at.undo })).at.redo;
    expect((await named('theirs')).length).toBe(0);
    expect(await undoAgenda({ way: 'redo', step: at.undo! + 7 })).toMatchObject({ ok: false, stale: true });
    done(await undoAgenda({ way: 'redo', step: redo }));
    expect((await named('theirs')).length).toBe(1);
  });

  it('is not written over what another window wrote since its form was opened, unless that is meant', async () => {
    const { uid } = await add();
    const opened = (await readEntry(uid))!;
    const seen = imageOf(opened);
    done(await saveEntry({ entry: { ...opened, day: '2027-02-11' }, seen }));
    const mine = { ...opened, title: 'hoof trim, both' };
    expect(await saveEntry({ entry: mine, seen })).toEqual({
      ok: false,
      conflict: true,
      messages: ['Another window wrote here since you opened this. It is now “hoof trim”, Feb 11, 4:30p.'],
    });
    expect((await readEntry(uid))!.day).toBe('2027-02-11');
    done(await saveEntry({ entry: mine }));
    expect(await readEntry(uid)).toMatchObject({ title: 'hoof trim, both', day: '2027-02-10' });
    done(await dropEntry({ uid, day: null }));
    expect(refusal(await saveEntry({ entry: mine, seen }))).toContain('an item of your calendars');
  });

  it.each([
    [{ title: '' }, 'title'],
    [{ day: 'soon' }, 'day'],
    [{ start: 1500 }, 'start'],
    [{ repeat: 'FREQ=SECONDLY' }, 'repeat'],
  ])('is refused with %j', async (over, why) => {
    const before = await calendarText(db, 'household');
    expect(refusal(await saveEntry({ entry: { ...vet, ...over } }))).toContain(why);
    expect(await calendarText(db, 'household')).toBe(before);
  });

  it('of a series loses one day, and only that one', async () => {
    const item = await add({ title: 'swim early', repeat: 'FREQ=DAILY;COUNT=3' });
    done(await dropEntry({ uid: item.uid, day: '2027-02-11' }));
    expect((await named('swim early')).map((d) => d.day)).toEqual([2, 4]);
    expect(done(await undoAgenda({ way: 'undo' })).redo).toEqual({
      do: 'take a day out',
      title: 'swim early',
      day: '2027-02-11',
    });
    expect(await named('swim early')).toHaveLength(3);
  });

  it('that is in no calendar is refused', async () => {
    expect(refusal(await dropEntry({ uid: 'none', day: null }))).toContain('an item of your calendars');
    expect(refusal(await bringOver({ items: [{ uid: 'none', on: TODAY }], to: TODAY }))).toContain(
      'an item of your calendars',
    );
  });

  it('of a feed is only read here', async () => {
    const ics =
      'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:f1\r\nDTSTART;VALUE=DATE:20270210\r\nSUMMARY:bin day\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n';
    await putCalendar(db, 'shared', ics, 'http://127.0.0.1:9/a.ics');
    expect(refusal(await moveItems({ items: [{ uid: 'f1', on: '2027-02-10' }], to: '2027-02-11' }))).toContain(
      'a feed',
    );
  });
});

it('items move to another day together, and become one list', async () => {
  const one = await add({ title: 'wax the rail', start: null as never, minutes: null as never });
  const other = await add({ title: 'tar the deck', start: null as never, minutes: null as never });
  const items = [one, other].map(({ uid, on }) => ({ uid, on }));
  expect(done(await moveItems({ items, to: '2027-02-12' })).undo).toEqual({
    do: 'move items',
    count: 2,
    to: '2027-02-12',
  });
  expect((await named('wax the rail')).map((d) => d.day)).toEqual([4]);
  const now = (await week()).filter((d) => [one.uid, other.uid].includes(d.uid)).map(({ uid, on }) => ({ uid, on }));
  done(await gatherItems({ items: now, list: 'boat' }));
  expect((await named('tar the deck')).map((d) => d.list)).toEqual(['boat']);
  done(await undoAgenda({ way: 'undo' }));
  done(await undoAgenda({ way: 'undo' }));
  expect((await named('wax the rail')).map((d) => [d.day, d.list])).toEqual([[2, null]]);
});

it('ticks, lets go and takes the mark away', async () => {
  const item = await add();
  const mark = (to: string | null) => markItem({ uid: item.uid, on: item.on, mark: to });
  const marks = async () => (await marksBetween(db, '2027-02-08', '2027-02-14')).filter((m) => m.uid === item.uid);
  expect(done(await mark('done')).undo).toEqual({ do: 'tick' });
  expect((await marks()).map((m) => m.mark)).toEqual(['done']);
  expect(done(await mark('let go')).undo).toEqual({ do: 'let go' });
  expect(done(await mark(null)).undo).toEqual({ do: 'untick' });
  expect(await marks()).toEqual([]);
  expect(refusal(await mark('burned'))).toContain('mark');
});

it('what was not done is brought along once, and knows where it came from', async () => {
  const item = await add();
  done(await bringOver({ items: [{ uid: item.uid, on: item.on }], to: '2027-02-12' }));
  const brought = (await named('hoof trim')).find((d) => d.day === 4);
  expect(brought?.from).toBe('2027-02-10');
  expect((await marksBetween(db, item.on, item.on)).map((m) => m.mark)).toContain('brought');
});

it('two that look alike are both meant, and asked about no more', async () => {
  const [one, other] = [await add(), await add({ title: 'Hoof trim' })];
  done(await keepBoth({ pairs: [{ one: one.uid, other: other.uid }] }));
  expect((await weekDemands(db, '2027-W06', 'monday')).bothMeant).toHaveLength(1);
});

it('a rota goes round, is changed under its name, and taken out', async () => {
  const turn = (text: string) => ({ turn: text ? { text, start: null, minutes: null } : null });
  const round = {
    name: 'watch',
    first: '2027-02-08',
    every: 'day',
    kind: null,
    slots: [turn('early watch'), turn(''), turn('late watch')],
  };
  done(await saveRound({ round, instead: '' }));
  expect((await named('early watch')).map((d) => d.day)).toEqual([0, 3, 6]);
  done(await saveRound({ round: { ...round, name: 'harbor watch' }, instead: 'watch' }));
  expect(done(await dropRound({ name: 'harbor watch' })).undo).toEqual({ do: 'take round out', name: 'harbor watch' });
  expect(await named('early watch')).toEqual([]);
  const empty = { ...round, slots: [turn(''), turn('')] };
  expect(refusal(await saveRound({ round: empty, instead: '' }))).toContain('at least one turn with a text');
});

it('a calendar is taken away with all that is in it, and comes back by undo', async () => {
  done(await dropCalendar({ name: 'household' }));
  expect(await listCalendars(db)).toEqual([]);
  done(await undoAgenda({ way: 'undo' }));
  expect((await week()).length).toBeGreaterThan(12);
  expect(refusal(await undoAgenda({ way: 'undo' }))).toContain('nothing that fits');
});

it('the agenda page shows the week, what is left over and what looks entered twice', async () => {
  await add();
  await add({ title: 'Hoof trim', day: '2027-02-10' });
  const page = await loadAgenda('2027-W06');
  expect(page.week.days[0]).toBe('2027-02-08');
  expect(page.twice.length).toBeGreaterThan(0);
  expect(page.history.undo).toMatchObject({ do: 'add item' });
  const now = await loadAgenda(undefined);
  expect(now.undone.length).toBeGreaterThan(0);
});

it('words are found in the coming year, the next day of a series first', async () => {
  await add();
  const [first] = done(await findItems({ words: 'HOOF trim' }));
  expect(first).toMatchObject({ title: 'hoof trim', day: '2027-02-10', week: '2027-W06', calendar: 'household' });
  expect(done(await findItems({ words: '  ' }))).toEqual([]);
  expect(done(await findItems({ words: 'zeppelin' }))).toEqual([]);
});

async function readEntry(uid: string) {
  return entryOf(readCalendar((await calendarText(db, 'household'))!, 'household'), uid);
}

it('no text that is typed breaks its calendar: what was written is read again', async () => {
  const odd = ['oat\rmilk', 'a\u0000b', 'e\u0301\u0301', '\ud800 half', 'x\u2028y', 'semi;colon, comma\\back'];
  for (const [i, title] of odd.entries())
    done(await saveEntry({ entry: { ...vet, title, list: `list ${title}`, reminders: [{ days: 1, text: title }] } }).then((o) => (done(o), o)).then(async () => saveEntry({ entry: { ...vet, title: `after ${i}` } }))); // prettier-ignore
  const titles = (await week()).map((d) => d.title);
  for (const [i] of odd.entries()) expect(titles).toContain(`after ${i}`);
  const text = (await calendarText(db, 'household'))!;
  expect(() => readCalendar(text, 'household')).not.toThrow();
  expect(text).not.toMatch(/\r(?!\n)/);
});

describe('a task without a date', () => {
  const todo = (uid: string, title: string, more = '') =>
    `BEGIN:VTODO\r\nUID:${uid}\r\nSUMMARY:${title}\r\n${more}END:VTODO\r\n`;
  const lay = (name: string, address: string | null = null) =>
    putCalendar(
      db,
      name,
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${todo(`${name}-a`, 'oil the winch', 'X-HOBNAIL-LIST:allotment\r\nDESCRIPTION:hinges\r\n')}${todo(`${name}-b`, 'learn to knit', 'STATUS:COMPLETED\r\n')}${todo(`${name}-c`, 'form', 'DUE;VALUE=DATE:20270210\r\n')}END:VCALENDAR\r\n`,
      address,
    );
  const waiting = async () => (await loadAgenda('2027-W06')).someday;

  it('waits on the agenda and on this week, until it gets a day, and keeps what else is known of it', async () => {
    await lay('chores');
    expect(await waiting()).toEqual([{ uid: 'chores-a', title: 'oil the winch', list: 'allotment' }]);
    expect((await loadThisWeek(undefined)).someday).toHaveLength(1);
    done(await takeUpSomeday({ uid: 'chores-a', to: '2027-02-11' }));
    expect(await waiting()).toEqual([]);
    expect(await named('oil the winch')).toMatchObject([{ day: 3, list: 'allotment' }]);
    expect(await calendarText(db, 'chores')).toContain('DESCRIPTION:hinges');
    done(await undoAgenda({ way: 'undo' }));
    expect(await waiting()).toHaveLength(1);
  });

  it('of a feed stays as it is, and one of the owner’s own takes its place', async () => {
    await lay('club', 'https://club.example/feed.ics');
    done(await takeUpSomeday({ uid: 'club-a', to: '2027-02-11' }));
    expect(await waiting()).toEqual([]);
    expect(await named('oil the winch')).toHaveLength(1);
    expect(await calendarText(db, 'club')).not.toContain('20270211');
  });

  it('is done, or let go, as others are', async () => {
    await lay('chores');
    done(await markItem({ uid: 'chores-a', on: TODAY, mark: 'done' }));
    expect(await waiting()).toEqual([]);
  });

  it('that is none, or has a date, is refused', async () => {
    await lay('chores');
    expect(refusal(await takeUpSomeday({ uid: 'chores-c', to: TODAY }))).toContain('a task without a date');
    expect(await waiting()).toHaveLength(1);
  });
});
