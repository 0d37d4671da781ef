import { demoKit, kitOf, piece, placement } from '../../tests/fixtures';
import { freshHouse, layWeek, beginWeek } from '../../tests/house';
import { threeBox } from '../core/book/three-box';
import { BOOKS } from '../core/book/registry';
import { TakenSticker, designsOf, mustBeThere } from './available';
import {
  addBook,
  deleteBook,
  dropScan,
  findBook,
  findScan,
  listBooks,
  putScan,
  saveBook,
  scannedPages,
  usualBook,
  weeksByBook,
} from './books';
import { calendarText, deleteCalendar, listCalendars, noteAsked, putCalendar } from './calendars';
import type { Database } from './database';
import { addKit, allKits, factsOf, findKit, listKits } from './kits';
import { forgetLikes, learn, likesOf, listLikes, switchLike } from './likes';
import { favoritesOf, forgetManner, keepManner, listManners } from './manners';
import { markOf, marksBetween, setMark } from './marks';
import { readSetting, writeSetting } from './settings';
import { noteSticking, peelsOf, stuckDown } from './sticker-facts';
import { setTick, ticksOf, untickPieces } from './ticks';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

describe('books', () => {
  const mine = { ...threeBox, name: 'Harbor log' };
  it('of one’s own are kept beside those that ship, by name', async () => {
    expect(await addBook(db, 'mine', mine)).toBe(true);
    expect(await addBook(db, 'mine', threeBox)).toBe(false);
    expect(await findBook(db, 'mine')).toEqual(mine);
    await saveBook(db, 'mine', { ...mine, name: 'Log' });
    const names = (await listBooks(db)).map((b) => b.name);
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
    expect(names).toHaveLength(Object.keys(BOOKS).length + 1);
    await deleteBook(db, 'mine');
    expect(await findBook(db, 'mine')).toBeNull();
  });
  it('that ship are never written over, and no other word finds one', async () => {
    expect(await addBook(db, 'three-box', mine)).toBe(false);
    expect((await findBook(db, 'three-box'))?.name).toBe(threeBox.name);
    for (const word of ['constructor', '__proto__', '']) expect(await findBook(db, word)).toBeNull();
  });
  it('have a scan a page, replaced and taken away', async () => {
    await addBook(db, 'mine', mine);
    await putScan(db, 'mine', 0, 'image/png', Uint8Array.from([1, 2]));
    await putScan(db, 'mine', 0, 'image/jpeg', Uint8Array.from([3]));
    await putScan(db, 'mine', 1, 'image/png', Uint8Array.from([4]));
    const scan = await findScan(db, 'mine', 0);
    expect([scan?.type, [...(scan?.data ?? [])]]).toEqual(['image/jpeg', [3]]);
    expect(await scannedPages(db, 'mine')).toEqual([0, 1]);
    await dropScan(db, 'mine', 0);
    expect(await scannedPages(db, 'mine')).toEqual([1]);
    expect(await findScan(db, 'mine', 0)).toBeUndefined();
  });
  it('know their weeks, and the usual one is that of the latest week', async () => {
    expect(await weeksByBook(db)).toEqual(new Map());
    await beginWeek('2027-W07');
    await beginWeek('2027-W06');
    expect((await weeksByBook(db)).get('three-box')).toEqual(['2027-W06', '2027-W07']);
    expect(await usualBook(db)).toBe('three-box');
  });
});

describe('calendars', () => {
  const heads = async () => new Map((await listCalendars(db)).map((c) => [c.name, c]));
  it('rise in revision with each text, and keep the feed they are', async () => {
    await putCalendar(db, 'choir', 'one', 'http://localhost/choir.ics');
    const before = (await heads()).get('choir')?.revision ?? 0;
    await putCalendar(db, 'choir', 'two');
    expect((await heads()).get('choir')).toMatchObject({
      revision: before + 1,
      address: 'http://localhost/choir.ics',
    });
    expect(await calendarText(db, 'choir')).toBe('two');
  });
  it('that could not be read keep their last good text, and the trouble', async () => {
    await putCalendar(db, 'choir', 'good', 'http://localhost/choir.ics');
    const { id } = (await heads()).get('choir')!;
    await noteAsked(db, id, { at: '2027-02-03T08:00:00Z', trouble: 'no answer' });
    expect(await calendarText(db, 'choir')).toBe('good');
    expect((await heads()).get('choir')).toMatchObject({ trouble: 'no answer', checked_at: '2027-02-03T08:00:00Z' });
    const read = { ics: 'news', etag: '"2"', changes: '{}' };
    await noteAsked(db, id, { at: '2027-02-03T09:00:00Z', trouble: null, read });
    expect(await calendarText(db, 'choir')).toBe('news');
    expect((await heads()).get('choir')).toMatchObject({ trouble: null, etag: '"2"', read_at: '2027-02-03T09:00:00Z' });
  });
  it('that are gone have no text', async () => {
    await putCalendar(db, 'choir', 'one');
    await deleteCalendar(db, 'choir');
    expect(await calendarText(db, 'choir')).toBeNull();
  });
});

describe('kits', () => {
  it('are read once, and anew when one comes', async () => {
    const before = await allKits(db);
    expect(await allKits(db)).toBe(before);
    await addKit(db, { name: 'fog', pieces: [piece({ kit: 'fog' })] }, 'kit');
    expect((await allKits(db)).map((k) => k.name)).toContain('fog');
  });
  it('keep the order of their file', async () => {
    expect((await findKit(db, 'rockpool'))?.pieces.map((p) => p.code)).toEqual(
      demoKit('rockpool').pieces.map((p) => p.code),
    );
    expect(await findKit(db, 'zeppelin')).toBeNull();
  });
  it('of thousands of designs are stored whole', async () => {
    const pieces = Array.from({ length: 1234 }, (_, i) => piece({ kit: 'large', code: `L-${i}` }));
    expect(await addKit(db, { name: 'large', pieces }, 'stash')).toBe(true);
    expect((await findKit(db, 'large'))?.pieces).toEqual(pieces);
  });
  it('have a card each, of those that are asked for', async () => {
    expect((await factsOf(db, ['stash', 'zeppelin'])).map((k) => [k.id, k.role])).toEqual([['stash', 'stash']]);
    expect((await listKits(db)).map((k) => k.id)).toEqual(['night-almanac', 'rockpool', 'stash']);
  });
});

describe('stickers that an edit wants', () => {
  const box = demoKit('rockpool').pieces.find((p) => p.kind === 'quarter-box' && p.count > 1);
  if (!box) throw new Error('the demo kit has no quarter boxes');
  const wanted = (copy: number, id = `p${copy}`) =>
    placement({ id, kit: 'rockpool', code: box.code, copy, w: box.width, h: box.height });
  it('are there while nobody has them, each once', async () => {
    await expect(mustBeThere(db, [wanted(1), wanted(2)], [])).resolves.toBeUndefined();
    await expect(mustBeThere(db, [wanted(1), wanted(1, 'p9')], [])).rejects.toBeInstanceOf(TakenSticker);
    await expect(mustBeThere(db, [], [])).resolves.toBeUndefined();
  });
  it('are not asked about where the edit only moves them, and count as taken for all others', async () => {
    const strange = wanted(box.count + 1);
    await expect(mustBeThere(db, [strange], [strange])).resolves.toBeUndefined();
    await expect(mustBeThere(db, [wanted(1), wanted(1, 'p9')], [wanted(1)])).rejects.toMatchObject({
      placement: { id: 'p9' },
    });
  });
  it('are not there beyond their count, under another code, or in another kit', async () => {
    for (const p of [wanted(box.count + 1), { ...wanted(1), code: 'ZZ' }, { ...wanted(1), kit: 'zeppelin' }])
      await expect(mustBeThere(db, [p], [])).rejects.toMatchObject({ placement: p });
  });
  it('are found as designs, those that are gone left out', async () => {
    const { kit } = await designsOf(db, [wanted(1), wanted(2), { kit: 'zeppelin', code: 'Z' }]);
    expect(kit.pieces).toEqual([box]);
  });
});

describe('marks', () => {
  it('are set, changed and taken away, an item a day', async () => {
    await setMark(db, 'a', '2027-02-08', 'done');
    await setMark(db, 'a', '2027-02-09', 'let go');
    await setMark(db, 'a', '2027-02-08', 'brought');
    expect(await markOf(db, 'a', '2027-02-08')).toBe('brought');
    await setMark(db, 'a', '2027-02-08', null);
    expect(await markOf(db, 'a', '2027-02-08')).toBeNull();
    expect(await markOf(db, 'a', '2027-02-09')).toBe('let go');
  });
  it('of a span come with those of no day', async () => {
    await setMark(db, 'a & b', '', 'both meant');
    await setMark(db, 'a', '2027-02-08', 'done');
    await setMark(db, 'a', '2027-02-15', 'done');
    const days = async (first: string, last: string) => (await marksBetween(db, first, last)).map((m) => m.day).sort();
    expect(await days('2027-02-08', '2027-02-14')).toEqual(['', '2027-02-08']);
    expect(await days('2027-03-01', '2027-03-07')).toEqual(['']);
  });
});

describe('tastes', () => {
  const shown = (by: number) => [{ kit: 'rockpool', code: 'FB-1', by }];
  it('weigh five at most, and what is unlearned is what was truly learned', async () => {
    for (let i = 0; i < 7; i++) await learn(db, shown(1));
    expect(await listLikes(db)).toEqual([{ kit: 'rockpool', code: 'FB-1', weight: 5, off: false }]);
    expect(await learn(db, shown(1))).toEqual([]);
    expect(await learn(db, shown(-8))).toEqual(shown(-8));
    expect(await learn(db, shown(-8))).toEqual(shown(-2));
  });
  it('that are off are listed and not heeded; all are forgotten at once', async () => {
    await learn(db, shown(2));
    await switchLike(db, 'rockpool', 'FB-1', true);
    expect(await likesOf(db, ['rockpool'])).toEqual([]);
    expect(await listLikes(db)).toMatchObject([{ off: true }]);
    await switchLike(db, 'rockpool', 'FB-1', false);
    expect(await likesOf(db, ['rockpool'])).toMatchObject([{ weight: 2 }]);
    expect(await likesOf(db, ['stash'])).toEqual([]);
    await forgetLikes(db);
    expect(await listLikes(db)).toEqual([]);
  });
});

describe('manners of one’s own', () => {
  const mine = { name: 'calm', school: 'airy', options: { gap: 4 }, ways: { boxes: 2 as const } };
  it('are kept under their name, replaced and forgotten', async () => {
    await keepManner(db, mine);
    await keepManner(db, { ...mine, options: { gap: 5 } });
    expect(await listManners(db)).toEqual([{ ...mine, options: { gap: 5 } }]);
    await forgetManner(db, 'calm');
    expect(await listManners(db)).toEqual([]);
  });
  it('favorites are of the kits that are asked for', async () => {
    await db
      .insertInto('favorite')
      .values([{ kit_id: 'rockpool', code: 'FB-1' }])
      .execute();
    expect(await favoritesOf(db)).toEqual(['rockpool/FB-1']);
    expect(await favoritesOf(db, ['stash'])).toEqual([]);
  });
});

describe('settings', () => {
  const isText = (v: unknown): v is string => typeof v === 'string';
  it('are null until they are set, and then the last one', async () => {
    expect(await readSetting(db, 'zone', isText)).toBeNull();
    await writeSetting(db, 'zone', 'Europe/Lisbon');
    await writeSetting(db, 'zone', 'America/Halifax');
    expect(await readSetting(db, 'zone', isText)).toBe('America/Halifax');
  });
  it('that hold something else say so', async () => {
    await writeSetting(db, 'zone', 7);
    await expect(readSetting(db, 'zone', isText)).rejects.toThrow('expected the setting “zone”');
  });
});

describe('the bench', () => {
  it('ticks a step once, and forgets it', async () => {
    const id = await layWeek(db);
    await setTick(db, id, 'place:p1', true);
    await setTick(db, id, 'place:p1', true);
    expect(await ticksOf(db, id)).toEqual(['place:p1']);
    await setTick(db, id, 'place:p1', false);
    expect(await ticksOf(db, id)).toEqual([]);
  });
  it('unticks what is lifted, a stack with any of its pieces, and nothing else', async () => {
    const id = await layWeek(db);
    for (const step of ['stack:p1,p2', 'place:p3', 'write:text:p1', 'white-out:0:3:9'])
      await setTick(db, id, step, true);
    await untickPieces(db, id, new Set(['p2']));
    expect((await ticksOf(db, id)).sort()).toEqual(['place:p3', 'white-out:0:3:9', 'write:text:p1']);
    await untickPieces(db, id, new Set());
    expect(await ticksOf(db, id)).toHaveLength(3);
  });
  it('counts a peel, and takes it back, never under none', async () => {
    const id = await layWeek(db);
    const copy = { kit: 'rockpool', code: 'FB-1', copy: 1 };
    const none = { down: [], freed: [], peeled: [] };
    await noteSticking(db, id, { ...none, down: [copy] });
    expect(await stuckDown(db, id)).toEqual(new Set(['rockpool/FB-1#1']));
    const off = { ...none, freed: [copy], peeled: [copy] };
    await noteSticking(db, id, off);
    await noteSticking(db, id, off);
    expect(await peelsOf(db, id)).toEqual({ 'rockpool/FB-1#1': 2 });
    expect(await stuckDown(db, id)).toEqual(new Set());
    for (let i = 0; i < 3; i++) await noteSticking(db, id, off, true);
    expect(await peelsOf(db, id)).toEqual({});
    expect(await stuckDown(db, id)).toEqual(new Set(['rockpool/FB-1#1']));
  });
});

it('a kit without a piece can be stored and read', async () => {
  await addKit(db, { ...kitOf(), name: 'bare' }, 'stash');
  expect(await findKit(db, 'bare')).toEqual({ name: 'bare', pieces: [] });
});
