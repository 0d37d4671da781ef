import { done, freshHouse, layWeek, refusal } from '../../tests/house';
import { kitOf, piece } from '../../tests/fixtures';
import { countWeek } from './counting-actions';
import type { Database } from '../db/database';
import { addKit } from '../db/kits';
import { findSpreadOfWeek } from '../db/spreads';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const wanted = { week: '2027-W06', bookId: 'three-box', kitId: 'rockpool', manner: 'scattered' };
const thin = kitOf(
  piece({ kit: 'thin', code: 'L', kind: 'label', width: 38, count: 4 }),
  piece({ kit: 'thin', code: 'C', kind: 'checklist', height: 48, rows: 6, count: 1 }),
);

describe('a week is counted before it is begun', () => {
  it('by a kit that has all it needs to carry its items', async () => {
    const { lacking, carried, days } = done(await countWeek(wanted));
    expect(days[0]).toBe('2027-02-08');
    expect(lacking.every((e) => e.there < e.needed)).toBe(true);
    expect(lacking.map((e) => e.what)).not.toContain('bases');
    expect(carried).toBeNull();
    expect(await findSpreadOfWeek(db, wanted.week)).toBeUndefined();
  });

  it('by a thin one, with what is written on the paper, day by day', async () => {
    await addKit(db, { ...thin, name: 'thin' }, 'kit');
    const { lacking, carried } = done(await countWeek({ ...wanted, kitId: 'thin' }));
    expect(lacking.find((e) => e.what === 'bases')).toMatchObject({ there: 4 });
    expect(carried!.onPaper).toHaveLength(7);
    const ink = carried!.onPaper.reduce((a, b) => a + b, 0);
    expect(ink).toBeGreaterThan(10);
    expect(carried!.items).toBe(carried!.onStickers + ink + carried!.leftOut);
  });

  it('by what other weeks have left of it', async () => {
    const first = done(await countWeek(wanted)).lacking;
    await layWeek(db);
    const next = done(await countWeek({ ...wanted, week: '2027-W07' })).lacking;
    const there = (list: typeof first, what: string): number => list.find((e) => e.what === what)?.there ?? 99;
    expect(there(next, 'date-cover')).toBeLessThan(there(first, 'date-cover'));
    expect(there(next, 'full-box')).toBeLessThan(7);
  });

  it.each([
    ['week', '2027-W53', 'a week such as 2027-W06'],
    ['bookId', 'no-book', 'one of your books'],
    ['kitId', 'no-kit', 'one of your kits'],
    ['manner', '__proto__', 'a manner of your own'],
  ])('or refused, saying what is not there: %s', async (field, value, why) =>
    expect(refusal(await countWeek({ ...wanted, [field]: value }))).toContain(why),
  );
});
