import { imageOf } from '../core/format/image-of';
import { beginWeek, done, freshHouse, layWeek, refusal } from '../../tests/house';
import type { Database } from '../db/database';
import { kitHistory } from '../db/kit-edits';
import { findKit, listKits } from '../db/kits';
import { favoritesOf } from '../db/manners';
import { listOrders, listSupplies, plannedKits } from '../db/plans';
import { stockEvents } from '../db/stock';
import { NO_FACTS } from '../core/kit/suggest';
import {
  addCheckedKit,
  changeStock,
  choosePlanned,
  removeOrder,
  removeSupply,
  saveFacts,
  saveOrder,
  saveSupply,
  searchPieces,
  setFavorite,
  takeOrders,
  undoKits,
} from './kit-actions';
import { loadKits } from './kits';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const CSV = 'code,kind,count,width_mm,height_mm\nQ,quarter-box,3,38.1,12\n';
const FACTS = { ...NO_FACTS, season: null, moods: 'fog', useBy: null, price: 4, shop: '', notes: '', keptFor: null };
const ORDER = { what: 'headers', count: 2, shop: 'the print loft', days: 3, neededBy: '2027-02-15', state: 'to order' };

describe('a kit', () => {
  it('is taken in whole, once', async () => {
    expect(done(await addCheckedKit({ name: 'fog', role: 'kit', csv: CSV }))).toEqual({ name: 'fog', designs: 1 });
    expect(refusal(await addCheckedKit({ name: 'fog', role: 'kit', csv: CSV }))).toContain('a name that no kit has');
    expect(refusal(await addCheckedKit({ name: 'mist', role: 'kit', csv: `${CSV}R,icon,1,-1,9\n` }))).toContain(
      'line 3',
    );
    expect(await findKit(db, 'mist')).toBeNull();
  });

  it('is undone by the step that the button names, and never another window’s', async () => {
    done(await saveFacts({ kit: 'rockpool', facts: FACTS }));
    const step = (await kitHistory(db)).at.undo;
    done(await saveFacts({ kit: 'night-almanac', facts: FACTS }));
    expect(await undoKits({ way: 'undo', step })).toMatchObject({ ok: false, stale: true });
    expect((await listKits(db)).map((k) => k.facts.moods)).toEqual(['fog', 'fog', '']);
    const { step: last } = done(
      await changeStock({ what: 'spoiled', kit: 'rockpool', code: 'FB-1', copy: null, reason: 'torn' }),
    );
    done(await undoKits({ way: 'undo', step: last }));
    expect(await stockEvents(db, 'rockpool')).toEqual([]);
  });

  it('has a card that can be changed and changed back', async () => {
    done(await saveFacts({ kit: 'rockpool', facts: FACTS }));
    const moods = async () => (await listKits(db)).find((k) => k.id === 'rockpool')?.facts.moods;
    expect(await moods()).toBe('fog');
    done(await undoKits({ way: 'undo' }));
    expect(await moods()).toBe('');
    expect(refusal(await saveFacts({ kit: 'none', facts: FACTS }))).toContain('one of your kits');
    expect(refusal(await saveFacts({ kit: 'rockpool', facts: { ...FACTS, price: -1 } }))).toContain('price');
  });

  it('has favorites, each once, undone and made again', async () => {
    const like = (liked: boolean) => setFavorite({ kit: 'rockpool', code: 'FB-1', liked });
    done(await like(true));
    done(await like(true));
    expect(await favoritesOf(db)).toEqual(['rockpool/FB-1']);
    done(await undoKits({ way: 'undo' }));
    expect(await favoritesOf(db)).toEqual([]);
    done(await undoKits({ way: 'redo' }));
    done(await like(false));
    expect(await favoritesOf(db)).toEqual([]);
    expect(refusal(await setFavorite({ kit: 'rockpool', code: 'constructor', liked: true }))).toContain('a piece of');
  });
});

describe('the stock', () => {
  const change = (what: string, over: object = {}) =>
    changeStock({ what, kit: 'rockpool', code: 'FB-1', copy: null, reason: 'so it was', ...over });

  it('notes what was spoiled, used and found, copy by copy', async () => {
    done(await change('found'));
    done(await change('spoiled'));
    expect((await stockEvents(db)).map((e) => [e.what, e.copy])).toEqual([
      ['found', 2],
      ['spoiled', 1],
    ]);
    done(await change('used'));
    expect(refusal(await change('used'))).toContain('no copy that is whole');
    expect(refusal(await change('spoiled', { copy: 9 }))).toContain('which is not there');
  });

  it('leaves what lies on a spread alone', async () => {
    await layWeek(db);
    const { placements } = await import('../../tests/fixtures').then((f) => f.demoSpread());
    const p = placements.find((q) => q.role === 'box')!;
    expect(refusal(await change('spoiled', { kit: p.kit, code: p.code, copy: p.copy }))).toContain('planned');
  });

  it('is not undone under a sticker that was found and is on a spread by now', async () => {
    done(await change('found'));
    const id = await beginWeek();
    const { makeEdit } = await import('../db/spread-edits');
    const { placement } = await import('../../tests/fixtures');
    const after = [placement({ kit: 'rockpool', code: 'FB-1', copy: 2, h: 48.3, role: 'box' })];
    await makeEdit(db, id, { deed: { do: 'lift all' }, before: [], after });
    expect(refusal(await undoKits({ way: 'undo' }))).toContain('take it off there first');
  });
});

it('weeks get kits, orders and supplies are kept, each undone in turn', async () => {
  done(await choosePlanned({ week: '2027-W07', kit: 'night-almanac' }));
  done(await saveOrder({ id: null, order: ORDER }));
  done(await saveSupply({ name: 'tape', unit: 'm', amount: 5, warnAt: 1, reason: 'bought' }));
  expect([...(await plannedKits(db))]).toEqual([['2027-W07', 'night-almanac']]);
  const [order] = await listOrders(db);
  done(await saveOrder({ id: order!.id, order: { ...ORDER, state: 'here' } }));
  expect((await listOrders(db)).map((o) => o.state)).toEqual(['here']);
  done(await removeOrder({ id: order!.id }));
  done(await removeSupply({ name: 'tape' }));
  expect([await listOrders(db), await listSupplies(db)]).toEqual([[], []]);
  for (let i = 0; i < 6; i++) done(await undoKits({ way: 'undo' }));
  expect([...(await plannedKits(db))]).toEqual([]);
  expect(refusal(await undoKits({ way: 'undo' }))).toContain('a change made here');
  expect(refusal(await choosePlanned({ week: '2027-W07', kit: 'none' }))).toContain('one of your kits');
});

it('what another window wrote meanwhile is not written over unasked', async () => {
  const [order, tape] = [
    { id: null, order: ORDER },
    { name: 'tape', unit: 'm', amount: 5, warnAt: 1 },
  ];
  done(await saveOrder(order));
  done(await saveSupply({ ...tape, reason: 'bought', seen: imageOf(null) }));
  const [row] = await listOrders(db);
  const [seen, of] = [imageOf(row), { id: row!.id, order: { ...ORDER, state: 'here' } }];
  done(await saveOrder({ ...of, order: { ...ORDER, count: 9 }, seen }));
  expect(await saveOrder({ ...of, seen })).toMatchObject({
    conflict: true,
    messages: [expect.stringContaining('9 ×')],
  });
  // a new supply of a name that is there
  expect(await saveSupply({ ...tape, amount: 1, reason: 'new', seen: imageOf(null) })).toMatchObject({
    conflict: true,
    messages: [expect.stringContaining('5 m of tape')],
  });
  const { facts } = (await listKits(db)).find((k) => k.id === 'rockpool')!;
  done(await saveFacts({ kit: 'rockpool', facts: { ...facts, shop: 'loft' }, seen: imageOf(facts) }));
  expect(await saveFacts({ kit: 'rockpool', facts, seen: imageOf(facts) })).toMatchObject({ conflict: true });
  expect([(await listOrders(db))[0]!.count, (await listSupplies(db))[0]!.amount]).toEqual([9, 5]);
  done(await saveFacts({ kit: 'rockpool', facts }));
});

it('an order list is read whole or not at all', async () => {
  const head = 'what,count,shop,days,needed_by,state\n';
  const good = `${head}headers,2,loft,3,2027-02-15,to order\ndots,1,loft,3,2027-02-15,ordered\n`;
  expect(done(await takeOrders({ file: 'o.csv', csv: good }))).toEqual({ count: 2 });
  expect(refusal(await takeOrders({ file: 'o.csv', csv: `${head}headers,0,loft,3,2027-02-15,to order\n` }))).toContain(
    'line 2',
  );
  expect(await listOrders(db)).toHaveLength(2);
});

it('pieces are found over all kits, by word, icon and size', async () => {
  const { pieces } = done(await searchPieces({ words: 'full box shell' }));
  expect(pieces.length).toBeGreaterThan(0);
  expect(pieces.every((p) => p.kind === 'full-box')).toBe(true);
  expect(done(await searchPieces({ words: 'zeppelin' })).pieces).toEqual([]);
});

it('the kits page counts copies, and says week by week whether a kit is enough', async () => {
  await layWeek(db);
  done(await choosePlanned({ week: '2027-W07', kit: 'rockpool' }));
  const page = await loadKits('rockpool');
  const line = page.kits.find((k) => k.name === 'rockpool')!;
  expect(line.touched).toBeGreaterThan(60);
  expect(page.chosen?.stock.flatMap((s) => s.copies).filter((c) => c.state !== 'whole')).toHaveLength(line.touched);
  const planned = page.weeks.find((w) => w.week === '2027-W07')!;
  expect(planned.enough.find((e) => e.what === 'full-box')!.there).toBeLessThan(7);
  expect(page.weeks.find((w) => w.week === '2027-W06')).toMatchObject({ kit: 'rockpool', cost: null });
  expect(page.history.undo).toEqual({ do: 'plan kit', kit: 'rockpool', week: '2027-W07' });
});
