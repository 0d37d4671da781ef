import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { threeBox } from '../book/three-box';
import { dayColumn } from '../book/columns';
import { rowFrames } from '../book/rows';
import type { Placement } from '../spread/placement';
import { restDays } from '../spread/rest-days';
import { blanksOf } from './blanks';
import { costOfDay, costOfWeek, eyeCost, eyeTerms } from './registry';
import { sayEye } from './say-eye';
import { sightOf, withMarks } from './sight';

const column = dayColumn(threeBox, 0)!;
const [right, foot] = [column.x + column.w, column.y + column.h];
const kit = kitOf(
  piece({ code: 'L', kind: 'label', width: 38.1, height: 12, count: 20 }),
  piece({ code: 'H', kind: 'header', width: 38.1, height: 6.4, count: 20 }),
  piece({ code: 'B', kind: 'half-box', width: 38.1, height: 24.1, count: 20 }),
  piece({ code: 'F', kind: 'full-box', width: 38.1, height: 48.3, count: 20 }),
  piece({ code: 'D', kind: 'deco', width: 15, height: 15, count: 20 }),
  piece({ code: 'E', kind: 'deco', width: 15, height: 15, count: 20 }),
);
const c = context({ book: threeBox, kit });
let next = 0;
const lay = (code: string, y: number, over: Partial<Placement> = {}): Placement => {
  const { width, height } = kit.pieces.find((p) => p.code === code)!;
  const isDeco = code === 'D' || code === 'E';
  return placement({
    id: `e${next++}`,
    code,
    copy: next,
    page: column.page,
    day: 0,
    x: column.x,
    y,
    w: width,
    h: height,
    role: isDeco ? 'finish' : 'day',
    text: null,
    items: [],
    ...over,
  });
};
const cost = (name: string, ...laid: Placement[]): number =>
  eyeTerms(sightOf(c, laid)).find(({ term }) => term.name === name)?.cost ?? 0;

describe('what the eye minds', () => {
  it('blank: by what a bare run is longer than a gap, a hole more', () => {
    const filled = (to: number) => lay('L', column.y, { h: to });
    expect(blanksOf(column, [])).toEqual([{ from: column.y, to: foot }]);
    const at = (bare: number) =>
      costOfDay(sightOf(c, [filled(column.h - bare)]), 0) - costOfDay(sightOf(c, [filled(column.h)]), 0);
    expect(at(18)).toBeCloseTo(0);
    expect(at(38)).toBeCloseTo(20 * 0.5);
    expect(at(55)).toBeCloseTo(37 * 0.5 + 10 * 1.4);
    const airy = context({ book: threeBox, kit, options: { ...c.options, whiteSpace: 0.5 } });
    const wanted = (on: typeof c) =>
      costOfDay(sightOf(on, [filled(column.h - 55)]), 0) - costOfDay(sightOf(on, [filled(column.h)]), 0);
    expect(wanted(airy)).toBeLessThan(wanted(c));
  });

  it('a run is bare while less than a quarter of its width is covered', () => {
    const narrow = (w: number) => blanksOf(column, [{ x: column.x, y: column.y + 40, w, h: 20 }]).length;
    expect([narrow(column.w * 0.24), narrow(column.w * 0.26)]).toEqual([1, 2]);
  });

  it('company: alone, beside something, upon a box or another picture; and not on the axis', () => {
    const box = lay('F', 80);
    expect(cost('company', lay('D', 140))).toBeCloseTo(14);
    expect(cost('company', lay('D', 140, { x: column.x + (column.w - 15) / 2 }))).toBeCloseTo(18);
    expect(cost('company', lay('L', 127, { text: 'vet' }), lay('D', 140))).toBeCloseTo(7);
    expect(cost('company', lay('L', 125, { text: 'vet' }), lay('D', 140))).toBeCloseTo(14);
    const wide = (h: number) => cost('company', lay('D', 140, { w: column.w * 0.8, h }));
    expect([wide(17), wide(19)]).toEqual([expect.closeTo(14), 0]);
    expect(cost('company', box, lay('D', 120, { layer: 1 }))).toBe(0);
    expect(cost('company', lay('D', 140), lay('E', 150, { x: right - 25, layer: 1 }))).toBe(0);
  });

  it('twins: the same picture under itself, and beside itself; another is none', () => {
    expect(cost('twins', lay('D', 80), lay('D', 149))).toBeCloseTo(16);
    expect(cost('twins', lay('D', 80), lay('D', 151))).toBe(0);
    expect(cost('twins', lay('D', 80), lay('E', 100))).toBe(0);
    // the same picture in another color is one as well, though less of a repeat
    const pebbles = { motif: 'pebbles' };
    const two = kitOf(...kit.pieces.map((p) => (p.kind === 'deco' ? { ...p, ...pebbles } : p)));
    const laid = [lay('D', 80), lay('E', 100)];
    expect(eyeTerms(sightOf({ ...c, kit: two }, laid)).find(({ term }) => term.name === 'twins')?.cost).toBeCloseTo(16 * 0.6); // prettier-ignore
    const next_ = dayColumn(threeBox, 1)!;
    const beside = (y: number) => cost('twins', lay('D', 80), lay('D', y, { day: 1, page: next_.page, x: next_.x }));
    expect([beside(99), beside(101)]).toEqual([4, 0]);
    expect(cost('twins', lay('F', 80, { role: 'box' }), lay('F', 130, { role: 'finish' }))).toBeCloseTo(16);
    expect(cost('twins', lay('F', 80, { role: 'box' }), lay('F', 130, { role: 'box' }))).toBe(0);
  });

  it('crowd, bare boxes, headers over nothing', () => {
    const many = [0, 1, 2, 3].map((i) => lay(i % 2 ? 'D' : 'E', 50 + i * 40));
    expect(cost('crowd', ...many.slice(1))).toBe(0);
    expect(cost('crowd', ...many)).toBe(5);
    const bare = lay('B', 100, { role: 'finish' });
    expect(cost('bare box', bare)).toBe(6);
    expect(cost('bare box', { ...bare, role: 'day' })).toBe(0);
    const full = lay('F', 100, { role: 'box' });
    expect([cost('bare box', full), cost('bare box', full, lay('D', 110, { layer: 1 }))]).toEqual([8, 0]);
    expect(cost('bare box', { ...full, items: ['a'] })).toBe(0);
    const scene = { ...c, kit: kitOf(...kit.pieces.map((p) => (p.code === 'F' ? { ...p, motif: 'lighthouse' } : p))) };
    expect(eyeTerms(sightOf(scene, [full])).find(({ term }) => term.name === 'bare box')).toBeUndefined();
    const low = {
      ...c,
      kit: kitOf(...kit.pieces.map((p) => (p.code === 'B' ? { ...p, kind: 'quarter-box' as const } : p))),
    };
    expect(eyeTerms(sightOf(low, [bare])).find(({ term }) => term.name === 'bare box')?.cost).toBe(10);
    expect(cost('bare box', bare, lay('D', 110, { layer: 1 }))).toBe(0);
    expect(cost('bare box', { ...bare, text: 'vet' })).toBe(0);
    // a box upon a box leaves both bare
    expect(cost('bare box', full, { ...bare, y: 120, layer: 1 })).toBe(8 + 6);
    expect(cost('idle header', lay('H', 50, { role: 'base' }))).toBe(14);
    expect(cost('idle header', lay('H', 50, { role: 'base' }), lay('L', 71))).toBe(0);
    expect(cost('idle header', lay('H', 50, { role: 'base' }), lay('L', 72))).toBe(14);
  });

  it('hidden: what lies for the better part under something that is there for its looks', () => {
    const over = (y: number) => cost('hidden', lay('D', 80), lay('E', y, { layer: 1 }));
    expect([over(80 + 15 * 0.5), over(80 + 15 * 0.6)]).toEqual([8, 0]);
    expect(cost('hidden', lay('D', 80, { text: 'vet' }), lay('E', 80, { layer: 1 }))).toBe(0);
    expect(cost('hidden', lay('D', 80), lay('E', 80))).toBe(0);
  });

  it('parts of a box that is shortened are one box to it', () => {
    const cut = (y: number, from: number) => ({
      y,
      h: 20,
      layer: from ? 1 : 0,
      cut: { x: 0, y: from, w: 38.1, h: 20 },
    });
    const [a, b] = [lay('F', 100, { role: 'box', ...cut(100, 0) }), lay('F', 115, { role: 'box', ...cut(115, 28) })];
    expect(sightOf(c, [a, { ...b, copy: a.copy }]).byDay[0]).toMatchObject([{ y: 100, h: 35 }]);
    expect(sightOf(c, [a, b]).byDay[0]).toHaveLength(2);
  });

  it('a row with nothing in it where each has its job, a free day aside', () => {
    const vet = demand({ uid: 'v', key: 'v', title: 'vet', day: 0, lastDay: 0 });
    const rows = context({ book: threeBox, kit, manner: 'three-rows', week: weekWith(vet) });
    const frames = rowFrames(rows.book, 0);
    const of = (on: typeof c, ...laid: Placement[]) =>
      eyeTerms(sightOf(on, laid)).find(({ term }) => term.name === 'empty row')?.cost ?? 0;
    const bare = of(rows);
    expect(bare).toBe(9 * 3 * (7 - restDays(rows).size));
    const edge = lay('L', frames[1]!.y - 8); // 4 mm of it reach into the row
    expect(of(rows, edge)).toBe(bare);
    expect(of(rows, lay('L', frames[1]!.y - 7.9))).toBe(bare - 9);
    expect(of(c)).toBe(0);
  });

  it('pictures gathered on one page', () => {
    const weigh = (...laid: Placement[]) => costOfWeek(sightOf(c, laid));
    const right_ = dayColumn(threeBox, 6)!;
    const left = lay('D', 80);
    expect(weigh(left)).toBeCloseTo(6 / 3);
    expect(weigh(left, lay('E', 80, { page: right_.page, day: 6, x: right_.x }))).toBeLessThan(1);
  });

  it('is the sum of its terms, and knows a piece before it is laid', () => {
    const laid = [lay('H', 50, { role: 'base' }), lay('D', 140)];
    const sight = sightOf(c, laid);
    expect(eyeCost(sight)).toBeCloseTo(eyeTerms(sight).reduce((sum, t) => sum + t.cost, 0));
    const more = lay('L', 57);
    const [mark] = sightOf(c, [more]).byDay[0]!;
    expect(eyeCost(withMarks(sight, 0, [mark!]))).toBeCloseTo(eyeCost(sightOf(c, [...laid, more])));
    expect(sayEye(sight)).toEqual([
      'bare paper that nobody asked for',
      'pictures that float by themselves',
      'headers that head nothing',
    ]);
    expect(eyeTerms(sight).every(({ term }) => term.says.length > 10)).toBe(true);
  });
});
