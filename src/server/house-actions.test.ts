import { loadPlan } from './plan-week';
import { houseOptions, measuredHand, ownShortForms, taughtWords } from './settings';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { done, freshHouse, layWeek, refusal, spreadNow } from '../../tests/house';
import { threeBox } from '../core/book/three-box';
import { addRegion, setPlace } from '../core/book/change-book';
import { writeBook } from '../core/format/book-json';
import { MOST_MEGABYTES } from '../core/format/calendar';
import { findBook, listBooks } from '../db/books';
import { calendarText, listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { learn, listLikes } from '../db/likes';
import { copyBook, dropBook, keepBook, measureBook, undoBook } from './book-actions';
import { loadBooks } from './books';
import { refreshFeeds } from './refresh-feeds';
import { follow } from './follow';
import { loadSettings } from './load-settings';
import { forgetMannerOf, keepMannerAs, ownManners, setMannerOf } from './manner-actions';
import {
  addShortForm,
  dropShortForm,
  forgetTaste,
  forgetWord,
  heedLike,
  saveHand,
  saveTyping,
  saveZone,
  teachWord,
} from './settings-actions';
import { imageOf } from '../core/format/image-of';
import { loadShelf } from './shelf';
import type { TakenIn } from './take-in';
import { takeIn } from './take-in';
import { undoAgenda } from './agenda-actions';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

describe('a book of one’s own', () => {
  const copy = async () => done(await copyBook({ id: 'three-box', name: 'Harbor log' })).id;
  const region = threeBox.regions[0]!;
  const wider = setPlace({ ...threeBox, name: 'Harbor log' }, { of: 'region', id: region.id }, { w: region.w + 2 });

  it('is a copy of one that ships, changed, undone and made again, after a reload too', async () => {
    const id = await copy();
    const kept = done(await keepBook({ id, book: wider }));
    expect(kept).toMatchObject({ lacking: [], history: { undo: { do: 'change', what: region.kind }, redo: null } });
    expect((await findBook(db, id))?.regions[0]?.w).toBe(region.w + 2);
    expect((await loadBooks(id)).chosen?.history.undo).toEqual({ do: 'change', what: region.kind });
    const undone = done(await undoBook({ id, way: 'undo' }));
    expect(undone.book.regions[0]?.w).toBe(region.w);
    expect((await findBook(db, id))?.regions[0]?.w).toBe(region.w);
    expect(done(await undoBook({ id, way: 'redo' })).book.regions[0]?.w).toBe(region.w + 2);
    expect(refusal(await undoBook({ id, way: 'redo' }))).toContain('an edit of this book made before');
  });

  it('is a draft while it is not whole; weeks go on with the last version that was', async () => {
    const id = await copy();
    const broken = { ...wider, regions: wider.regions.filter((r) => r.kind !== 'day') };
    const kept = done(await keepBook({ id, book: broken }));
    expect(kept.lacking.length).toBeGreaterThan(0);
    expect((await findBook(db, id))?.regions).toHaveLength(threeBox.regions.length);
    expect((await loadBooks(id)).chosen?.book.regions).toHaveLength(broken.regions.length);
    expect(done(await undoBook({ id, way: 'undo' })).lacking).toEqual([]);
  });

  it('says what each edit did', async () => {
    const id = await copy();
    const { book } = addRegion({ ...threeBox, name: 'Harbor log' }, 'free', 0, { x: 10, y: 10, w: 20, h: 5 });
    expect(done(await keepBook({ id, book })).history.undo).toEqual({ do: 'add', what: 'free' });
    const renamed = { ...book, name: 'Log' };
    expect(done(await keepBook({ id, book: renamed })).history.undo).toEqual({ do: 'change measures' });
  });

  it('is taken away when no week is laid out in it; those that ship stay as they are', async () => {
    const id = await copy();
    done(await keepBook({ id, book: wider }));
    done(await dropBook({ id }));
    expect((await listBooks(db)).map((b) => b.id)).not.toContain(id);
    expect(await db.selectFrom('log').select('seq').execute()).toEqual([]);
    expect(refusal(await dropBook({ id: 'three-box' }))).toContain('make a copy');
    expect(refusal(await keepBook({ id: 'hourly', book: wider }))).toContain('make a copy');
  });

  it('is made of a dozen measures that fit, under a name of its own', async () => {
    const measures = {
      name: 'Pocket',
      unit: 'mm',
      weekStart: 'monday',
      dated: false,
      binding: { kind: 'rings', width: 8 },
      pages: 2,
      width: 148,
      height: 210,
      margin: 5,
      column: 32,
      gap: 1,
      headerTop: 10,
      headerHeight: 12,
      dayTop: 24,
      dayHeight: 160,
      boxes: 3,
      stripTop: 190,
      stripHeight: 12,
    };
    const { id } = done(await measureBook({ measures }));
    expect(done(await measureBook({ measures })).id).toBe(`${id}-2`);
    expect(refusal(await measureBook({ measures: { ...measures, column: 90 } }))).toContain(
      'measures that fit the page',
    );
    expect(refusal(await measureBook({ measures: { ...measures, pages: 3 } }))).toContain('pages');
  });
});

describe('a manner', () => {
  const manner = { school: 'airy', options: { gap: 3 }, ways: { boxes: 2 } };

  it('is set for a spread, whose picture is another from then on', async () => {
    const id = await layWeek(db);
    const before = (await spreadNow(id)).history.revision;
    expect(done(await setMannerOf({ spreadId: id, manner })).own).toEqual({ options: { gap: 3 }, ways: { boxes: 2 } });
    const now = await spreadNow(id);
    expect(now.context).toMatchObject({ manner: 'airy', ways: { boxes: 2 }, options: { gap: 3 } });
    expect(now.history.revision).toBeGreaterThan(before);
    expect(refusal(await setMannerOf({ spreadId: 99, manner }))).toContain('a spread that was not given up');
    expect(refusal(await setMannerOf({ spreadId: id, manner: { ...manner, ways: { boxes: 8 } } }))).toContain(
      'ways.boxes',
    );
    expect(refusal(await setMannerOf({ spreadId: id, manner: { ...manner, options: { gaps: 3 } } }))).toContain('gaps');
  });

  it('of one’s own is kept under a name, and forgotten', async () => {
    done(await keepMannerAs({ ...manner, name: 'quiet weeks' }));
    expect(done(await ownManners())).toEqual([{ name: 'quiet weeks', ...manner }]);
    expect((await loadPlan({}))!.manners.find((m) => m.isOwn)).toEqual({
      name: 'quiet weeks',
      says: 'your own, after airy',
      isOwn: true,
      rated: null,
      leans: [],
    });
    done(await forgetMannerOf({ name: 'quiet weeks' }));
    expect(done(await ownManners())).toEqual([]);
    expect(refusal(await keepMannerAs({ ...manner, name: 'crowned' }))).toContain('name');
  });
});

describe('settings', () => {
  it('keep the hand, the zone and the words, each checked', async () => {
    const hand = { lettersPerLine: 16, lineWidth: 38.1, linePitch: 5 };
    done(await saveHand({ hand }));
    done(await saveZone({ zone: 'America/Halifax' }));
    done(await saveTyping({ dateOrder: 'day first', afterNoon: { from: 1, to: 7 } }));
    expect((await loadSettings()).typing).toEqual({ dateOrder: 'day first', afterNoon: { from: 1, to: 7 } });
    expect(refusal(await saveTyping({ dateOrder: 'year first', afterNoon: { from: 0, to: 7 } }))).toContain(
      'dateOrder',
    );
    done(await teachWord({ word: ' Juniper ', means: 'dog' }));
    expect(await measuredHand(db)).toEqual(hand);
    expect(await taughtWords(db)).toEqual([{ word: 'Juniper', means: 'dog' }]);
    expect(await loadSettings()).toMatchObject({ hand, zone: 'America/Halifax' });
    expect(refusal(await saveZone({ zone: 'Sea/Bottom' }))).toContain('a zone such as');
    expect(refusal(await saveHand({ hand: { ...hand, linePitch: 0 } }))).toContain('linePitch');
    expect(refusal(await teachWord({ word: '!', means: 'dog' }))).toContain('word');
  });

  it('are not written over what another window kept meanwhile, unless that is meant', async () => {
    const { hand, zone } = await loadSettings();
    const seen = { hand: imageOf(hand), zone: imageOf(zone) };
    const theirs = { lettersPerLine: 20, lineWidth: 38.1, linePitch: 5 };
    done(await saveHand({ hand: theirs, seen: seen.hand }));
    done(await saveZone({ zone: 'Europe/Oslo', seen: seen.zone }));
    const mine = { ...theirs, lettersPerLine: 14 };
    expect(await saveHand({ hand: mine, seen: seen.hand })).toMatchObject({
      conflict: true,
      messages: [expect.stringContaining('20 letters to a line of 38.1 mm')],
    });
    expect(await saveZone({ zone: 'Asia/Tokyo', seen: seen.zone })).toMatchObject({
      conflict: true,
      messages: [expect.stringContaining('Your clock is now Europe/Oslo’s')],
    });
    expect(await measuredHand(db)).toEqual(theirs);
    done(await saveHand({ hand: mine }));
    expect(await measuredHand(db)).toEqual(mine);
  });

  it('keep the words of two windows that each teach one', async () => {
    await Promise.all([teachWord({ word: 'Fern', means: 'dog' }), teachWord({ word: 'Juniper', means: 'dog' })]);
    expect((await taughtWords(db)).map((t) => t.word)).toEqual(['Fern', 'Juniper']);
    done(await forgetWord({ word: 'fern' }));
    expect((await taughtWords(db)).map((t) => t.word)).toEqual(['Juniper']);
  });

  it('keep short forms, for weeks that have none of their own', async () => {
    expect(await houseOptions(db)).not.toHaveProperty('shortForms');
    const forms = [
      { word: 'appointment', short: 'appt' },
      { word: 'with', short: 'w/' },
    ];
    done(await addShortForm({ word: ' appointment ', short: ' appt ' }));
    done(await addShortForm(forms[1]));
    expect(await ownShortForms(db)).toEqual(forms);
    expect((await loadSettings()).shortForms).toEqual(forms);
    expect(await houseOptions(db)).toMatchObject({ shortForms: { appointment: 'appt', with: 'w/' } });
    expect((await spreadNow(await layWeek(db))).context.options.shortForms).toEqual({
      appointment: 'appt',
      with: 'w/',
    });
    expect(refusal(await addShortForm({ word: 'two words', short: '2w' }))).toContain('one word');
    expect(refusal(await addShortForm({ word: '__proto__', short: 'p' }))).toContain('one word');
    expect(refusal(await addShortForm({ word: 'with', short: ' ' }))).toContain('letters or signs');
    for (const { word } of forms) done(await dropShortForm({ word: word.toUpperCase() }));
    expect(await houseOptions(db)).not.toHaveProperty('shortForms');
  });

  it('heed what was learned, or not, and forget it', async () => {
    await learn(db, [{ kit: 'rockpool', code: 'FB-1', by: 1 }]);
    done(await heedLike({ kit: 'rockpool', code: 'FB-1', off: true }));
    expect(await listLikes(db)).toEqual([{ kit: 'rockpool', code: 'FB-1', weight: 1, off: true }]);
    expect((await spreadNow(await layWeek(db))).context.likes).toEqual({});
    done(await forgetTaste());
    expect(await listLikes(db)).toEqual([]);
  });
});

it('the shelf shows the weeks around today, how full they are and how far', async () => {
  await layWeek(db);
  const { weeks, kits, books } = await loadShelf();
  expect(weeks.map((w) => w.away)).toEqual([-1, 0, 1, 2, 3, 4, 5]);
  expect(weeks[2]).toMatchObject({ week: '2027-W06', state: 'laid out', kit: 'rockpool' });
  expect(weeks[3]).toMatchObject({ state: 'to plan', kit: null });
  expect(weeks[2]!.days.every((d) => d.full > 0.2)).toBe(true);
  expect(kits).toBe(2); // not the stash
  expect(books.length).toBeGreaterThanOrEqual(6);
});

describe('a file', () => {
  const file = (name: string, text: string) => new File([text], name);
  const ics =
    'BEGIN:VCALENDAR\r\nBEGIN:VTODO\r\nUID:t\r\nDUE;VALUE=DATE:20270210\r\nSUMMARY:form\r\nEND:VTODO\r\nEND:VCALENDAR\r\n';

  const taken = async (given: File): Promise<TakenIn> => {
    const became = await takeIn(given);
    if ('same' in became) throw new Error('its name is taken');
    return became;
  };

  it('is taken in by its ending, whole', async () => {
    expect(await taken(file('club.ics', ics))).toMatchObject({ said: '1 task imported' });
    const book = await taken(file('log.book.json', writeBook({ ...threeBox, name: 'Log' })));
    expect(book.said).toContain('2 pages');
    expect((await listBooks(db)).map((b) => b.id)).toContain('log');
    const again = await taken(file('log.book.json', writeBook({ ...threeBox, name: 'Log' })));
    expect(again.messages.join()).toContain('a name that no book has yet');
  });

  it('of a calendar that says its own name is known by it', async () => {
    const named = ics.replace('BEGIN:VTODO', 'X-WR-CALNAME:Rowing club\r\nBEGIN:VTODO');
    expect(await taken(file('export (3).ics', named))).toMatchObject({ said: '1 task imported as “Rowing club”' });
    expect((await listCalendars(db)).map((c) => c.name)).toContain('Rowing club');
  });

  it('of another kind, or broken, is refused with what is expected, and nothing of it is kept', async () => {
    const calendars = (await listCalendars(db)).length;
    expect((await taken(file('kit.csv', 'a,b'))).messages.join()).toContain('a calendar (.ics) or a book (.json)');
    expect((await taken(file('cut.ics', ics.slice(0, 60)))).messages.join()).toContain('cut off');
    expect((await taken(file('x.json', '{'))).said).toBeNull();
    const large = { name: 'a.ics', size: (MOST_MEGABYTES + 1) * 2 ** 20 } as File;
    expect((await taken(large)).messages.join()).toContain(`at most ${MOST_MEGABYTES} MB`);
    expect(await listCalendars(db)).toHaveLength(calendars);
  });
});

describe('a calendar of a name that is taken', () => {
  const event = (uid: string, title: string) =>
    `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTART;VALUE=DATE:20270210\r\nSUMMARY:${title}\r\nEND:VEVENT\r\n`;
  const club = (...events: string[]) =>
    new File([`BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.join('')}END:VCALENDAR\r\n`], 'club.ics');
  const newer = club(event('b', 'fete, hall B'), event('c', 'picnic'));
  const titles = async (name: string) =>
    [...(await calendarText(db, name))!.matchAll(/SUMMARY:(.*)\r/g)].map((m) => m[1]);
  beforeEach(async () => {
    await takeIn(club(event('a', 'rowing'), event('b', 'fete')));
  });

  it('is asked about, with what it would change, and nothing is kept meanwhile', async () => {
    expect(await takeIn(newer)).toEqual({
      file: 'club.ics',
      same: {
        there: 'club',
        ways: ['replace', 'merge', 'keep both'],
        changes: { added: ['picnic'], changed: ['fete, hall B'], removed: ['rowing'] },
      },
    });
    expect(await titles('club')).toEqual(['rowing', 'fete']);
  });

  it('replaces it, is merged into it, or is kept beside it, and each can be undone', async () => {
    for (const [way, there, beside] of [
      ['replace', ['fete, hall B', 'picnic'], undefined],
      ['merge', ['rowing', 'fete, hall B', 'picnic'], undefined],
      ['keep both', ['rowing', 'fete'], ['fete, hall B', 'picnic']],
    ] as const) {
      expect(await takeIn(newer, { way })).toHaveProperty('said');
      expect(await titles('club')).toEqual(there);
      if (beside) expect(await titles('club 2')).toEqual(beside);
      done(await undoAgenda({ way: 'undo' }));
      expect(await titles('club')).toEqual(['rowing', 'fete']);
      expect((await listCalendars(db)).map((c) => c.name)).not.toContain('club 2');
    }
  });

  it('that brings nothing new is not asked about, and changes nothing', async () => {
    const before = (await listCalendars(db)).find((c) => c.name === 'club');
    expect(await takeIn(club(event('b', 'fete'), event('a', 'rowing')))).toMatchObject({
      said: expect.stringContaining('there already') as string,
    });
    expect((await listCalendars(db)).find((c) => c.name === 'club')).toEqual(before);
  });

  it('that was stopped is not kept', async () => {
    const stop = new AbortController();
    const stopping = takeIn(club(...Array.from({ length: 3000 }, (_, i) => event(`e${i}`, `thing ${i}`))), {
      way: 'replace',
      signal: stop.signal,
      onProgress: () => stop.abort(),
    });
    expect(await stopping).toMatchObject({ said: null, messages: ['It was stopped, and nothing of it was kept.'] });
    expect(await titles('club')).toEqual(['rowing', 'fete']);
  });
});

describe('a feed', () => {
  let answer: { status: number; body: string } = { status: 200, body: '' };
  const service = createServer((_, response) => {
    response.writeHead(answer.status, { 'content-type': 'text/calendar' }).end(answer.body);
  });
  let address = '';
  beforeAll(async () => {
    await new Promise<void>((up) => service.listen(0, '127.0.0.1', up));
    address = `http://127.0.0.1:${(service.address() as AddressInfo).port}/house.ics`;
  });
  afterAll(() => new Promise((down) => service.close(down)));
  const event = (uid: string, title: string) =>
    `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTART;VALUE=DATE:20270210\r\nSUMMARY:${title}\r\nEND:VEVENT\r\n`;
  const feed = (...events: string[]) => `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.join('')}END:VCALENDAR\r\n`;

  it('is read once to be followed, brings news, and keeps its last good copy', async () => {
    answer = { status: 200, body: feed(event('a', 'bin day')) };
    expect(done(await follow({ name: 'house', address }))).toEqual({ name: 'house', items: 1 });
    expect(refusal(await follow({ name: 'house', address }))).toContain('a name that no calendar has yet');
    answer = { status: 200, body: feed(event('a', 'bin day'), event('b', 'boiler man')) };
    done(await refreshFeeds());
    const house = async () => (await listCalendars(db)).find((c) => c.name === 'house')!;
    expect(JSON.parse((await house()).changes!)).toMatchObject({ added: [expect.anything()], removed: [] });
    answer = { status: 500, body: 'out of order' };
    done(await refreshFeeds());
    expect((await house()).trouble).not.toBeNull();
    const { ics } = await db.selectFrom('calendar').select('ics').where('name', '=', 'house').executeTakeFirstOrThrow();
    expect(ics).toContain('boiler man');
  });

  it('that is none is not kept', async () => {
    answer = { status: 200, body: 'this is no calendar' };
    expect(refusal(await follow({ name: 'odd', address }))).not.toBe('it was accepted');
    expect(refusal(await follow({ name: 'odd', address: 'ftp://127.0.0.1/a.ics' }))).not.toBe('it was accepted');
    expect((await listCalendars(db)).map((c) => c.name)).not.toContain('odd');
  });
});
