import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { demandsOfWeek } from '../../src/core/week/demands';
import { readCalendar } from '../../src/core/format/calendar';
import { calendarText, listCalendars, putCalendar } from '../../src/db/calendars';
import type { Database } from '../../src/db/database';
import { openDatabase } from '../../src/db/database';
import { askFeed, feedAddress } from '../../src/server/feeds';
import { householdService } from './service';

let server: Server;
let db: Database;
let origin: string;
const today = '2027-02-03';

beforeEach(async () => {
  server = householdService(today);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  db = await openDatabase(':memory:');
  await putCalendar(db, 'shared', '', `${origin}/household.ics`);
});
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await db.destroy();
});

const head = async () => (await listCalendars(db))[0]!;
const ask = async () => askFeed(db, await head());
const post = (path: string) => fetch(`${origin}${path}`, { method: 'POST', redirect: 'manual' });
const titles = async () =>
  demandsOfWeek([readCalendar((await calendarText(db, 'shared')) as string, 's')], '2027-W06').demands.map(
    (d) => d.title,
  );

it('is read once, then asked by its ETag, and what changed since is told', async () => {
  expect((await ask()).changes?.added).toEqual(['milk money', 'house meeting', 'Odile away', 'plumber']);
  const { revision, etag } = await head();
  expect(etag).toBe('"0"');
  expect(await ask()).toEqual({ name: 'shared', changes: null, trouble: null });
  expect((await head()).revision).toBe(revision);
  await post('/change');
  expect(await ask()).toEqual({
    name: 'shared',
    changes: { added: ['chimney sweep'], changed: ['plumber'], removed: [] },
    trouble: null,
  });
  expect(await titles()).toContain('chimney sweep');
  await post('/change');
  expect((await ask()).changes).toEqual({ added: ['guests for supper'], changed: [], removed: ['plumber'] });
});

it.each([
  ['fail', 'it answered 500'],
  ['rubbish', 'expected BEGIN:VCALENDAR'],
  ['cut off', 'the file seems cut off'],
])('keeps the last good copy when the service is made to %s, and says why', async (mood, why) => {
  await ask();
  const before = [await calendarText(db, 'shared'), (await head()).read_at];
  await post(`/mood/${encodeURIComponent(mood)}`);
  expect((await ask()).trouble).toContain(why);
  expect([await calendarText(db, 'shared'), (await head()).read_at]).toEqual(before);
  expect((await head()).trouble).toContain(why);
  await post('/mood/well');
  expect((await ask()).trouble).toBeNull();
  expect((await head()).trouble).toBeNull();
});

it('says that nothing answers', async () => {
  await putCalendar(db, 'gone', '', 'http://127.0.0.1:9/household.ics');
  const [, gone] = await listCalendars(db);
  expect((await askFeed(db, gone!)).trouble).toMatch(/nothing answers|could not be reached/);
});

it.each([
  'https://calendar.example/a.ics',
  'http://10.0.0.7/a.ics',
  'http://127.0.0.1.example/a.ics',
  'file:///etc/passwd',
  'household',
  'http://2130706433.example/',
])('asks no other machine: %s', (address) => expect(() => feedAddress(address)).toThrow(/feed, address: found/));

it('takes an address on this machine, in any way it is written', () =>
  expect(
    ['webcal://localhost:4390/h.ics', ' http://127.0.0.1:4390/h.ics ', 'http://[::1]:4390/h.ics'].map(feedAddress),
  ).toEqual(['http://localhost:4390/h.ics', 'http://127.0.0.1:4390/h.ics', 'http://[::1]:4390/h.ics']));
