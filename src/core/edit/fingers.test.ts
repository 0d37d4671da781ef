import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { bottom } from '../measure/rect';
import { adriftOf } from '../spread/adrift';
import type { Placement } from '../spread/placement';
import { apply } from './change';
import { distancesAround } from './distances';
import { layAt } from './lay-at';
import { cutToRows, cutToWidth, joinLists, layer, reachOf, turnAround } from './reshape';
import { keepAsMemory, serve, wishesFor } from './serve';
import { snap } from './snap';
import { placeAt, spotsFor } from './spots';
import { copyTo, lockTogether, moveTogether, removeTogether } from './together';

const label = piece({ code: 'L', kind: 'label', height: 12, count: 3 });
const list = piece({ code: 'CL', kind: 'checklist', height: 48, rows: 6, count: 2 });
const strip = piece({ code: 'W', kind: 'washi', width: 120, height: 8, count: 1, opacity: 0.55 });
const icon = piece({
  code: 'I',
  kind: 'icon',
  width: 10,
  height: 10,
  shape: 'free',
  writable: 'no',
  count: 2,
  icon: 'laundry',
});
const kit = kitOf(label, list, strip, icon);
const laundry = demand({ uid: 'laundry', title: 'laundry', day: 1 });
const vet = demand({ uid: 'vet', title: 'vet, Juniper', kind: 'appointment', day: 0, start: 600, end: 660 });
const c = context({ kit, week: weekWith(laundry, vet) });
const column = dayColumn(c.book, 1)!;
const put = (over: Partial<Placement>): Placement =>
  placement({
    kit: 'test',
    code: 'L',
    page: column.page,
    x: column.x,
    y: 80,
    w: 38.1,
    h: 12,
    day: 1,
    role: 'day',
    ...over,
  });
const on = (placements: readonly Placement[], id = 'p1') => placements.find((p) => p.id === id)!;

describe('a base that is laid', () => {
  const base = put({ id: 'p1' });
  it('is asked for the items it could carry, those of its day first', () =>
    expect(wishesFor(c, [base], 'p1').map((w) => w.demand.uid)).toEqual(['laundry', 'vet']));
  it('offers to be the item that its words name', () =>
    expect(wishesFor(c, [put({ id: 'p1', text: 'Vet' })], 'p1')[0]!.demand.uid).toBe('vet'));
  it('carries the one it is given, so that it counts as placed', () => {
    const served = on(apply([base], serve(c, [base], 'p1', 'laundry')!));
    expect(served).toMatchObject({ items: ['laundry'], text: 'laundry', size: 1 });
    expect(served.ink).not.toBeNull();
    expect(wishesFor(c, [served], 'p1')).toEqual([]);
    expect(wishesFor(c, [served, put({ id: 'p2', y: 120 })], 'p2').map((w) => w.demand.uid)).toEqual(['vet']);
  });
  it('asks nothing where it is stuck down for good, or carries no item by its kind', () => {
    expect(serve(c, [put({ id: 'p1', locked: true })], 'p1', 'laundry')).toBeNull();
    expect(wishesFor(c, [put({ id: 'p1', code: 'I' })], 'p1')).toEqual([]);
  });
  it('is kept as a memory once the agenda has its item no more', () => {
    const gone = put({ id: 'p1', items: ['dentist', 'vet'], text: 'dentist' });
    expect(adriftOf([gone, put({ id: 'p2', items: ['vet'] })], c.week)).toEqual([{ id: 'p1', gone: ['dentist'] }]);
    expect(on(apply([gone], keepAsMemory(c, gone, ['dentist'])))).toMatchObject({ items: ['vet'], text: 'dentist' });
  });
});

describe('a sticker dropped from its sheet', () => {
  it('lies in the column it is dropped on, at its edge', () => {
    const [laid] = layAt(c, [], label, { page: column.page, x: column.x + 20, y: column.y + 7 })!.after;
    expect(laid).toMatchObject({ day: 1, role: 'day', layer: 0, y: column.y });
  });
  it('joins the base that an icon is dropped on as one stack', () => {
    const base = put({ id: 'p1' });
    const [laid] = layAt(c, [base], icon, { page: column.page, x: base.x + 6, y: 83 })!.after;
    expect(laid).toMatchObject({ layer: 1, day: 1, role: 'day', y: 80 });
    expect(laid!.x).toBeGreaterThanOrEqual(base.x);
  });
  it('is cut from a strip as long as the column is wide', () =>
    expect(layAt(c, [], strip, { page: column.page, x: column.x + 20, y: 100 })!.after[0]!.w).toBeCloseTo(column.w));
  it('is not laid where none is left', () => {
    const all = [1, 2, 3].map((copy) => put({ id: `p${copy}`, copy }));
    expect(layAt(c, all, label, { page: column.page, x: column.x, y: 60 })).toBeNull();
  });
});

describe('a list without room for all its rows', () => {
  it('is offered with as many as fit, and lies so', () => {
    const full = put({ id: 'p1', x: column.x, y: column.y, h: column.h - 26, w: column.w });
    const spot = spotsFor(c, [full], list).find((s) => s.day === 1)!;
    expect(spot).toMatchObject({ rows: 3, h: 24, say: expect.stringContaining('cut to 3 rows') });
    expect(placeAt(c, [full], list, spot)!.after[0]).toMatchObject({ h: 24, cut: { h: 24 } });
  });
});

describe('scissors', () => {
  it('trim a label to a width by the ruler, and give it back', () => {
    const base = put({ id: 'p1' });
    const narrow = apply([base], cutToWidth(c, [base], 'p1', 30)!);
    expect(on(narrow)).toMatchObject({ w: 30, cut: { w: 30, h: 12 } });
    expect(on(apply(narrow, cutToWidth(c, narrow, 'p1', 38.1)!))).toMatchObject({ w: 38.1, cut: null });
    expect(cutToWidth(c, [base], 'p1', 39)).toBeNull();
    expect(cutToWidth(c, [base], 'p1', 3)).toBeNull();
  });
  it('cut a six-row list to three rows, and no lower than what is written', () => {
    const six = put({ id: 'p1', code: 'CL', h: 48 });
    expect(on(apply([six], cutToRows(c, [six], 'p1', 3)!))).toMatchObject({ h: 24, cut: { h: 24 } });
    const written = put({ id: 'p1', code: 'CL', h: 48, text: 'a\nb\nc\nd', items: ['a', 'b', 'c', 'd'] });
    expect(reachOf(c, [written], 'p1')!.rows).toEqual([4, 6]);
    expect(cutToRows(c, [written], 'p1', 3)).toBeNull();
  });
  it('cut a strip to a length, as long as there is of it', () => {
    const tape = put({ id: 'p1', code: 'W', w: 38.1, h: 8, cut: { x: 0, y: 0, w: 38.1, h: 8 } });
    expect(reachOf(c, [tape], 'p1')!.width[1]).toBeCloseTo(120);
    expect(on(apply([tape], cutToWidth(c, [tape], 'p1', 100)!)).w).toBe(100);
  });
  it('are not needed to join two parts of one list edge to edge', () => {
    const parts = [put({ id: 'p1', code: 'CL', h: 24, y: 60 }), put({ id: 'p2', code: 'CL', copy: 2, h: 16, y: 100 })];
    const joined = apply(parts, joinLists(c, parts, 'p2')!);
    expect(on(joined, 'p2').y).toBe(84);
    expect(joinLists(c, joined, 'p2')).toBeNull();
    expect(joinLists(c, parts, 'p1')).toBeNull();
  });
  it('never cut an icon, nor what is stuck down', () => {
    expect(reachOf(c, [put({ id: 'p1', code: 'I' })], 'p1')).toBeNull();
    expect(reachOf(c, [put({ id: 'p1', locked: true })], 'p1')).toBeNull();
  });
});

describe('over and under', () => {
  const [lower, upper] = [put({ id: 'p1' }), put({ id: 'p2', y: 85, layer: 1 })];
  it('lays what is under over all that it touches', () =>
    expect(on(apply([lower, upper], layer(c, [lower, upper], 'p1', 'over')!)).layer).toBe(2));
  it('lays what is over under, the others coming up', () => {
    const after = apply([lower, upper], layer(c, [lower, upper], 'p2', 'under')!);
    expect([on(after, 'p1').layer, on(after, 'p2').layer]).toEqual([1, 0]);
  });
  it('does nothing where it lies so already, or alone', () => {
    expect(layer(c, [lower, upper], 'p2', 'over')).toBeNull();
    expect(layer(c, [lower], 'p1', 'under')).toBeNull();
  });
  it('turns upside down', () => expect(on(apply([lower], turnAround(c, lower)!)).turn).toBe(180));
});

describe('several at once', () => {
  const [one, two, held] = [
    put({ id: 'p1' }),
    put({ id: 'p2', y: 100, copy: 2 }),
    put({ id: 'p3', y: 120, copy: 3, locked: true }),
  ];
  const all = [one, two, held];
  const ids = ['p1', 'p2', 'p3'];
  it('move, but for what is stuck down', () => {
    const after = apply(all, moveTogether(c, all, ids, 2, -3)!);
    expect(after.map((p) => p.y)).toEqual([77, 97, 120]);
    expect(moveTogether(c, [held], ['p3'], 2, 0)).toBeNull();
  });
  it('come off in one edit', () => expect(apply(all, removeTogether(all, ids)!)).toEqual([held]));
  it('are locked, and freed once all are', () => {
    const after = apply(all, lockTogether(all, ids)!);
    expect(after.every((p) => p.locked)).toBe(true);
    expect(apply(after, lockTogether(after, ids)!).some((p) => p.locked)).toBe(false);
  });
  it('copy their dressing to another day, from other copies', () => {
    const stack = [one, put({ id: 'p9', code: 'I', x: one.x + 2, w: 10, h: 10, y: 81, layer: 1 })];
    const added = copyTo(c, stack, 'p1', 3)!.after;
    expect(added).toHaveLength(2);
    expect(added[0]).toMatchObject({ day: 3, copy: 2, y: 80, items: [] });
    expect(copyTo(c, [one, two, held], 'p1', 3)).toBeNull(); // all three labels are used
    expect(copyTo(c, stack, 'p1', 1)).toBeNull();
  });
});

describe('while it is moved', () => {
  const above = put({ id: 'p1', y: 60 });
  const below = put({ id: 'p2', y: 100 });
  const at = { x: column.x, y: 80, w: 38.1, h: 12 };
  it('shows how far it is from what is around', () => {
    const mm = distancesAround(c, [above, below], new Set(), column.page, at).map((d) => Math.round(d.mm * 10) / 10);
    expect(mm).toEqual(expect.arrayContaining([8, 8]));
  });
  it('falls to equal gaps between its neighbors', () =>
    expect(snap(c, [above, below], new Set(), column.page, { ...at, y: 81.2 }).y).toBeCloseTo((72 + 100 - 12) / 2));
  it('falls to a line of another column where nothing nearer pulls', () => {
    const other = dayColumn(c.book, 0)!;
    const far = put({ id: 'p3', x: other.x, y: 140.6, day: 0 });
    expect(snap(c, [far], new Set(), column.page, { ...at, y: 140 }).y).toBeCloseTo(140.6);
    expect(bottom(at)).toBe(92);
  });
});
