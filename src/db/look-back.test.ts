import { sql } from 'kysely';
import { demoKit } from '../../tests/fixtures';
import { TODAY, beginWeek, freshHouse, layWeek } from '../../tests/house';
import { demand, weekWith } from '../../tests/fixtures';
import { randomFrom } from '../core/measure/random';
import type { DayRecord } from '../core/keep/day-record';
import type { Database } from './database';
import { firstKnown, itemCounts, keepWeek, keptWeeks, lastTimes, pastItems } from './past-items';
import { designUse, kitCosts, untouchedKits, weekUse } from './kit-use';
import { finish, keepOf, ratingsByManner, setNote, setRating, setTags } from './keeps';
import { setMark } from './marks';
import { pastSpreads } from './past';
import { putRecord, recordOf, recordsBetween } from './records';
import { FOUND, WEEK_FIELDS, findWeeks, forgetWeekText, renewWeekText, wordsOf } from './week-text';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const record = (over: Partial<DayRecord> = {}): DayRecord => ({
  day: TODAY, what: 'dinner', name: '', amount: 0, text: 'cod', ...over,
}); // prettier-ignore

const monday = () => Promise.resolve('monday' as const);

describe('records', () => {
  it('are one of a sort and name a day, the last that was written', async () => {
    await putRecord(db, record());
    await putRecord(db, record({ text: 'mussels' }));
    await putRecord(db, record({ what: 'habit', name: 'water', amount: 1, text: '' }));
    await putRecord(db, record({ what: 'habit', name: 'scales', amount: 1, text: '' }));
    expect((await recordsBetween(db, TODAY, TODAY)).map((r) => [r.what, r.name, r.text])).toEqual([
      ['dinner', '', 'mussels'],
      ['habit', 'scales', ''],
      ['habit', 'water', ''],
    ]);
  });
  it('that say nothing go', async () => {
    await putRecord(db, record());
    await putRecord(db, record({ text: ' ' }));
    expect(await recordOf(db, record())).toBeNull();
    await putRecord(db, record({ what: 'hours', name: 'ferry', amount: 0, text: '' }));
    expect(await recordsBetween(db, '0000-01-01', '9999-12-31')).toEqual([]);
  });
  it('are found by their days, both ends with them, and by their sort', async () => {
    for (const day of ['2027-01-31', '2027-02-01', '2027-02-07', '2027-02-08']) await putRecord(db, record({ day }));
    await putRecord(db, record({ day: '2027-02-05', what: 'moment', text: 'seals' }));
    const found = async (...what: Parameters<typeof recordsBetween>[3][]) =>
      (await recordsBetween(db, '2027-02-01', '2027-02-07', ...what)).map((r) => r.day);
    expect(await found()).toEqual(['2027-02-01', '2027-02-05', '2027-02-07']);
    expect(await found('moment')).toEqual(['2027-02-05']);
    expect(await found('moment', 'dinner')).toHaveLength(3);
    expect(await found('hours')).toEqual([]);
  });
  it('of a sort that this version does not know are passed over', async () => {
    await db.insertInto('record').values({ day: TODAY, what: 'weather', name: '', text: 'fog' }).execute();
    expect(await recordsBetween(db, TODAY, TODAY)).toEqual([]);
  });
});

describe('items of weeks that are over', () => {
  const chore = demand({ key: 'a', uid: 'laundry', title: 'laundry', kind: 'chore', day: 0, on: '2027-01-25' });
  const visit = demand({
    key: 'b',
    uid: 'vet',
    title: 'vet',
    kind: 'appointment',
    day: 2,
    on: '2027-01-27',
    start: 600,
  });
  const due = demand({
    key: 'c',
    uid: 'rent',
    title: 'rent',
    kind: 'deadline',
    day: 3,
    on: '2027-01-30',
    aspect: 'due',
  });
  const week = { ...weekWith(chore, visit, due), week: '2027-W04', days: ['2027-01-25', '2027-01-26', '2027-01-27', '2027-01-28', '2027-01-29', '2027-01-30', '2027-01-31'] }; // prettier-ignore
  it('are kept once each, and what they make of other days is not', async () => {
    await keepWeek(db, week, 'now');
    const kept = await pastItems(db, '2027-W04', '2027-W04');
    expect(kept.map((i) => [i.title, i.day, i.ticked, i.start])).toEqual([
      ['laundry', '2027-01-25', true, null],
      ['vet', '2027-01-27', false, 600],
    ]);
    expect([...(await keptWeeks(db))]).toEqual([['2027-W04', 'now']]);
    await keepWeek(db, { ...week, demands: [visit] }, 'later');
    expect((await pastItems(db, '2027-W01', '2027-W09')).map((i) => i.title)).toEqual(['vet']);
  });
  it('have their mark, made before they were kept or after, changed or taken away', async () => {
    const mark = async () => (await pastItems(db, '2027-W04', '2027-W04')).find((i) => i.uid === 'laundry')!.mark;
    await setMark(db, 'laundry', '2027-01-25', 'done');
    await keepWeek(db, week, '');
    expect(await mark()).toBe('done');
    await setMark(db, 'laundry', '2027-01-25', 'let go');
    expect(await mark()).toBe('let go');
    await setMark(db, 'laundry', '2027-01-25', null);
    expect(await mark()).toBeNull();
    await setMark(db, 'laundry', '2027-01-26', 'done'); // another day's
    expect(await mark()).toBeNull();
  });
  it('are counted in SQL as one by one', async () => {
    const random = randomFrom(4);
    const kinds = ['chore', 'to-do', 'appointment', 'reminder'] as const;
    for (const [n, name] of ['2027-W01', '2027-W02', '2027-W03'].entries()) {
      const days = Array.from({ length: 7 }, (_, d) => `2027-01-${String(4 + 7 * n + d).padStart(2, '0')}`);
      const demands = Array.from({ length: 40 }, (_, i) => {
        const day = Math.floor(random() * 7);
        return demand({
          key: `k${i}`, uid: `u${i}`, title: `t${i}`, kind: kinds[i % 4]!, day, lastDay: day, on: days[day]!,
          from: random() < 0.2 ? days[0]! : null,
        }); // prettier-ignore
      });
      await keepWeek(db, { ...week, week: name, days, demands }, '');
      for (const d of demands) {
        const at = random();
        const mark = at < 0.5 ? 'done' : at < 0.6 ? 'let go' : at < 0.7 ? 'brought' : at < 0.75 ? 'kept' : null;
        if (mark) await setMark(db, d.uid, d.on, mark);
      }
    }
    const items = await pastItems(db, '2027-W02', '2027-W03');
    const count = (test: (i: (typeof items)[number]) => boolean) => items.filter(test).length;
    const { weeks, kinds: byKind, days } = await itemCounts(db, '2027-W02', '2027-W03');
    expect(weeks.map((w) => w.week)).toEqual(['2027-W02', '2027-W03']);
    for (const w of weeks)
      expect(w).toEqual({
        week: w.week,
        items: count((i) => i.week === w.week),
        done: count((i) => i.week === w.week && i.ticked && i.mark === 'done'),
        moved: count((i) => i.week === w.week && (i.mark === 'brought' || i.from !== null)),
        letGo: count((i) => i.week === w.week && i.mark === 'let go'),
        open: count((i) => i.week === w.week && i.ticked && (i.mark === null || i.mark === 'kept')),
      });
    expect(byKind.reduce((sum, k) => sum + k.items, 0)).toBe(80);
    for (const d of days)
      expect(d.items).toBe(count((i) => i.kind === d.kind && (new Date(i.day).getUTCDay() + 6) % 7 === d.day));
  });
  it('tell when something was last done, or passed; every word must be in its title', async () => {
    await keepWeek(db, week, '');
    expect(await lastTimes(db, ['vet'], TODAY, 9)).toEqual([{ title: 'vet', times: 1, last: '2027-01-27' }]);
    expect(await lastTimes(db, ['laundry'], TODAY, 9)).toEqual([]);
    await setMark(db, 'laundry', '2027-01-25', 'done');
    expect((await lastTimes(db, [], TODAY, 9)).map((t) => t.title)).toEqual(['vet', 'laundry']);
    expect(await lastTimes(db, [], TODAY, 1)).toHaveLength(1);
    expect(await lastTimes(db, ['laun', 'vet'], TODAY, 9)).toEqual([]);
    expect(await lastTimes(db, ['vet'], '2027-01-26', 9)).toEqual([]);
  });
  it('begin where anything is known', async () => {
    expect(await firstKnown(db)).toEqual({ week: null, day: null });
    await setMark(db, 'a', '2027-01-20', 'done');
    await setMark(db, 'a & b', '', 'both meant');
    expect(await firstKnown(db)).toEqual({ week: null, day: '2027-01-20' });
    await putRecord(db, record({ day: '2026-12-24' }));
    await beginWeek('2027-W06');
    expect(await firstKnown(db)).toEqual({ week: '2027-W06', day: '2026-12-24' });
  });
});

describe('the words of weeks', () => {
  const found = async (words: string, field: Parameters<typeof findWeeks>[1]['field'] = null) =>
    (await findWeeks(db, { words: wordsOf(words), field, most: 50 }, monday)).map((f) => f.week);
  it('are written anew only where something changed', async () => {
    expect(await renewWeekText(db, monday)).toBe(0);
    const id = await layWeek(db);
    expect(await renewWeekText(db, monday)).toBe(1);
    expect(await renewWeekText(db, monday)).toBe(0);
    await finish(db, id, TODAY);
    await setNote(db, id, 'less blue');
    await putRecord(db, record({ day: '2026-12-31' }));
    expect(await renewWeekText(db, monday)).toBe(2);
  });
  it('of a Sunday are those of the week that begins with it, where its pages do', async () => {
    await putRecord(db, record({ day: '2027-02-07', what: 'dinner', name: '', text: 'leek soup' }));
    const weeks = async (start: 'monday' | 'sunday') =>
      (await findWeeks(db, { words: ['leek'], field: null, most: 9 }, () => Promise.resolve(start))).map((f) => f.week);
    expect(await weeks('sunday')).toEqual(['2027-W06']);
    await forgetWeekText(db);
    expect(await weeks('monday')).toEqual(['2027-W05']);
  });
  it('are found by their beginnings, without marks over letters, in any order, all of them', async () => {
    await putRecord(db, record({ text: 'Crème brûlée' }));
    for (const words of ['creme', 'CRÈME', 'brul creme', 'cre', '  brulee!  '])
      expect(await found(words)).toEqual(['2027-W05']);
    for (const words of ['reme', 'creme cod', 'cremes']) expect(await found(words)).toEqual([]);
    expect(await found('')).toEqual([]);
  });
  it('are taken as words, whatever they are to the index', async () => {
    await putRecord(db, record({ text: 'AND or NOT near' }));
    for (const words of ['AND', 'NOT', 'or', 'NEAR', '"and"', 'and*', '(or)', 'or-not'])
      expect(await found(words)).toEqual(['2027-W05']);
  });
  it('are those of one field where one is named', async () => {
    const id = await layWeek(db);
    await finish(db, id, TODAY);
    await setTags(db, id, ['concert', 'first frost']);
    await setNote(db, id, 'less blue');
    await putRecord(db, record({ day: '2027-02-09', text: 'pea soup' }));
    await putRecord(db, record({ day: '2027-02-10', what: 'moment', text: 'seals' }));
    const where = { concert: 'tags', frost: 'tags', blue: 'notes', seals: 'notes', pea: 'dinners', rockpool: 'kit', scattered: 'manner', vet: 'items' } as const; // prettier-ignore
    for (const [word, field] of Object.entries(where))
      for (const other of WEEK_FIELDS)
        expect([word, other, await found(word, other)]).toEqual([word, other, other === field ? ['2027-W06'] : []]);
  });
  it('are gone with what said them', async () => {
    const id = await layWeek(db);
    expect(await found('vet')).toEqual(['2027-W06']);
    await db.deleteFrom('spread').where('id', '=', id).execute();
    expect(await found('vet')).toEqual([]);
  });
  it('come with those round them, and marks that no one types', async () => {
    await putRecord(db, record({ text: 'pea soup with mint' }));
    const [hit] = await findWeeks(db, { words: ['soup'], field: null, most: 1 }, monday);
    expect(hit!.snippet).toBe(`pea ${FOUND.from}soup${FOUND.to} with mint`);
  });
  it('of a week whose name is none do no harm', async () => {
    await db.insertInto('stale_week').values({ week: 'soon' }).execute();
    expect(await renewWeekText(db, monday)).toBe(1);
  });
});

describe('the use of kits', () => {
  it('counts copies that were begun, once each, also those cut in parts', async () => {
    await layWeek(db);
    const designs = await designUse(db, ['rockpool']);
    expect(designs.reduce((sum, d) => sum + d.count, 0)).toBe(
      demoKit('rockpool').pieces.reduce((sum, p) => sum + p.count, 0),
    );
    const { rows } = await sql<{ n: number }>`
      select count(distinct code || '#' || copy) as n from placement where kit_id = 'rockpool'`.execute(db);
    expect(designs.reduce((sum, d) => sum + d.used, 0)).toBe(rows[0]!.n);
    expect(await designUse(db, [])).toEqual([]);
    const [week] = await weekUse(db, '2027-W06', '2027-W06');
    expect(week).toEqual({ week: '2027-W06', kit: 'rockpool', stickers: rows[0]!.n });
    expect(await weekUse(db, '2027-W07', '2027-W20')).toEqual([]);
  });
  it('knows the kits that nothing was taken from, and no stash among them', async () => {
    expect((await untouchedKits(db)).sort()).toEqual(['night-almanac', 'rockpool']);
    await layWeek(db);
    expect(await untouchedKits(db)).toEqual(['night-almanac']);
  });
  it('has a title and a price where they are known', async () => {
    const costs = await kitCosts(db);
    expect(costs.find((k) => k.kit === 'night-almanac')).toEqual({
      kit: 'night-almanac', title: 'Night Almanac', price: null, stash: false,
    }); // prettier-ignore
    expect(costs.find((k) => k.kit === 'stash')!.stash).toBe(true);
  });
});

describe('what came of a spread', () => {
  it('has no rating and no tags at first; they change nothing before it is on paper', async () => {
    const id = await layWeek(db);
    await setRating(db, id, 4);
    expect(await keepOf(db, id)).toBeNull();
    await finish(db, id, TODAY);
    expect(await keepOf(db, id)).toMatchObject({ rating: 0, tags: [] });
    expect(await ratingsByManner(db)).toEqual(new Map());
    await setRating(db, id, 4);
    await setTags(db, id, ['frost']);
    expect(await pastSpreads(db, { most: 5 })).toMatchObject([{ id, rating: 4, tags: ['frost'] }]);
  });
  it('is found by its weeks and between two of them', async () => {
    const id = await layWeek(db);
    const ids = async (asked: object) => (await pastSpreads(db, { most: 5, ...asked })).map((s) => s.id);
    expect(await ids({ weeks: ['2027-W06', '2027-W07'] })).toEqual([id]);
    expect(await ids({ weeks: ['2027-W07'] })).toEqual([]);
    expect(await ids({ weeks: [] })).toEqual([]);
    expect(await ids({ first: '2027-W06', last: '2027-W06' })).toEqual([id]);
    expect(await ids({ first: '2027-W07' })).toEqual([]);
    expect(await ids({ last: '2027-W05' })).toEqual([]);
    expect(await ids({ before: '2027-W06' })).toEqual([]);
  });
});
