import { openB6 } from '../src/core/book/open-b6';
import { threeBox } from '../src/core/book/three-box';
import { copyKey } from '../src/core/kit/ledger';
import { viewOf } from '../src/core/review/review';
import type { Context, Placement } from '../src/core/spread/placement';
import { context, demand, demoSpread, kitOf, piece, placement, weekWith, whiteOutKeyOf } from './fixtures';

export type Spread = readonly [Context, readonly Placement[]];
export interface RuleCase {
  /** a spread of which the rule says nothing, and one with the one thing wrong */
  readonly good: Spread;
  readonly bad: Spread;
  /** which of the rule's cases it is, and what it is about */
  readonly about: object;
}

export const kit = kitOf(
  piece({ count: 20 }),
  piece({ code: 'TAN', color: '#b98b4e', count: 20 }),
  piece({ code: 'G', finish: 'glossy', count: 9 }),
  piece({ code: 'NIGHT', color: '#1b2230', count: 9 }),
  piece({ code: 'V', finish: 'vinyl', count: 9 }),
  piece({ code: 'T', kind: 'header', height: 6.4, words: 'to do', count: 9, color: '#b98b4e' }),
  piece({ code: 'H', kind: 'header', height: 6.4, words: 'today', count: 9, color: '#1f6f78' }),
  piece({ code: 'H2', kind: 'header', height: 6.4, words: 'today', count: 9, color: '#e8836b' }),
  piece({ code: 'I', kind: 'icon', width: 9, height: 9, count: 9 }),
  piece({ code: 'W', kind: 'washi', width: 170, height: 9, opacity: 0.55, count: 4 }),
  piece({ code: 'BW', kind: 'bottom-washi', width: 170, height: 11, opacity: 0.55, count: 4 }),
  piece({ code: 'B', kind: 'full-box', height: 48.3, count: 9, motif: 'shell', color: '#1f6f78' }),
  piece({ code: 'B2', kind: 'full-box', height: 48.3, count: 9, motif: 'crab', color: '#e8836b' }),
  piece({ code: 'STRIPE', kind: 'full-box', height: 48.3, count: 9, motif: 'stripe', color: '#f2e3c2' }),
  piece({ code: 'DD', kind: 'double-box', width: 76.2, height: 48.3, count: 2, motif: 'sea' }),
  piece({ code: 'L', kind: 'checklist', height: 48.3, rows: 6, count: 6 }),
  piece({ code: 'L2', kind: 'checklist', height: 48.3, rows: 6, count: 6, color: '#e8836b' }),
  piece({ code: 'C', kind: 'date-cover', count: 9, motif: 'hole' }),
  piece({ code: 'DOT', kind: 'date-dot', width: 8, height: 8, words: '8', count: 2, shape: 'circle' }),
  piece({ code: 'DOT9', kind: 'date-dot', width: 8, height: 8, words: '9', count: 2, shape: 'circle' }),
  piece({ code: 'AU', foil: 'gold', count: 9 }),
  piece({ code: 'AG', foil: 'silver', count: 9 }),
);
/** No frame: what a base would want is not asked for, so that one thing alone can be wrong. */
export const bare = {
  dateCovers: false,
  headers: 'none',
  weekendBanner: false,
  bottomWashi: 'none',
  sidebar: [],
} as const;
export const plain = context({ kit, options: bare, week: weekWith(demand({ title: 'vet' })) });
/** A spread with no frame asked for. */
export const with_ = (over: Parameters<typeof context>[0]) => context({ kit, options: bare, ...over });
/** An item on its base, Monday. */
export const label = (over: Partial<Placement> = {}) =>
  placement({ items: ['a'], text: 'vet', ink: 'black gel pen', ...over });
const box = (day: number, over: Partial<Placement> = {}) =>
  placement({
    id: `b${day}`,
    code: 'B',
    copy: day + 1,
    day,
    role: 'box',
    page: day > 2 ? 1 : 0,
    x: 46.1 + (day % 3) * 40.1,
    h: 48.3,
    ...over,
  });
const list = (over: Partial<Placement> = {}) =>
  placement({ code: 'L', items: ['a', 'b'], h: 16.1, text: 'x\ny', cut: { x: 0, y: 0, w: 38.1, h: 16.1 }, ...over });
const listed = with_({
  week: weekWith(
    demand({ list: 'to do', kind: 'to-do' }),
    demand({ uid: 'b', key: 'b', list: 'to do', kind: 'to-do', title: 'dig' }),
  ),
});
const header = (over: Partial<Placement> = {}) => placement({ code: 'H', h: 6.4, role: 'base', ...over });
const demo = demoSpread();
const strip = threeBox.regions.filter((r) => r.kind === 'bottom-strip');
const washi = strip.map((r, i) =>
  placement({
    id: `w${i}`,
    code: 'BW',
    copy: i + 1,
    page: r.page,
    x: r.x,
    y: r.y,
    w: r.w,
    h: r.h,
    role: 'base',
    day: null,
    cut: { x: 0, y: 0, w: r.w, h: r.h },
  }),
);
const flag = openB6.regions.find((r) => r.kind === 'month-flag')!;

/** One line a rule: a spread it has nothing to say of, and one with the one thing wrong. */
export const CASES: Readonly<Record<string, RuleCase>> = {
  B1: {
    good: [
      {
        ...demo.context,
        ticked: [0, 1].map((page) => whiteOutKeyOf(demo.context, demo.placements, page)),
      },
      demo.placements,
    ],
    bad: [demo.context, demo.placements],
    about: { is: 'shows', count: expect.any(Number) },
  },
  B2: {
    good: [with_({ options: { ...bare, bottomWashi: 'one' } }), washi],
    bad: [with_({ options: { ...bare, bottomWashi: 'one' } }), washi.slice(0, 1)],
    about: { is: 'bare', side: 'right' },
  },
  B3: {
    good: [
      plain,
      [
        placement({ id: 'd', code: 'DOT', x: 60, y: 20, w: 8, h: 8, role: 'base' }),
        placement({ id: 'c', code: 'C', y: 18, layer: 1, role: 'base' }),
      ],
    ],
    bad: [
      plain,
      [
        placement({ id: 'd', code: 'DOT', x: 60, y: 20, w: 8, h: 8, layer: 1, role: 'base' }),
        placement({ id: 'c', code: 'C', y: 18, role: 'base' }),
      ],
    ],
    about: { is: 'on its cover', days: [0] },
  },
  B4: {
    good: [plain, [label(), placement({ id: 'i', code: 'I', x: 50, y: 61, w: 9, h: 9, layer: 1 })]],
    bad: [plain, [label({ layer: 1 }), placement({ id: 'i', code: 'I', x: 50, y: 61, w: 9, h: 9 })]],
    about: { is: 'buried', wide: 9, tall: 9 },
  },
  B5: {
    good: [demo.context, demo.placements],
    bad: [
      demo.context,
      demo.placements.map((p) =>
        p.day === 2 && viewOf(demo.context, []).pieceOf(p)?.kind === 'date-dot' ? { ...p, day: 2, code: 'DD-1' } : p,
      ),
    ],
    about: { is: 'wrong', days: [2], wanted: '10', number: '1' },
  },
  B6: {
    good: [context({ kit, book: openB6, options: { ...bare, monthFlags: false } }), []],
    bad: [
      context({ kit, book: openB6, options: { ...bare, monthFlags: false } }),
      [
        placement({
          page: flag.page,
          x: flag.x,
          y: flag.y - 10,
          w: flag.w,
          h: 10 + flag.h / 2,
          role: 'base',
          day: null,
        }),
      ],
    ],
    about: { is: 'half covered', share: expect.closeTo(0.5, 1) },
  },
  C1: {
    good: [plain, [label()]],
    bad: [
      with_({ stash: [{ name: 'loud', pieces: [piece({ kit: 'loud', code: 'X', color: '#ff00ff' })] }] }),
      [label({ kit: 'loud', code: 'X' })],
    ],
    about: { is: 'foreign', pieces: ['loud/X'] },
  },
  C2: {
    good: [
      plain,
      [0, 1, 2, 3].map((i) => label({ id: `l${i}`, copy: i + 1, y: 40 + i * 20, code: i % 2 ? 'Q-1' : 'TAN' })),
    ],
    bad: [plain, [0, 1, 2, 3].map((i) => label({ id: `l${i}`, copy: i + 1, y: 40 + i * 20, code: 'TAN' }))],
    about: { is: 'owned', days: [0], color: '#b98b4e', count: 4 },
  },
  C3: {
    good: [plain, [box(0), box(1, { code: 'B2' })]],
    bad: [plain, [box(0), box(1)]],
    about: { is: 'same motif', days: [0, 1], motif: 'shell' },
  },
  C4: {
    good: [
      with_({ options: { ...bare, headers: 'alternating' } }),
      [header({ id: 'h0' }), header({ id: 'h1', code: 'H2', day: 1, x: 86.2 })],
    ],
    bad: [
      with_({ options: { ...bare, headers: 'alternating' } }),
      [
        header({ id: 'h0' }),
        header({ id: 'h1', day: 1, x: 86.2, copy: 2 }),
        header({ id: 'h2', code: 'H2', day: 2, x: 126.3 }),
      ],
    ],
    about: { is: 'alternating', days: [1] },
  },
  C5: {
    good: [plain, [label()]],
    bad: [
      context({
        kit: kitOf(piece()),
        options: bare,
        stash: [{ name: 'bold', pieces: [piece({ kit: 'bold', code: 'X', color: '#c00000' })] }],
      }),
      [label({ kit: 'bold', code: 'X' })],
    ],
    about: { is: 'bolder', pieces: ['bold/X'] },
  },
  C6: {
    good: [plain, [label({ code: 'AU' })]],
    bad: [plain, [label({ code: 'AU' }), label({ id: 'p2', code: 'AG', y: 90 })]],
    about: { is: 'mixed' },
  },
  C7: {
    good: [demo.context, []],
    bad: [
      context({
        kit: kitOf(piece({ code: 'B', kind: 'full-box', height: 48.3, faces: 'left', motif: 'heron' })),
        options: bare,
      }),
      [box(0, { copy: 1 })],
    ],
    about: { is: 'looks out', days: [0], motif: 'heron', faces: 'left' },
  },
  D1: {
    good: [plain, [box(0), label({ y: 120 })]],
    bad: [plain, [box(0)]],
    about: { is: 'no room', days: [0], demands: ['a'], mm: 48.3 },
  },
  D2: {
    good: [plain, [label()]],
    bad: [plain, [label({ day: 1, x: 86.2 })]],
    about: { is: 'strayed', demands: ['a'], days: [0, 1] },
  },
  D3: {
    good: [plain, [label()]],
    bad: [
      plain,
      [
        label({ y: 180 }),
        ...[31, 79.3, 127.6].map((y, i) =>
          placement({ id: `w${i}`, code: 'B', copy: i + 1, y, h: 48.3, role: 'finish' }),
        ),
        placement({ id: 'foot', copy: 9, y: 192.2, h: 12, role: 'finish' }),
      ],
    ],
    about: { is: 'full', days: [0] },
  },
  D4: {
    good: [plain, [label()]],
    bad: [
      with_({ week: weekWith(demand({ title: 'vet' }), demand({ uid: 'late', key: 'late', title: 'plumber' })) }),
      [label()],
    ],
    about: { is: 'late', demands: ['late'], days: [0], moved: 0 },
  },
  D5: {
    good: [plain, [label()]],
    bad: [
      context({
        kit: kitOf(piece({ code: 'B', kind: 'full-box', height: 48.3, writable: 'no', count: 9 })),
        options: bare,
        week: weekWith(demand({ title: 'vet' })),
      }),
      [box(1, { copy: 1 })],
    ],
    about: { is: 'missing', demands: ['a'], days: [0] },
  },
  D6: {
    good: [plain, [label()]],
    bad: [
      with_({ week: weekWith(demand({ title: 'vet' }), demand({ uid: 'b', key: 'b', title: 'vet', day: 1 })) }),
      [label(), label({ id: 'p2', copy: 2, day: 1, x: 86.2, items: ['b'] })],
    ],
    about: { is: 'entered twice', demands: ['a', 'b'], days: [0, 1] },
  },
  D7: {
    good: [plain, [header({ id: 'h' }), header({ id: 't', code: 'T', y: 75 })]],
    bad: [plain, [header({ id: 'h' }), header({ id: 't', copy: 2, y: 75 })]],
    about: { is: 'under itself', days: [0], kind: 'header', words: 'today' },
  },
  D8: {
    good: [
      with_({ week: weekWith(demand({ title: 'camp', kind: 'band', day: 0, lastDay: 1 })) }),
      [
        label({ text: 'camp', layer: 1 }),
        placement({ id: 's', code: 'W', y: 61, w: 78.2, h: 9, cut: { x: 0, y: 0, w: 78.2, h: 9 } }),
      ],
    ],
    bad: [
      with_({ week: weekWith(demand({ title: 'camp', kind: 'band', day: 0, lastDay: 1 })) }),
      [label({ text: 'camp' })],
    ],
    about: { is: 'bare', demands: ['a'], days: [0, 1] },
  },
  D9: {
    good: [plain, [label()]],
    bad: [
      with_({
        week: weekWith(
          demand({ title: 'rent', day: 3 }),
          demand({ key: 'a due', title: 'rent', day: 2, aspect: 'due' }),
        ),
      }),
      [label({ day: 3, page: 1, x: 13.4 })],
    ],
    about: { is: 'too late', demands: ['a'], days: [2, 3] },
  },
  F1: {
    good: [plain, [label()]],
    bad: [plain, [label({ x: 43.1 })]],
    about: { is: 'out of its column', edge: 'left', mm: expect.closeTo(3, 1) },
  },
  F2: {
    good: [plain, [box(0)]],
    bad: [
      plain,
      [
        box(0, { id: 't', h: 20, cut: { x: 0, y: 0, w: 38.1, h: 20 } }),
        box(0, { id: 'f', y: 78, h: 20, layer: 1, cut: { x: 0, y: 28.3, w: 38.1, h: 20 } }),
      ],
    ],
    about: { is: 'through its picture', days: [0], motif: 'shell' },
  },
  F3: {
    good: [
      plain,
      [
        box(0, { id: 'l', code: 'DD', copy: 1, cut: { x: 0, y: 0, w: 38.1, h: 48.3 } }),
        box(1, { id: 'r', code: 'DD', copy: 1, x: 86.2, cut: { x: 38.1, y: 0, w: 38.1, h: 48.3 } }),
      ],
    ],
    bad: [
      plain,
      [
        box(0, { id: 'l', code: 'DD', copy: 1, cut: { x: 0, y: 0, w: 38.1, h: 48.3 } }),
        box(1, { id: 'r', code: 'DD', copy: 1, x: 86.2, y: 62, cut: { x: 38.1, y: 0, w: 38.1, h: 48.3 } }),
      ],
    ],
    about: { is: 'out of line', mm: expect.closeTo(2, 1) },
  },
  F4: {
    good: [plain, [label()]],
    bad: [
      plain,
      [
        label({ x: 48.1, w: 34.1, cut: { x: 0, y: 0, w: 34.1, h: 12 } }),
        label({ id: 'p2', copy: 2, y: 90, x: 46.1, w: 30, cut: { x: 0, y: 0, w: 30, h: 12 } }),
      ],
    ],
    about: { is: 'aside' },
  },
  F5: {
    good: [plain, [placement({ code: 'W', w: 38.1, h: 9, cut: { x: 0, y: 0, w: 38.1, h: 9 } })]],
    bad: [plain, [placement({ code: 'W', w: 35.1, h: 9, cut: { x: 0, y: 0, w: 35.1, h: 9 } })]],
    about: { is: 'too short', mm: expect.closeTo(3, 1), length: 35.1 },
  },
  K1: {
    good: [plain, []],
    bad: [
      with_({ options: { ...bare, dateCovers: true }, kit: kitOf(piece({ code: 'C', kind: 'date-cover', count: 9 })) }),
      [],
    ],
    about: { is: 'numbers', kind: 'date-dot', numbers: [8, 9, 10, 11, 12, 13, 14] },
  },
  K2: {
    good: [plain, []],
    bad: [with_({ kit: kitOf(piece()), options: { ...bare, dateCovers: true } }), []],
    about: { is: 'lacking', kind: 'date-cover', lacking: 7, needed: 7, inKit: 0, inStash: 0 },
  },
  K3: {
    good: [plain, []],
    bad: [plain, [box(0)]],
    about: { is: 'left over', kind: 'full-box', days: [1, 2, 3, 4, 5, 6] },
  },
  K4: {
    good: [demo.context, demo.placements],
    bad: [{ ...demo.context, options: { ...demo.context.options, tapeMeters: 0.1 } }, demo.placements],
    about: { is: 'tape', house: 0.1 },
  },
  K5: {
    good: [plain, [placement({ code: 'W', w: 38.1, h: 9, cut: { x: 0, y: 0, w: 38.1, h: 9 } })]],
    bad: [
      with_({ usedElsewhere: [{ kit: 'test', code: 'W', copy: 1, cut: { x: 0, y: 0, w: 60, h: 9 } }] }),
      [placement({ code: 'W', copy: 2, w: 38.1, h: 9, cut: { x: 0, y: 0, w: 38.1, h: 9 } })],
    ],
    about: { is: 'begun', pieces: ['test/W'], mm: expect.closeTo(110, 0) },
  },
  K6: {
    good: [with_({ useBy: { test: '2027-12-31' } }), [label()]],
    bad: [with_({ useBy: { test: '2027-01-31' } }), [label()]],
    about: { is: 'past', kit: 'test', by: '2027-01-31' },
  },
  L1: {
    good: [listed, [list()]],
    bad: [listed, [list({ h: 24.15, cut: { x: 0, y: 0, w: 38.1, h: 24.15 } })]],
    about: { is: 'too long', rows: 3, items: 2 },
  },
  L2: {
    good: [listed, [list()]],
    bad: [
      listed,
      [
        list({ items: ['a'], h: 8.05, cut: { x: 0, y: 0, w: 38.1, h: 8.05 } }),
        list({ id: 'p2', code: 'L2', items: ['b'], y: 68.05, h: 8.05, cut: { x: 0, y: 0, w: 38.1, h: 8.05 } }),
      ],
    ],
    about: { is: 'two designs', days: [0], list: 'to do', pieces: ['test/L', 'test/L2'] },
  },
  L3: {
    good: [listed, [list()]],
    bad: [
      { ...listed, usedElsewhere: [{ kit: 'test', code: 'L', copy: 2, cut: { x: 0, y: 0, w: 38.1, h: 16.1 } }] },
      [list()],
    ],
    about: { is: 'offcut', there: 4, rows: 2 },
  },
  L4: {
    good: [plain, [list({ items: ['a'], h: 8.05, cut: { x: 0, y: 0, w: 38.1, h: 8.05 } })]],
    bad: [plain, [list({ items: [], text: null })]],
    about: { is: 'no items' },
  },
  P1: {
    good: [plain, [label()]],
    bad: [plain, [label({ code: 'G' })]],
    about: { is: 'marker wanted', finish: 'glossy', ink: 'black gel pen' },
  },
  P2: {
    good: [plain, [label({ code: 'NIGHT', ink: 'white gel pen' })]],
    bad: [plain, [label({ code: 'NIGHT' })]],
    about: { is: 'too faint', ratio: expect.any(Number) },
  },
  P3: {
    good: [plain, [label()]],
    bad: [plain, [label({ x: 126.3, day: 2 })]],
    about: { is: 'near', side: 'left', count: 1 },
  },
  P4: {
    good: [plain, [label()]],
    bad: [plain, [label({ text: 'a text that is much too long for a base of this height' })]],
    about: { is: 'too many lines', there: 2 },
  },
  R1: {
    good: [plain, [label(), placement({ id: 'i', code: 'I', x: 50, y: 61, w: 9, h: 9, layer: 1 })]],
    bad: [plain, [label({ code: 'V' }), placement({ id: 'i', code: 'I', x: 50, y: 61, w: 9, h: 9, layer: 1 })]],
    about: { is: 'under others', finish: 'vinyl' },
  },
  R2: {
    good: [plain, [label(), placement({ id: 'i', code: 'I', x: 50, y: 61, w: 9, h: 9, layer: 1 })]],
    bad: [plain, [label(), placement({ id: 'i', code: 'I', x: 80, y: 61, w: 9, h: 9, layer: 1 })]],
    about: { is: 'hangs over', mm: expect.closeTo(4.8, 1) },
  },
  R3: {
    good: [{ ...plain, peeled: { [copyKey(label())]: 1 } }, [label()]],
    bad: [{ ...plain, peeled: { [copyKey(label())]: 2 } }, [label()]],
    about: { is: 'glue', times: 2 },
  },
  W1: {
    good: [with_({ options: { ...bare, whiteSpace: 0.5 } }), [label()]],
    bad: [
      with_({ options: { ...bare, whiteSpace: 0.9 } }),
      [0, 1, 2, 3].map((i) => label({ id: `l${i}`, copy: i + 1, y: 40 + i * 20, h: 12 })),
    ],
    about: { is: 'fuller', days: [0], wanted: 0.9 },
  },
  W2: {
    good: [plain, [0, 1, 2, 3].map((i) => label({ id: `l${i}`, copy: i + 1, y: 60 + i * 16 }))],
    bad: [plain, [0, 1, 2, 3].map((i) => label({ id: `l${i}`, copy: i + 1, y: 60 + i * 12.3 }))],
    about: { is: 'block', days: [0], count: 4 },
  },
  W3: {
    good: [plain, []],
    bad: [
      plain,
      [0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((i) => label({ id: `l${i}`, copy: i + 1, y: 40 + i * 13, code: 'TAN' })),
    ],
    about: { is: 'heavier', side: 'left', share: 1 },
  },
  W4: {
    good: [plain, [box(0), box(1, { y: 150 }), box(2), box(3, { y: 150, x: 13.4 })]],
    bad: [plain, [box(0), box(1), box(2, { y: 150 }), box(3, { x: 13.4 }), box(4, { y: 150, x: 53.5 })]],
    about: { is: 'no pattern', heights: ['high', 'high', 'low', 'high', 'low', null, null] },
  },
};
