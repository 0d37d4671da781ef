import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../../tests/fixtures';
import { threeBox } from '../../book/three-box';
import { dayColumn } from '../../book/columns';
import { rowFrames } from '../../book/rows';
import type { Kit, Piece } from '../../kit/kit';
import { bottom, intersect } from '../../measure/rect';
import { Draft } from '../../spread/draft';
import type { Context, Placement } from '../../spread/placement';
import { footprint, pieceIndex } from '../../spread/placement';
import { pieceKey } from '../../kit/kit';
import { TICK_WIDTH } from '../../spread/writing';
import { dressLeft } from './dress-left';
import { filling } from './filling';

const column = dayColumn(threeBox, 0)!;
const made = (kit: Kit, over: Partial<Parameters<typeof context>[0]> = {}): Context =>
  context({ book: threeBox, kit, week: weekWith(), ...over });
const filled = (c: Context, ...there: Placement[]) => filling(Draft.begin(c, there), c).placements;
const kindOf = (c: Context, p: Placement) => pieceIndex(c).get(pieceKey(p))?.kind;
const deco = (over: Partial<Piece> = {}) =>
  piece({ code: 'D', kind: 'deco', width: 15, height: 18, count: 1, ...over });
const box = (over: Partial<Piece> = {}) =>
  piece({ code: 'F', kind: 'full-box', width: 38.1, height: 48.3, writable: 'no', ...over });

describe('filling', () => {
  it('lays pictures over the corners of boxes, and covers nothing that is written', () => {
    const designs = ['D', 'E', 'G', 'I', 'J', 'K', 'M'].map((code) => deco({ code, count: 5 }));
    const c = made(kitOf(...designs, box({ count: 7 })));
    const boxes = [0, 1, 2, 3, 4, 5, 6].map((day) => {
      const { page, x, y } = dayColumn(threeBox, day)!;
      return placement({ id: `b${day}`, code: 'F', copy: day + 1, role: 'box', day, page, x, y: y + 60, w: 38.1, h: 48.3, text: null, items: [] }); // prettier-ignore
    });
    const over = (there: Placement[]) => {
      const pictures = filled(c, ...there).filter((p) => kindOf(c, p) === 'deco');
      expect(pictures.length).toBeGreaterThan(3);
      return pictures.flatMap((p) =>
        there.some((b) => b.page === p.page && p.layer > b.layer && intersect(footprint(p), footprint(b))) ? [p] : [],
      );
    };
    const corners = over(boxes);
    expect(corners.length).toBeGreaterThan(1);
    for (const p of corners) {
      const { x, w } = dayColumn(threeBox, p.day!)!;
      expect(Math.min(Math.abs(p.x - x), Math.abs(p.x + p.w - x - w))).toBeLessThan(0.1);
    }
    expect(over(boxes.map((b) => ({ ...b, text: 'vet' })))).toEqual([]);
  });

  it('lays none where none is wanted, nor one cluster twice', () => {
    const c = made(kitOf(deco({ count: 9 })));
    for (const ways of ['none', 'cluster'] as const)
      expect(filled({ ...c, ways: { ...c.ways, deco: ways } })).toEqual([]);
    expect(filled(c).length).toBeGreaterThan(3);
  });

  it('gives a day without one its full box, never like its neighbor’s', () => {
    const c = made(kitOf(box({ count: 7, color: '#1f6f78' })));
    const days = filled(c).flatMap((p) => (p.role === 'box' ? [p.day] : []));
    expect(days.length).toBeGreaterThan(1);
    for (const day of days) expect(days).not.toContain((day as number) + 1);
  });

  it('lays two pictures as one, the second over the corner of the first, of two motifs', () => {
    const c = made(kitOf(deco({ motif: 'shell', count: 4 }), deco({ code: 'E', motif: 'star', count: 4 })));
    const laid = filled(c);
    const upper = laid.filter((p) => p.layer === 1);
    expect(upper.length).toBeGreaterThan(1);
    for (const p of upper) {
      const under = laid.filter((q) => q.layer === 0 && q.page === p.page && intersect(footprint(p), footprint(q)));
      expect(under.map((q) => q.code)).toEqual([p.code === 'D' ? 'E' : 'D']);
    }
  });

  it('lays rows of a checklist, its shapes cut away, with a picture on it where there is one (L4)', () => {
    const list = piece({ code: 'C', kind: 'checklist', width: 38.1, height: 48, rows: 6, words: '', count: 3 });
    const c = made(kitOf(list));
    const laid = filled(c);
    expect(laid.length).toBeGreaterThan(1);
    for (const p of laid) {
      expect(p).toMatchObject({ role: 'finish', items: [], text: null });
      expect(p.cut?.x).toBe(TICK_WIDTH);
      expect(p.h % 8).toBeCloseTo(0);
    }
    expect(found('L4', c, laid)).toEqual([]);
    const both = made(kitOf(list, deco({ count: 3 })));
    const over = filled(both);
    const lists = over.filter((p) => p.code === 'C');
    const on = over.filter((p) => p.code === 'D' && lists.some((q) => q.page === p.page && intersect(footprint(p), footprint(q)))); // prettier-ignore
    expect(on.length).toBeGreaterThan(0);
    expect(filled(made(kitOf({ ...list, words: 'to buy' })))).toEqual([]);
  });

  it('stands a box in the middle of an open place, where that leaves the least of it bare', () => {
    const half = piece({ code: 'B', kind: 'half-box', width: 38.1, height: 24.1, count: 7 });
    const ys = new Set(filled(made(kitOf(half))).map((p) => Math.round(p.y - column.y)));
    expect(ys).toContain(Math.round((column.h - 24.1) / 2));
  });

  it('shortens a pattern by cutting it in two where the room is too low (F2)', () => {
    const c = made(kitOf(box({ motif: 'waves', height: 60 })));
    const most = column.h - 68;
    const low = [0, 1, 2, 3, 4, 5, 6].map((day) => {
      const at = dayColumn(threeBox, day)!;
      return placement({ id: `w${day}`, kit: '', code: '', day, page: at.page, x: at.x, y: at.y, w: at.w, h: most, text: 'note', items: [] }); // prettier-ignore
    });
    const parts = filled(c, ...low).filter((p) => kindOf(c, p) === 'full-box');
    expect(parts).toHaveLength(2);
    expect(parts[1]!.layer).toBe(parts[0]!.layer + 1);
    expect(Math.max(...parts.map(bottom)) - parts[0]!.y).toBeLessThan(60);
  });

  it('puts littles into empty rows, those with a picture first, and takes off a lower header over nothing', () => {
    const little = piece({ code: 'T', kind: 'little', width: 38.1, height: 12, icon: 'tv', count: 3 });
    const three = (kit: Kit) => made(kit, { manner: 'three-rows' });
    const c = three(kitOf(little));
    const laid = filled(c);
    expect(laid.length).toBeGreaterThan(0);
    for (const p of laid)
      expect(rowFrames(threeBox, p.day!).some((r) => p.y >= r.y && bottom(p) <= r.y + r.h + 0.1)).toBe(true);
    expect(filled(made(kitOf(little)))).toEqual([]);
    const plain = { ...little, code: 'P', icon: '', words: '', count: 30 };
    const both = filled(three(kitOf(plain, little)));
    expect(both.filter((p) => p.code === 'T')).toHaveLength(3);
    expect(both.some((p) => p.code === 'P')).toBe(true);
    const header = piece({ code: 'H', kind: 'header', width: 38.1, height: 6.4 });
    const idle = three(kitOf(header));
    const lay = (d: Draft, y: number) =>
      d.add(header, d.ledger.take(header)!, { page: column.page, x: column.x, y, role: 'base', day: 0 });
    const draft = Draft.begin(idle, []);
    lay(draft, column.y + 60);
    expect(filling(draft, idle).placements).toEqual([]);
    const kept = placement({ id: 'h', code: 'H', role: 'base', day: 0, page: column.page, x: column.x, y: column.y + 60, w: 38.1, h: 6.4, text: null, items: [] }); // prettier-ignore
    expect(filled(idle, kept)).toEqual([kept]);
  });
});

describe('what is left of icons', () => {
  const label = piece({ code: 'L', kind: 'label', width: 38.1, height: 12, writable: 'yes' });
  const icon = piece({ code: 'I', kind: 'icon', width: 10, height: 10, icon: 'laundry' });
  const item = demand({ uid: 'u', key: 'u', title: 'laundry', day: 0, lastDay: 0, start: null });
  const base = (over: Partial<Placement> = {}) => ({ page: column.page, x: column.x, y: 120, role: 'day' as const, day: 0, items: ['u'], text: 'laundry', ...over }); // prettier-ignore
  const dressed = (over: Partial<Placement> = {}, kept = false) => {
    const c = made(kitOf(label, icon), { week: weekWith(item) });
    const draft = Draft.begin(c, []);
    const p = draft.add(label, draft.ledger.take(label)!, base(over));
    return dressLeft(kept ? Draft.begin(c, [p]) : draft, c).placements;
  };

  it('goes on an item that it means and that has the room; not on what was kept, or on many', () => {
    expect(dressed().map((p) => p.code)).toEqual(['L', 'I']);
    expect(dressed({}, true)).toHaveLength(1);
    expect(dressed({ turn: 90 })).toHaveLength(1);
    expect(dressed({ text: 'a very long text about laundry that takes each of its lines and more' })).toHaveLength(1);
  });
});
