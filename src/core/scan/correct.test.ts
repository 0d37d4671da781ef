import type { Rect } from '../measure/rect';
import type { FoundPiece } from './found';
import {
  add,
  confirm,
  eachItsOwn,
  grid,
  inLine,
  inLineWith,
  join,
  nudge,
  remove,
  reshape,
  resize,
  sameAs,
  stickerOf,
  tell,
  usedUp,
} from './correct';
import { kitOfScan } from './kit-of-scan';
import { readKit, writeKit } from '../format/kit-csv';

const piece = (over: Partial<FoundPiece>): FoundPiece => ({
  x: 5, y: 5, w: 20, h: 10, shape: 'rect', color: '#c2543d', accent: '#c2543d', foil: 'none', rows: 0, kind: 'label', design: 0, doubts: ['kind'], ...over,
}); // prettier-ignore
const all = [
  stickerOf(piece({}), 1),
  stickerOf(piece({ x: 30 }), 2),
  stickerOf(piece({ x: 5, y: 30, design: 1, w: 40, h: 20 }), 3),
];

it('what is said of one is said of all copies, and settles them', () => {
  const told = tell(all, [1], { kind: 'checklist', words: 'list' });
  expect(told.map((s) => [s.kind, s.words, s.rows, s.writable, s.doubts.length])).toEqual([
    ['checklist', 'list', 6, 'yes', 0],
    ['checklist', 'list', 6, 'yes', 0],
    ['label', '', 0, 'yes', 1],
  ]);
  expect(confirm(all, [3]).map((s) => s.doubts.length)).toEqual([1, 1, 0]);
});

it('several become one design, or each its own', () => {
  const same = sameAs(all, [3, 1]);
  expect(same.map((s) => s.design)).toEqual([1, 0, 1]);
  expect(new Set(eachItsOwn(same, [1, 2, 3]).map((s) => s.design)).size).toBe(3);
});

it('several are joined to one round them all, one is split to a grid of copies', () => {
  const one = join(all, [1, 2]);
  expect(one.map((s) => [s.x, s.y, s.w, s.h])).toEqual([
    [5, 5, 45, 10],
    [5, 30, 40, 20],
  ]);
  const parts = grid(all, 3, 2, 2);
  expect(parts.slice(2).map((s) => [s.x, s.y, s.w, s.h])).toEqual([
    [5, 30, 20, 10],
    [25, 30, 20, 10],
    [5, 40, 20, 10],
    [25, 40, 20, 10],
  ]);
  expect(new Set(parts.slice(2).map((s) => s.design)).size).toBe(1);
  expect(new Set(parts.map((s) => s.id)).size).toBe(parts.length);
  expect(() => grid(all, 3, 0, 2)).toThrow(RangeError);
});

it('edges are moved, stickers removed and drawn anew', () => {
  expect(reshape(all, 2, { x: 30, y: 5, w: 22, h: 10 })[1]).toMatchObject({ w: 22, doubts: [] });
  expect(remove(all, [1, 3]).map((s) => s.id)).toEqual([2]);
  expect(add(all, { x: 1, y: 2, w: 3, h: 4 })[3]).toMatchObject({ id: 4, design: 2, w: 3, kind: 'label' });
});

it('a row and a column are those that the middle goes through', () => {
  expect(inLineWith(all, 1, 'row')).toEqual([1, 2]);
  expect(inLineWith(all, 1, 'column')).toEqual([1, 3]);
});

it('sheets make a kit that its own file reads back', () => {
  const { kit, scanned } = kitOfScan('shore leave', [{ stickers: all }, { stickers: [stickerOf(piece({}), 1)] }]);
  expect(kit.pieces.map((p) => [p.code, p.count, p.sheet, p.width])).toEqual([
    ['LA-1', 2, 1, 20],
    ['LA-2', 1, 1, 40],
    ['LA-3', 1, 2, 20],
  ]);
  expect(scanned.map((s) => s.sheet)).toEqual([0, 0, 1]);
  expect(readKit(writeKit(kit), 'shore leave.kit.csv', 'shore leave')).toEqual(kit);
});

it('a sticker is moved by keys, or its right and its lower edge are; it never gets smaller than a crumb', () => {
  const [one] = all;
  const rect = ({ x, y, w, h }: Rect) => [x, y, w, h].map((n) => Math.round(n * 10) / 10);
  const now = (dx: number, dy: number, edges: boolean) => rect(nudge(all, one!.id, dx, dy, edges)[0]!);
  const [x, y, w, h] = rect(one!) as [number, number, number, number];
  expect(now(0.2, -0.2, false)).toEqual([x + 0.2, y - 0.2, w, h].map((n) => Math.round(n * 10) / 10));
  expect(now(0.2, 1, true)).toEqual([x, y, w + 0.2, h + 1].map((n) => Math.round(n * 10) / 10));
  expect(now(-500, -500, true).slice(2)).toEqual([2, 2]);
  expect(nudge(all, 999, 1, 1, false)).toEqual([...all]);
});

it('a width that is typed is that of all copies, each about its own middle', () => {
  const typed = resize(all, [1], { w: 24 });
  expect(typed.map(({ x, y, w, h }) => [x, y, w, h])).toEqual([
    [3, 5, 24, 10],
    [28, 5, 24, 10],
    [5, 30, 40, 20],
  ]);
  expect(typed.map((s) => s.doubts.length)).toEqual([0, 0, 1]);
  expect(resize(all, [3], { h: 0.5 })[2]).toMatchObject({ y: 39, h: 2 });
});

it('what becomes one design has one size', () => {
  const same = sameAs(all, [1, 3]);
  expect(same[2]).toMatchObject({ x: 15, y: 35, w: 20, h: 10, design: 0 });
  expect(same[1]).toEqual(all[1]);
});

it('an edge is drawn to that of a neighbor within half a millimeter', () => {
  expect([25.4, 25.6, 29.5, 29.4].map((x) => inLine(x, 'across', all))).toEqual([25, 25.6, 30, 29.4]);
  expect(inLine(15.3, 'down', all)).toBe(15);
  expect(inLine(15.3, 'down', [])).toBe(15.3);
});

it('places that look used up are asked about together', () =>
  expect(usedUp([...all, stickerOf(piece({ doubts: ['used', 'kind'] }), 4)])).toEqual([4]));
