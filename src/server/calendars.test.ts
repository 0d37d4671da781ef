import { done, freshHouse } from '../../tests/house';
import { blankEntry } from '../core/week/agenda-entry';
import { deleteCalendar, putCalendar } from '../db/calendars';
import type { Database } from '../db/database';
import { allKits } from '../db/kits';
import { saveEntry } from './agenda-actions';
import { calendarsOf, findEntry } from './calendars';
import { keepPastWeeks } from './past-weeks';
import { inStroke } from './store';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const calendar = (uid: string): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', 'BEGIN:VEVENT', `UID:${uid}`, 'DTSTAMP:20270101T000000Z', 'DTSTART;VALUE=DATE:20270126', `SUMMARY:${uid}`, 'END:VEVENT', 'END:VCALENDAR', ''].join('\r\n'); // prettier-ignore
const has = async (uid: string): Promise<boolean> => findEntry(await calendarsOf(db), uid) !== null;

it('a calendar that is taken out and one of its name that comes in are two', async () => {
  await putCalendar(db, 'choir', calendar('old'));
  expect(await has('old')).toBe(true);
  await deleteCalendar(db, 'choir');
  await putCalendar(db, 'choir', calendar('new'));
  expect([await has('old'), await has('new')]).toEqual([false, true]);
});

it('so are they for weeks that are over', async () => {
  await putCalendar(db, 'choir', calendar('old'));
  done(await saveEntry({ entry: { ...blankEntry('2027-01-20'), title: 'x', task: true } }));
  await db.insertInto('item_mark').values({ uid: 'x', day: '2027-01-26', mark: 'done' }).execute();
  await keepPastWeeks(db, '2027-02-03');
  const past = async () =>
    (await db.selectFrom('past_item').select('uid').where('day', '=', '2027-01-26').execute()).map((r) => r.uid);
  expect(await past()).toContain('old');
  await deleteCalendar(db, 'choir');
  await putCalendar(db, 'choir', calendar('new'));
  await keepPastWeeks(db, '2027-02-03');
  expect(await past()).toContain('new');
});

it('what a transaction read that was taken back is not held of what is written afterwards', async () => {
  await putCalendar(db, 'choir', calendar('first'));
  await calendarsOf(db);
  await inStroke(async (trx) => {
    await putCalendar(trx, 'choir', calendar('never'));
    expect(findEntry(await calendarsOf(trx), 'never')).not.toBeNull();
    throw new Error('no');
  }).catch(() => {});
  expect(await has('never')).toBe(false);
  await putCalendar(db, 'choir', calendar('second'));
  expect([await has('never'), await has('second')]).toEqual([false, true]);
});

it('a reading of kits that failed is not kept', async () => {
  await db.updateTable('kit').set({ facts: 'not JSON' }).where('id', '=', 'rockpool').execute();
  await expect(allKits(db)).rejects.toThrow('expected an object');
  const real = await db.selectFrom('kit_clock').select('time').executeTakeFirstOrThrow();
  await db.updateTable('kit').set({ facts: '{}' }).where('id', '=', 'rockpool').execute();
  await db.updateTable('kit_clock').set(real).execute();
  expect(await allKits(db)).toHaveLength(3);
});
