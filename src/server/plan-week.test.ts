import { beginWeek, done, freshHouse, layWeek, placementsOf } from '../../tests/house';
import sharp from 'sharp';
import type { Database } from '../db/database';
import { startSpread } from './actions';
import { choosePlanned, saveFacts } from './kit-actions';
import { layOutWhole } from './lay-out-actions';
import { finishSpread, judgeSpread } from './bench-actions';
import { arrange } from '../core/arrange/arrange';
import { pieceKey } from '../core/kit/kit';
import { contextFrom } from '../core/spread/context';
import { dataOfNewWeek } from './new-week';
import { loadPlan, tryWeek } from './plan-week';
import { listKits } from '../db/kits';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const chosen = { week: '2027-W07', bookId: 'three-box', kitId: 'rockpool', manner: 'grounded' };
const plan = async (at: Parameters<typeof loadPlan>[0] = {}) => (await loadPlan(at))!;
const kitNamed = async (id: string, at: Parameters<typeof loadPlan>[0] = {}) =>
  (await plan(at)).kits.find((k) => k.id === id)!;

describe('a week to be planned', () => {
  it('is the next that is not begun, where none, or none that there is, is asked for', async () => {
    expect((await plan()).week).toBe('2027-W06');
    expect((await plan({ week: 'soon', book: 'none' })).book).toBe((await plan()).book);
    const id = await beginWeek();
    expect((await plan()).week).toBe('2027-W07');
    expect((await plan()).weeks.map((w) => w.week)).not.toContain('2027-W06');
    expect((await plan({ week: '2027-W06' })).spreadId).toBe(id);
  });

  it('has the manner used last first, also one of one’s own', async () => {
    const first = async () => (await plan()).manners[0]!.name;
    expect(await first()).not.toBe('airy');
    done(await startSpread({ ...chosen, manner: 'airy' }));
    expect(await first()).toBe('airy');
  });

  it('has kits by what speaks for them: planned for it first, meant for another last, used last week later', async () => {
    const names = async (week: string) => (await plan({ week })).kits.map((k) => k.id);
    done(await choosePlanned({ week: '2027-W07', kit: 'night-almanac' }));
    expect((await names('2027-W07'))[0]).toBe('night-almanac');
    expect((await names('2027-W08'))[0]).toBe('rockpool');
    expect(await kitNamed('night-almanac', { week: '2027-W07' })).toMatchObject({ plannedFor: null });
    expect((await kitNamed('night-almanac', { week: '2027-W08' })).plannedFor).toBe('Feb 15 – 21');
    const { facts } = (await listKits(db)).find((k) => k.id === 'rockpool')!;
    done(await saveFacts({ kit: 'rockpool', facts: { ...facts, keptFor: '2027-W12' } }));
    expect((await kitNamed('rockpool')).plannedFor).toBe('Mar 22 – 28');
    expect((await kitNamed('rockpool')).score).toBeLessThan(-30);
  });

  it('tells what is left of a kit, and that it is on last week’s pages', async () => {
    const before = await kitNamed('rockpool');
    expect(before.left).toBe(before.total);
    await layWeek(db);
    const after = await kitNamed('rockpool', { week: '2027-W07' });
    expect(after.left).toBeLessThan(before.total);
    expect(after.why).toContain('on last week’s pages');
  });
});

describe('a week that is tried', () => {
  it('is looked at in figures and as a picture, and nothing of it is kept', async () => {
    const { figures, picture } = (await tryWeek(chosen))!;
    expect(figures.items).toBeGreaterThan(20);
    expect(figures.onStickers).toBeGreaterThan(figures.items / 2);
    const [, bytes] = picture.split(',');
    expect(picture).toMatch(/^data:image\/webp;base64,/);
    const { width, height } = await sharp(Buffer.from(bytes!, 'base64')).metadata();
    expect([width, height]).toEqual([680, 437]);
    expect(await db.selectFrom('spread').selectAll().execute()).toEqual([]);
  });

  it('is laid as it was shown, piece by piece, with all that its owner likes', async () => {
    const first = await layWeek(db);
    done(await finishSpread({ spreadId: first }));
    const box = (await placementsOf(db, first)).find((p) => p.role === 'box')!;
    done(await judgeSpread({ spreadId: first, loved: [pieceKey(box)], jarred: [] }));
    const data = await dataOfNewWeek(db, chosen);
    expect(data.likes).toHaveProperty(pieceKey(box));
    const { figures } = (await tryWeek(chosen))!;
    const { id } = done(await startSpread(chosen));
    done(await layOutWhole({ spreadId: id }));
    const laid = await placementsOf(db, id);
    expect(laid).toEqual(arrange(contextFrom(data)));
    expect(laid.filter((p) => p.kit !== '')).toHaveLength(figures.stickers);
  });

  it('is not laid out when nobody waits for it any more, and refused when its kit is not there', async () => {
    expect(await tryWeek(chosen, AbortSignal.abort())).toBeNull();
    await expect(tryWeek({ ...chosen, kitId: 'zeppelin' })).rejects.toThrow('one of your kits');
    await expect(tryWeek({ ...chosen, week: '2027-W53' })).rejects.toThrow('a week such as');
    await expect(tryWeek({ ...chosen, manner: '__proto__' })).rejects.toThrow('a manner of your own');
  });
});
