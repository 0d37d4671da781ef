import fc from 'fast-check';
import { stockOfKit, sumsOf } from '../core/kit/stock';
import { editKits, kitHistory, stepKits } from './kit-edits';
import { listOrders, listSupplies, plannedKits } from './plans';
import { kitSums, stockEvents, usesOf } from './stock';
import { demoKit, demoSpread, piece } from '../../tests/fixtures';
import { copyKey } from '../core/kit/ledger';
import { movePiece } from '../core/edit/move';
import type { Change } from '../core/edit/change';
import { threeBox } from '../core/book/three-box';
import { agendaHistory, editAgenda, stepAgenda } from './agenda-edits';
import { findBook } from './books';
import { calendarText, listCalendars, putCalendar } from './calendars';
import type { Database } from './database';
import { openDatabase } from './database';
import { addKit, findKit, listKits } from './kits';
import { marksBetween } from './marks';
import { readSetting, writeSetting } from './settings';
import type { AgendaDeed } from '../core/week/deed';
import type { KitDeed } from '../core/kit/deed';
import type { Placement } from '../core/spread/placement';
import { isWriting } from '../core/spread/placement';
import { TakenSticker } from './available';
import { StockClash } from './clashes';
import { placementsOf } from './placements';
import { StaleEdit, historyOf, makeEdit, stepHistory, tieToAgenda } from './spread-edits';
import { addSpread, usedElsewhere } from './spreads';
import { setTick, ticksOf } from './ticks';

let db: Database;
let id: number;
const { context, placements } = demoSpread();
const laidOut: Change = { deed: { do: 'arrange', what: 'week' }, before: [], after: placements };
const kitDeed: KitDeed = { do: 'read orders', file: 'orders.csv' };
const marked = (title: string): AgendaDeed => ({ do: 'add item', title });

/** What would put a sticker in two places is refused. */
const onlyClashes = (error: unknown): void => {
  expect(error).toBeInstanceOf(StockClash);
};

/**
 * SQLite's own errors may come from another test file's world, where `instanceof Error` does not hold; their code
 * does.
 */
const sqliteSays = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => 'nothing',
    (error: { code?: string }) => error.code,
  );

beforeEach(async () => {
  db = await openDatabase(':memory:');
  await addKit(db, demoKit('rockpool'), 'kit');
  await addKit(db, demoKit('stash'), 'stash');
  id = await addSpread(db, {
    week: '2027-W06',
    book_id: 'three-box',
    kit_id: 'rockpool',
    manner: 'scattered',
    seed: 1,
    options: '{}',
  });
});
afterEach(() => db.destroy());

it('gives back books, kits and placements as they were stored', async () => {
  expect(await findBook(db, 'three-box')).toEqual(threeBox);
  expect(await findKit(db, 'rockpool')).toEqual(demoKit('rockpool'));
  await makeEdit(db, id, laidOut);
  expect(await placementsOf(db, id)).toEqual(placements);
});

it('undoes, redoes, and forgets what was undone when a new edit comes', async () => {
  await makeEdit(db, id, laidOut);
  const p = placements.find((q) => q.role === 'box')!;
  const move = movePiece(context, placements, p.id, { page: p.page, x: p.x, y: p.y + 3, day: p.day })!;
  expect(await makeEdit(db, id, move)).toMatchObject({ undo: move.deed, redo: null });
  expect((await stepHistory(db, id, 'undo'))?.history).toMatchObject({ undo: laidOut.deed, redo: move.deed });
  expect(await placementsOf(db, id)).toEqual(placements);
  expect((await stepHistory(db, id, 'redo'))?.history.redo).toBeNull();
  await stepHistory(db, id, 'undo');
  await stepHistory(db, id, 'undo');
  expect(await placementsOf(db, id)).toEqual([]);
  expect(await stepHistory(db, id, 'undo')).toBeNull();
  await makeEdit(db, id, laidOut);
  expect(await historyOf(db, id)).toMatchObject({ undo: laidOut.deed, redo: null });
});

it('takes the agenda back with the edit it was tied to, unless the agenda was changed since', async () => {
  await makeEdit(db, id, laidOut);
  const p = placements.find((q) => q.role === 'box')!;
  await makeEdit(db, id, movePiece(context, placements, p.id, { page: p.page, x: p.x, y: p.y + 3, day: p.day })!);
  const write = (text: string) =>
    editAgenda(db, { do: 'move items', count: 1, to: '2027-02-09' }, async () => [
      { on: 'calendar', name: 'own', text },
    ]);
  await write('choir on Monday');
  await tieToAgenda(db, id, await write('choir on Tuesday'));
  const says = () => calendarText(db, 'own');
  expect([(await stepHistory(db, id, 'undo'))?.withAgenda, await says()]).toEqual([true, 'choir on Monday']);
  expect([(await stepHistory(db, id, 'redo'))?.withAgenda, await says()]).toEqual([true, 'choir on Tuesday']);
  await write('choir on Tuesday, late');
  expect([(await stepHistory(db, id, 'undo'))?.withAgenda, await says()]).toEqual([false, 'choir on Tuesday, late']);
  expect((await stepHistory(db, id, 'undo'))?.withAgenda).toBe(false);
});

it('refuses an edit made for another state, and keeps nothing of it', async () => {
  await makeEdit(db, id, laidOut);
  await expect(
    makeEdit(db, id, { deed: { do: 'lift all' }, before: [{ ...placements[0]!, y: 1 }], after: [] }),
  ).rejects.toThrow(StaleEdit);
  expect(await placementsOf(db, id)).toEqual(placements);
});

it('refuses a sticker that is in no kit, or in use already, whole edit and all', async () => {
  const [one, other] = placements as [Placement, Placement];
  const lay = (after: Placement[]) => makeEdit(db, id, { deed: { do: 'lift all' }, before: [], after });
  await expect(lay([one, { ...other, code: 'none' }])).rejects.toThrow(TakenSticker);
  await expect(lay([one, { ...one, id: 'p900' }])).rejects.toThrow(TakenSticker);
  expect(await placementsOf(db, id)).toEqual([]);
  expect(await historyOf(db, id)).toMatchObject({ undo: null, revision: 0 });
});

it('takes a kit in whole or not at all', async () => {
  expect(await addKit(db, demoKit('rockpool'), 'kit')).toBe(false);
  const broken = { name: 'broken', pieces: [piece({ kit: 'broken' }), piece({ kit: 'broken', code: 'B', width: -1 })] };
  expect(await sqliteSays(addKit(db, broken, 'kit'))).toBe('SQLITE_CONSTRAINT_CHECK');
  expect(await findKit(db, 'broken')).toBeNull();
});

it('tells one week what another has used, and remembers ticks', async () => {
  await makeEdit(db, id, laidOut);
  expect(await usedElsewhere(db, id, ['rockpool', 'stash'])).toEqual([]);
  expect(await usedElsewhere(db, id + 1, ['rockpool', 'stash'])).toHaveLength(
    placements.filter((p) => !isWriting(p)).length,
  );
  expect(await usedElsewhere(db, id + 1, ['stash'])).toHaveLength(placements.filter((p) => p.kit === 'stash').length);
  await setTick(db, id, 'a', true);
  await setTick(db, id, 'a', true);
  await setTick(db, id, 'b', true);
  await setTick(db, id, 'b', false);
  expect(await ticksOf(db, id)).toEqual(['a']);
});

describe('edits of the agenda', () => {
  const ics = () => calendarText(db, 'household');
  const edit = (title: string, change: (before: string | null) => string) =>
    editAgenda(db, marked(title), async (trx) => [
      { on: 'calendar', name: 'household', text: change(await calendarText(trx, 'household')) },
    ]);

  it('are undone and redone, not over a calendar that was read anew', async () => {
    await edit('vet', (before) => `${before ?? ''}vet`);
    await edit('choir', (before) => `${before}, choir`);
    expect(await ics()).toBe('vet, choir');
    expect([await stepAgenda(db, 'undo'), await ics(), await agendaHistory(db)]).toMatchObject([
      true,
      'vet',
      { undo: marked('vet'), redo: marked('choir') },
    ]);
    expect([await stepAgenda(db, 'undo'), await ics(), await stepAgenda(db, 'undo')]).toEqual([true, null, false]);
    expect([await stepAgenda(db, 'redo'), await stepAgenda(db, 'redo'), await ics()]).toEqual([
      true,
      true,
      'vet, choir',
    ]);
    await putCalendar(db, 'household', 'another file, of vet, choir');
    expect([await stepAgenda(db, 'undo'), await ics()]).toEqual([false, 'another file, of vet, choir']);
    await expect(
      edit('x', () => {
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
    expect(await ics()).toBe('another file, of vet, choir');
  });

  it('touch calendars and marks as one', async () => {
    await editAgenda(db, { do: 'bring over', title: 'form' }, async () => [
      { on: 'calendar', name: 'household', text: 'form' },
      { on: 'calendar', name: 'house', text: 'feed', address: 'http://127.0.0.1/a.ics' },
      { on: 'mark', uid: 'f', day: '2027-02-05', mark: 'brought' },
    ]);
    expect(await marksBetween(db, '2027-02-01', '2027-02-07')).toEqual([
      { uid: 'f', day: '2027-02-05', mark: 'brought' },
    ]);
    await stepAgenda(db, 'undo');
    expect([await listCalendars(db), await marksBetween(db, '2027-02-01', '2027-02-07')]).toEqual([[], []]);
    await stepAgenda(db, 'redo');
    expect((await listCalendars(db)).map((c) => [c.name, c.address])).toEqual([
      ['household', null],
      ['house', 'http://127.0.0.1/a.ics'],
    ]);
  });

  it('keep only the part of a text that differs, and no more than fifty of them', async () => {
    const long = 'x'.repeat(50_000);
    for (let i = 0; i < 60; i++) await edit(`edit ${i}`, () => `${long}${i}${long}`);
    const { size } = await db
      .selectFrom('log')
      .select(({ fn }) => fn.sum<number>(fn<number>('length', ['effects'])).as('size'))
      .executeTakeFirstOrThrow();
    expect(size).toBeLessThan(200_000);
    for (let i = 0; i < 10; i++) await stepAgenda(db, 'undo');
    expect(await ics()).toBe(`${long}49${long}`);
    expect((await db.selectFrom('log').select('seq').execute()).length).toBe(50);
  });
});

it('keeps settings, and says so when one is not what its reader takes it for', async () => {
  const isNumber = (value: unknown): value is number => typeof value === 'number';
  expect(await readSetting(db, 'pitch', isNumber)).toBeNull();
  await writeSetting(db, 'pitch', 5);
  await writeSetting(db, 'pitch', 4);
  expect(await readSetting(db, 'pitch', isNumber)).toBe(4);
  await writeSetting(db, 'pitch', 'four');
  await expect(readSetting(db, 'pitch', isNumber)).rejects.toThrow(
    'expected the setting “pitch” in the database, found "four"',
  );
});

/** Sums by SQLite against sums by the core, over random histories of use, cut, spoil, find and undo. */
it('counts the stock as the core does, whatever happened', async () => {
  await makeEdit(db, id, laidOut);
  const kit = (await findKit(db, 'rockpool'))!;
  const step = fc.record({
    what: fc.constantFrom<('spoiled' | 'used' | 'found' | 'undo' | 'redo')[]>(
      'spoiled',
      'used',
      'found',
      'undo',
      'undo',
      'redo',
    ),
    piece: fc.nat(kit.pieces.length - 1),
    copy: fc.integer({ min: 1, max: 8 }),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 25 }), async (steps) => {
      await db.deleteFrom('stock_event').execute();
      await db.deleteFrom('log').execute();
      for (const { what, piece: at, copy } of steps) {
        if (what === 'undo' || what === 'redo') await stepKits(db, what).catch(onlyClashes);
        else {
          const { code, count } = kit.pieces[at]!;
          const found = (await stockEvents(db, 'rockpool')).filter((e) => e.what === 'found' && e.code === code).length;
          await editKits(db, kitDeed, [
            {
              table: 'stock_event',
              key: null,
              row: {
                what,
                kit_id: 'rockpool',
                code,
                copy: what === 'found' ? count + found + 1 : Math.min(copy, count + found),
                reason: 'so it was',
              },
            },
          ]).catch(onlyClashes);
        }
      }
      const sums = sumsOf(stockOfKit(kit, await usesOf(db, 'rockpool'), await stockEvents(db)));
      const counted = (await kitSums(db)).find((k) => k.kit === 'rockpool')!;
      const events = (await stockEvents(db)).filter((e) => e.what !== 'found');
      expect(new Set(events.map(copyKey)).size).toBe(events.length); // nothing is spoiled or used up twice
      expect([counted.spoiled, counted.touched, counted.total]).toEqual([
        sums.spoiled,
        sums.used + sums.cut + sums.planned,
        sums.whole + sums.planned + sums.used + sums.cut + sums.spoiled,
      ]);
    }),
    { numRuns: 60 },
  );
});

it('undoes and redoes every change of kits, plans, orders and supplies, row by row', async () => {
  const order = { what: 'headers', count: 2, shop: '', days: 3, needed_by: '2027-02-15', state: 'to order' };
  const state = async () =>
    JSON.stringify([
      [...(await plannedKits(db))],
      await listOrders(db),
      await listSupplies(db),
      (await listKits(db)).map((k) => k.facts),
    ]);
  const states = [await state()];
  for (const steps of [
    [{ table: 'kit_week' as const, key: '2027-W07', row: { kit_id: 'rockpool' } }],
    [
      { table: 'order_item' as const, key: null, row: order },
      { table: 'order_item' as const, key: null, row: { ...order, what: 'dots' } },
    ],
    [{ table: 'order_item' as const, key: 1, row: { state: 'here' } }],
    [{ table: 'supply' as const, key: 'tape', row: { unit: 'm', amount: 5, warn_at: 1 } }],
    [{ table: 'supply' as const, key: 'tape', row: { unit: 'm', amount: 2, warn_at: 1 } }],
    [{ table: 'kit' as const, key: 'rockpool', row: { facts: '{"moods":"sea"}' } }],
    [{ table: 'kit_week' as const, key: '2027-W07', row: null }],
    [{ table: 'order_item' as const, key: 2, row: null }],
  ]) {
    await editKits(db, kitDeed, steps);
    states.push(await state());
  }
  expect(new Set(states).size).toBe(states.length);
  for (const before of [...states].reverse().slice(1))
    expect([await stepKits(db, 'undo'), await state()]).toEqual([true, before]);
  expect([await stepKits(db, 'undo'), await kitHistory(db)]).toMatchObject([false, { undo: null, redo: kitDeed }]);
  for (const after of states.slice(1)) expect([await stepKits(db, 'redo'), await state()]).toEqual([true, after]);
  await expect(
    editKits(db, kitDeed, [{ table: 'kit_week', key: '2027-W08', row: { kit_id: 'no such kit' } }]),
  ).rejects.toMatchObject({ code: 'SQLITE_CONSTRAINT_FOREIGNKEY' });
  expect(await state()).toBe(states.at(-1));
});
