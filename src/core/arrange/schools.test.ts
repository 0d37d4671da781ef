import { context, demand, demoKit, demoSpread, found, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { discOpen } from '../book/disc-open';
import { fourPage } from '../book/four-page';
import { openB6 } from '../book/open-b6';
import { rowFrames } from '../book/rows';
import { threeBox } from '../book/three-box';
import { wideUndated } from '../book/wide-undated';
import { dayColumn } from '../book/columns';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { bottom, intersect, right } from '../measure/rect';
import { boxesOf } from '../review/boxes-of';
import { viewOf } from '../review/review';
import { spokenTime } from '../week/demand';
import { arrange } from './arrange';
import { boxes } from './boxes/boxes';
import { Draft } from '../spread/draft';
import { extender } from './base/extender';
import { bottomWashi } from './base/bottom-washi';
import type { Stage } from '../spread/draft';
import { sidebar } from './sidebar/sidebar';
import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';

const run = (c: Context, ...stages: readonly Stage[]) =>
  stages.reduce((d, stage) => stage(d, c), Draft.begin(c, [])).placements;
const kindOf = (c: Context, p: Placement) => c.kit.pieces.find((q) => q.code === p.code)?.kind;
const box = (over = {}) => piece({ kind: 'full-box', height: 48.3, writable: 'no', ...over });
const roomy = { ...openB6, regions: openB6.regions.map((r) => (r.kind === 'day' ? { ...r, h: 36 } : r)) };

describe('three rows', () => {
  const { context: c, placements } = demoSpread({ manner: 'three-rows' });
  it('stand a full box in the first printed row, under its header, and the lists in the last', () => {
    const stood = boxesOf(viewOf(c, placements));
    expect(stood.length).toBeGreaterThan(1);
    for (const b of stood) {
      const [first] = rowFrames(c.book, b.days[0] as number);
      // a band takes what it needs of its top, and the box is shortened to the rest (F2)
      expect(b.rect.y).toBeGreaterThanOrEqual(first!.y);
      expect(bottom(b.rect)).toBeLessThanOrEqual(bottom({ ...first!, x: 0, w: 0 }) + 0.05);
    }
    for (const p of placements.filter((q) => q.role === 'day' && kindOf(c, q) === 'checklist'))
      expect(p.y).toBeGreaterThan(rowFrames(c.book, p.day as number)[2]?.y as number);
    expect(placements.filter((p) => p.role === 'base' && p.day === 0 && p.h < 10 && p.w > 38)).toHaveLength(3);
  });
  it('make thirds of a book that prints none', () =>
    expect(rowFrames(discOpen, 0).map((r) => Math.round(r.h))).toEqual([58, 58, 58]));
});

describe('grounded', () => {
  const { context: c, placements } = demoSpread({ manner: 'grounded' });
  it('stands all boxes on the bottom edge, over the notes row, and lays no washi there', () => {
    const foot = bottom(threeBox.regions.find((r) => r.id === 'strip-right')!);
    for (const b of boxesOf(viewOf(c, placements))) expect(bottom(b.rect)).toBeCloseTo(foot, 2);
    expect(placements.some((p) => kindOf(c, p) === 'bottom-washi')).toBe(false);
  });
  it('raises dates and lists to win room, lists above the header', () => {
    expect(dayColumn(c.book, 0)!.y).toBeCloseTo(dayColumn(threeBox, 0)!.y - 3, 2);
    const list = placements.find((p) => p.day === 0 && p.role === 'day' && kindOf(c, p) === 'checklist')!;
    const header = placements.find((p) => p.day === 0 && p.role === 'base' && kindOf(c, p) === 'header')!;
    expect(list.y).toBeLessThan(header.y);
  });
});

it('airy keeps to three boxes and one cluster', () => {
  const { context: c, placements } = demoSpread({ manner: 'airy' });
  expect(boxesOf(viewOf(c, placements))).toHaveLength(3);
  const cluster = placements.filter((p) => p.role === 'finish' && p.day !== null && kindOf(c, p) === 'deco');
  expect(new Set(cluster.map((p) => p.day)).size).toBe(1);
  expect(cluster.map((p) => p.layer)).toEqual([0, 1, 2]);
});

describe('crowned', () => {
  const { context: c, placements } = demoSpread({ manner: 'crowned' });
  it('lowers the dates under its band, frames its boxes, and lays squares on their corners', () => {
    const covers = placements.filter((p) => kindOf(c, p) === 'date-cover');
    expect(covers.every((p) => p.y === 25)).toBe(true);
    expect(placements.filter((p) => p.y < 24 && p.role === 'base').length).toBeGreaterThan(5);
    for (const b of boxesOf(viewOf(c, placements)))
      expect(placements.some((p) => p.day === b.days[0] && Math.abs(p.y - bottom(b.rect)) < 0.1 && p.h < 8)).toBe(true);
    expect(placements.some((p) => p.turn === 45)).toBe(true);
  });
  it('leaves the band out of a book whose headers are too high', () => {
    expect(
      demoSpread({ manner: 'crowned', book: wideUndated }).placements.filter((p) => p.role === 'base' && p.y < 3),
    ).toEqual([]);
  });
});

describe('full boxes', () => {
  it('shorten a pattern by cut and overlap, trim a scene a little, and leave out what needs more (F2)', () => {
    const stand = (motif: string, h: number) =>
      run(
        context({
          kit: kitOf(box({ code: 'B', motif })),
          book: { ...roomy, regions: roomy.regions.map((r) => (r.kind === 'day' ? { ...r, h } : r)) },
        }),
        boxes,
      );
    expect(stand('waves', 48.6)).toMatchObject([
      { y: 18, h: 24.15, layer: 0 },
      { h: 24.15, layer: 1 },
    ]);
    const [top, under] = stand('waves', 48.6);
    expect(bottom(under!) - top!.y).toBeCloseTo(37.6, 1);
    expect(stand('heron', 56.1)).toMatchObject([{ h: 45.1, cut: { y: 1.6 } }]);
    expect(stand('heron', 48.6)).toEqual([]);
  });
  it('cut a double box so that its halves line up across the gap (F3)', () => {
    const wide = box({ code: 'W', kind: 'double-box', width: 76.2, motif: 'harbor' });
    const [left, half] = run(context({ kit: kitOf(wide) }), boxes).sort((a, b) => a.x - b.x);
    expect([left!.y, left!.w, left!.cut!.x, half!.cut!.x]).toEqual([half!.y, 38.1, 0, 38.1]);
    expect(half!.x - right(left!)).toBeCloseTo(2);
    const [small, other] = run(context({ kit: kitOf(wide), book: openB6 }), boxes).sort((a, b) => a.x - b.x);
    // what would lie in the gap is cut away
    expect(other!.cut!.x - (small!.cut!.x + small!.cut!.w)).toBeCloseTo(other!.x - right(small!));
    expect(run(context({ kit: kitOf(wide), book: fourPage }), boxes).map((p) => p.w)).toEqual([38.1, 38.1]);
  });
  it('are as many as wanted, a favorite in the middle, an open one kept for the item that asks for it', () => {
    const kit = kitOf(
      ...['#9fd3c7', '#f2e3c4', '#23475a', '#f7d9cc'].map((color, i) =>
        box({ code: `B${i}`, color, motif: `m${i}`, count: 2, writable: i ? 'no' : 'yes' }),
      ),
    );
    expect(run(context({ kit, ways: { boxes: 0 } }), boxes)).toEqual([]);
    expect(new Set(run(context({ kit, ways: { boxes: 4 } }), boxes).map((p) => p.day)).size).toBe(4);
    expect(run(context({ kit, favorites: ['test/B2'] }), boxes).find((p) => p.day === 3)?.code).toBe('B2');
    const asked = weekWith(demand({ room: 'full', kind: 'occasion' }));
    expect(
      run(context({ kit, week: asked, options: { writeOnBoxes: true } }), boxes).filter((p) => p.code === 'B0'),
    ).toHaveLength(1);
  });
});

it('an extender carries the washi into the sidebar, of the same strip where it is long enough', () => {
  const strip = piece({ code: 'BW', kind: 'bottom-washi', width: 170, height: 13.5, count: 2 });
  const made = piece({ code: 'EX', kind: 'extender', width: 38, height: 13.5 });
  const foot = (...pieces: Piece[]) =>
    run(context({ kit: kitOf(...pieces), book: wideUndated }), bottomWashi, extender).filter(
      (p) => p.x < 40 && p.page === 0,
    );
  expect(foot(strip, made)).toMatchObject([{ code: 'BW', x: 6, w: 40.1, h: 12.7 }]);
  expect(foot({ ...strip, width: 158.2 }, made)).toMatchObject([{ code: 'EX', w: 38, h: 12.7 }]);
  expect(foot({ ...strip, width: 158.2 })).toEqual([]);
});

it('the sidebar makes a lacking tracker: its name on a strip or in ink, a row or a line for each day', () => {
  const list = piece({ code: 'L', kind: 'checklist', height: 48, rows: 6, count: 1 });
  const washi = piece({ code: 'W', kind: 'washi', width: 170, height: 7, opacity: 0.55 });
  const made = (pieces: Piece[], over = {}) =>
    run(context({ kit: kitOf(...pieces), options: { sidebar: ['dinners'] }, ...over }), sidebar);
  const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].join('\n');
  expect(made([{ ...list, count: 2 }])).toMatchObject([
    { kit: '', text: 'dinners' },
    { code: 'L', h: 48, text: days.replace('\nSun', '') },
    { code: 'L', h: 8, text: 'Sun' },
  ]);
  expect(made([list, washi])).toMatchObject([
    { code: 'W', text: 'dinners', w: 38.1 },
    { kit: '', text: days },
  ]);
  expect(made([])).toMatchObject([
    { kit: '', text: 'dinners' },
    { kit: '', text: days },
  ]);
  expect(made([], { options: { sidebar: ['dinners'], onPaper: false } })).toEqual([]);
});

it('the sidebar spares the rows that the week’s own lists want', () => {
  const list = piece({ code: 'L', kind: 'checklist', height: 48, rows: 6, count: 2 });
  const rows = (n: number) =>
    weekWith(
      ...Array.from({ length: n }, (_, i) => demand({ key: `r${i}`, uid: `r${i}`, list: 'to do', kind: 'to-do' })),
    );
  const codes = (n: number) =>
    run(context({ kit: kitOf(list), options: { sidebar: ['habits'] }, week: rows(n) }), sidebar).map((p) => p.code);
  expect(codes(5)).toContain('L');
  expect(codes(6)).not.toContain('L');
});

it('all sorts of ways can be set beside a school’s own', () => {
  const c = context({
    kit: demoKit('rockpool'),
    manner: 'scattered',
    ways: { align: 'flush left', banner: 'mostly Saturday', deco: 'none', sidebarColors: 'one family' },
    book: fourPage,
    week: weekWith(demand({ title: 'swim' })),
  });
  const placements = arrange(c);
  const column = dayColumn(c.book, 0)!;
  expect(placements.filter((p) => p.day === 0 && p.role === 'day').every((p) => p.x === column.x || p.layer > 0)).toBe(
    true,
  );
  expect(placements.find((p) => kindOf(c, p) === 'banner')?.x).toBe(dayColumn(c.book, 5)!.x);
  expect(placements.some((p) => p.role === 'finish' && p.day !== null)).toBe(false);
});

it('writes times in small circles of their own, where that is the manner, and once', () => {
  const { context: c, placements } = demoSpread({ ways: { times: 'in circles' } });
  const circles = placements.filter((p) => pieceIndex(c).get(pieceKey(p))?.kind === 'circle' && p.layer > 0);
  expect(circles.length).toBeGreaterThan(6);
  for (const circle of circles) {
    const base = placements.find(
      (p) =>
        p.day === circle.day && p.layer === 0 && p.items.length === 1 && intersect(footprint(p), footprint(circle)),
    )!;
    const item = c.week.demands.find((d) => d.uid === base.items[0] && d.day === base.day)!;
    expect(circle.text).toBe(spokenTime(item.start as number));
    expect(base.text ?? '').not.toContain(circle.text);
  }
  expect(found('P4', c, placements)).toEqual([]);
  expect(found('F1', c, placements)).toEqual([]);
  expect(demoSpread().placements.every((p) => p.layer === 0 || !p.text || p.items.length > 0)).toBe(true);
});

describe('a picture that shows a thing', () => {
  const kit = kitOf(
    piece({ count: 9, kind: 'label' }),
    piece({ code: 'P', kind: 'deco', icon: 'water', width: 24, height: 20, writable: 'no', count: 2 }),
  );
  const laid = (over: Parameters<typeof demand>[0], ways = {}) =>
    arrange(
      context({ kit, ways, week: weekWith(demand({ title: 'water the beans', categories: ['water'], ...over })) }),
    ).filter((p) => p.items.length);
  it('stands for its chore, with nothing written', () =>
    expect(laid({})).toMatchObject([{ code: 'P', text: null, ink: null, role: 'day', h: 20 }]));
  it('does not stand for what has an hour, more to say, another kind, or where it is not the manner', () => {
    expect(laid({ start: 600 })).toMatchObject([{ code: 'Q-1' }]);
    expect(laid({ title: 'water the beans and the peas' })).toMatchObject([{ code: 'Q-1' }]);
    expect(laid({ kind: 'appointment' })).toMatchObject([{ code: 'Q-1' }]);
    expect(laid({}, { picturesServe: false })).toMatchObject([{ code: 'Q-1', text: 'water the beans' }]);
  });
});
