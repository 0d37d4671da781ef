import { openB6 } from '../book/open-b6';
import { hourly } from '../book/hourly';
import { hoursOf, yOfMinute } from '../book/hours';
import { dayColumn, regionsOf } from '../book/columns';
import { strokesOf, tapeLength } from '../bench/strokes';
import { whiteOutOf } from '../bench/white-out';
import type { Piece } from '../kit/kit';
import { copyKey } from '../kit/ledger';
import type { Context, Placement } from '../spread/placement';
import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import type { Finding } from './finding';
import { scoreOf } from './score';

/** Two values, one on each side of what a rule forgives: of the one it is silent, of the other it speaks. */
interface Edge {
  readonly rule: string;
  /** of its findings only these, where it has several */
  readonly is?: string;
  readonly silent: number;
  readonly speaks: number;
  readonly laid: (value: number) => readonly [Context, readonly Placement[]];
}

const COLUMN = { x: 46.1, y: 31, w: 38.1, h: 171.4 };
const RIGHT_PAGE = { page: 1, day: 3, x: 13.4 };
const label = (over: Partial<Placement> = {}) => placement({ items: ['a'], ...over });
const of = (...pieces: readonly Partial<Piece>[]) => kitOf(...pieces.map((p) => piece({ count: 30, ...p })));
const plain = context({ kit: of({}) });
const items = (n: number) =>
  weekWith(...Array.from({ length: n }, (_, i) => demand({ uid: `u${i}`, key: `u${i}`, title: `errand ${i}` })));
/** Labels of one day, one under the other, from what lies free above each. */
const column = (gaps: readonly number[], over: Partial<Placement> = {}): Placement[] => {
  let y = 40;
  return gaps.map((gap, i) => {
    y += gap + (i ? 12 : 0);
    return label({ id: `p${i}`, copy: i + 1, y, items: [`u${i}`], ...over });
  });
};
const colored = (color: string, h: number, over: Partial<Placement> = {}) => ({ color, h, over });
/** Pieces of given colors and heights, wherever. */
function patches(...all: readonly ReturnType<typeof colored>[]): readonly [Context, readonly Placement[]] {
  const kit = of(...all.map(({ color }, i) => ({ code: `C${i}`, color })));
  return [
    context({ kit }),
    all.map(({ h, over }, i) => placement({ id: `p${i}`, code: `C${i}`, y: 32 + i, h, ...over })),
  ];
}
const washi = of({ code: 'W', kind: 'washi', width: 158.4, height: 12.7 });
const strips = (over: Partial<Placement>) =>
  regionsOf(plain.book, 'bottom-strip').map(({ page, x, y, w, h }, i) =>
    placement({ id: `s${i}`, code: 'W', copy: i + 1, role: 'base', day: null, page, x, y, w, h, ...(i ? {} : over) }),
  );
const doubles = of({ code: 'D', kind: 'double-box', width: 78.2, height: 48.3, writable: 'no' });
const boxes = of({ code: 'B', kind: 'full-box', height: 48.3, writable: 'no' });

const EDGES: Readonly<Record<string, Edge>> = {
  'a gap beside a strip: a cut, and a hole that is meant': {
    rule: 'F5',
    silent: 0.35,
    speaks: 0.45,
    laid: (gap) => [context({ kit: washi }), [placement({ code: 'W', w: COLUMN.w - gap, y: 17, role: 'base' })]],
  },
  'a gap as wide as an open place': {
    rule: 'F5',
    silent: 6.1,
    speaks: 5.9,
    laid: (gap) => [context({ kit: washi }), [placement({ code: 'W', w: COLUMN.w - gap, y: 17, role: 'base' })]],
  },
  'a picture over the edge of its base': {
    rule: 'R2',
    silent: 0.95,
    speaks: 1.05,
    laid: (over) => [
      context({ kit: of({}, { code: 'I', kind: 'icon', width: 8, height: 8 }) }),
      [label(), placement({ id: 'i', code: 'I', w: 8, h: 8, y: 60 - over, layer: 1 })],
    ],
  },
  'the same header under itself': {
    rule: 'D7',
    silent: 30.1,
    speaks: 29.9,
    laid: (gap) => [
      context({ kit: of({ kind: 'header', height: 9 }) }),
      [placement({ h: 9 }), placement({ id: 'p2', copy: 2, h: 9, y: 69 + gap })],
    ],
  },
  'removable paper that was lifted': {
    rule: 'R3',
    silent: 1,
    speaks: 2,
    laid: (times) => [context({ kit: of({}), peeled: { [copyKey(placement())]: times } }), [placement()]],
  },
  'white ink on gray: WCAG 2.2 asks a contrast of 3': {
    rule: 'P2',
    silent: 0x94, // 3.03 and 2.995 by the formula of WCAG 2.2, worked out by hand
    speaks: 0x95,
    laid: (gray) => [
      context({ kit: of({ kind: 'header', color: `#${gray.toString(16).repeat(3)}` }) }),
      [label({ text: 'swim', ink: 'white gel pen' })],
    ],
  },
  'a flag with a tip of something on it': {
    rule: 'B6',
    silent: 0.03,
    speaks: 0.05,
    laid: (share) => flagged(share),
  },
  'a flag that all but its edge is covered of': {
    rule: 'B6',
    silent: 0.97,
    speaks: 0.95,
    laid: (share) => flagged(share),
  },
  'one page heavier than the other': {
    rule: 'W3',
    silent: 10 * (1 - 0.29),
    speaks: 10 * (1 - 0.31),
    laid: (h) => [
      plain,
      Array.from({ length: 10 }, (_, i) =>
        placement({ id: `p${i}`, copy: i + 1, h: i % 2 ? 10 : h, ...(i % 2 ? {} : RIGHT_PAGE) }),
      ),
    ],
  },
  'labels in a block': {
    rule: 'W2',
    silent: 3,
    speaks: 4,
    laid: (n) => [plain, column(Array.from({ length: n }, () => 0))],
  },
  'a gap that breaks a block': {
    rule: 'W2',
    silent: 1.05,
    speaks: 0.95,
    laid: (gap) => [plain, column([0, gap, gap, gap])],
  },
  'a label aside of the others': {
    rule: 'F4',
    is: 'aside',
    silent: 0.65,
    speaks: 0.75,
    laid: (off) => [plain, [label({ x: COLUMN.x + off })]],
  },
  'gaps above and below a label': {
    rule: 'F4',
    is: 'uneven',
    silent: 2.95,
    speaks: 3.05,
    laid: (gap) => [plain, column([0, 2, gap])],
  },
  'a gap that is an open place': {
    rule: 'F4',
    is: 'uneven',
    silent: 8.1,
    speaks: 7.9,
    laid: (gap) => [plain, column([0, 2, gap])],
  },
  'a name close over its list': {
    rule: 'F4',
    is: 'uneven',
    silent: 0.95,
    speaks: 1.05,
    // with its name a list stands 2 mm under the label above; the name alone takes 3 mm
    laid: (gap) => [
      context({ kit: of({}, { code: 'N', kind: 'script', height: 3 }) }),
      [...column([0, 5 + gap, 2]), placement({ id: 'n', code: 'N', h: 3, y: 54 })],
    ],
  },
  'an item off its printed hour': {
    rule: 'D2',
    is: 'off its hour',
    silent: 11.9,
    speaks: 12.1,
    laid: (off) => atTen(off, 'vet'),
  },
  'an item off its hour that says it': {
    rule: 'D2',
    is: 'off its hour',
    silent: 24.9,
    speaks: 25.1,
    laid: (off) => atTen(off, '10a vet'),
  },
  'the halves of a double box': {
    rule: 'F3',
    is: 'out of line',
    silent: 0.29,
    speaks: 0.31,
    laid: (step) => [
      context({ kit: doubles }),
      [0, 1].map((day) =>
        placement({
          id: `h${day}`,
          code: 'D',
          role: 'box',
          day,
          x: COLUMN.x + day * 40.1,
          y: 60 + day * step,
          h: 48.3,
          cut: { x: day * 40.1, y: 0, w: 38.1, h: 48.3 },
        }),
      ),
    ],
  },
  'tape that runs unevenly': {
    rule: 'K4',
    silent: 1 / 0.89,
    speaks: 1 / 0.91,
    laid: (rolls) => {
      const laid = [placement()];
      const meters = tapeLength(strokesOf({ book: plain.book, placements: laid }, whiteOutOf(plain, laid))) / 1000;
      return [context({ kit: of({}), options: { tapeMeters: meters * rolls } }), laid];
    },
  },
  'a picture under a box': {
    rule: 'B4',
    silent: 0.09,
    speaks: 0.11,
    laid: (share) => [
      context({ kit: of({}, { code: 'I', kind: 'deco', width: 10, height: 10 }) }),
      [placement({ layer: 2 }), placement({ id: 'i', code: 'I', layer: 1, w: 10, h: 10, y: 72 - 10 * share })],
    ],
  },
  'a box that a header touches': {
    rule: 'C4',
    silent: 2.6,
    speaks: 2.4,
    laid: (gap) => [
      context({
        kit: kitOf(piece({ kind: 'header', height: 9 }), piece({ code: 'B', kind: 'full-box', height: 48.3 })),
      }),
      [placement({ h: 9 }), placement({ id: 'b', code: 'B', role: 'box', h: 48.3, y: 69 + gap })],
    ],
  },
  'boxes that could make a rhythm': {
    rule: 'W4',
    silent: 3,
    speaks: 4,
    laid: (n) => [
      context({ kit: boxes }),
      [31, 31, 150, 31].slice(0, n).map((y, day) => {
        const place = dayColumn(plain.book, day)!;
        return placement({
          id: `b${day}`,
          code: 'B',
          copy: day + 1,
          role: 'box',
          day,
          page: place.page,
          x: place.x,
          y,
          h: 48.3,
        });
      }),
    ],
  },
  'white that is wanted': {
    rule: 'W1',
    silent: 0.36,
    speaks: 0.34,
    laid: (white) => [
      context({ kit: of({}), options: { whiteSpace: 0.5 } }),
      [placement({ ...COLUMN, h: COLUMN.h * (1 - white) })],
    ],
  },
  'bare paper that looks forgotten': {
    rule: 'W1',
    is: 'barer',
    silent: 44.9,
    speaks: 45.1,
    laid: (bare) => [
      context({
        kit: kitOf(piece({ code: 'A' }), piece({ code: 'D', kind: 'deco', width: 15, height: 15 })),
        week: weekWith(demand({ title: 'vet' })),
      }),
      [0, 1, 2, 3, 4, 5, 6].map((day) => {
        const { page, x, y, w, h } = dayColumn(plain.book, day)!;
        const lying = placement({ id: `f${day}`, copy: day + 1, day, page, x, y, w, h, text: 'vet' });
        return day ? lying : { ...lying, h: h - bare, items: ['a'] };
      }),
    ],
  },
  'a day that one color owns': {
    rule: 'C2',
    is: 'owned',
    silent: 61,
    speaks: 63,
    laid: (share) =>
      patches(
        colored('#9b2743', share / 2),
        colored('#9b2743', share / 2),
        colored('#2c4a86', (100 - share) / 2),
        colored('#17443f', (100 - share) / 2),
      ),
  },
  'a day of few pieces': {
    rule: 'C2',
    is: 'owned',
    silent: 3,
    speaks: 4,
    laid: (n) => patches(...Array.from({ length: n }, () => colored('#9b2743', 10))),
  },
  'a color of one side, once it is seen': {
    rule: 'C2',
    is: 'one-sided',
    silent: 3590 / 38.1 / 2,
    speaks: 3610 / 38.1 / 2,
    laid: (h) => patches(colored('#9b2743', h), colored('#9b2743', h)),
  },
  'a color with a little of it on the other side': {
    rule: 'C2',
    is: 'one-sided',
    silent: 0.061,
    speaks: 0.059,
    laid: (share) => patches(colored('#9b2743', 100 * (1 - share)), colored('#9b2743', 100 * share, RIGHT_PAGE)),
  },
  'a color so pale that it reads as paper': {
    rule: 'C2',
    is: 'one-sided',
    silent: 0xe0,
    speaks: 0xdc,
    laid: (gray) => {
      const color = `#${gray.toString(16).repeat(3)}`;
      return patches(colored(color, 60), colored(color, 60));
    },
  },
  'bottom washi short of its strip': {
    rule: 'B2',
    is: 'gap',
    silent: 0.45,
    speaks: 0.55,
    laid: (gap) => [context({ kit: washi }), strips({ w: 158.4 - gap })],
  },
  'bottom washi over its strip': {
    rule: 'B2',
    is: 'over',
    silent: 0.45,
    speaks: 0.55,
    laid: (over) => [context({ kit: washi }), strips({ h: 12.7 + over })],
  },
  'items that came late, and a week that is still to be arranged': {
    rule: 'D4',
    silent: 4,
    speaks: 3,
    laid: (late) => [context({ kit: of({}), week: items(late + 1) }), [label({ items: ['u0'], text: 'errand 0' })]],
  },
};

function flagged(share: number): readonly [Context, readonly Placement[]] {
  const flag = regionsOf(openB6, 'month-flag')[0]!;
  const { x, y, w, h, page } = flag;
  return [
    context({ book: openB6, kit: of({}), options: { monthFlags: false } }),
    [placement({ page, x, w, y, h: h * share, role: 'base', day: null })],
  ];
}

function atTen(off: number, text: string): readonly [Context, readonly Placement[]] {
  const week = weekWith(demand({ uid: 'a', title: 'vet', start: 600 }));
  const c = context({ book: hourly, kit: of({}), week });
  const { x, page } = dayColumn(hourly, 0)!;
  return [c, [label({ x, page, y: yOfMinute(hoursOf(hourly, 0)!, 600) + off, text })]];
}

it.each(Object.entries(EDGES))('%s', (_, { rule, is, silent, speaks, laid }) => {
  const [quiet, loud] = [silent, speaks].map((value) =>
    found(rule, ...(laid(value) as [Context, Placement[]])).filter((f) => is === undefined || f.about.is === is),
  );
  expect(quiet).toEqual([]);
  expect(loud).not.toEqual([]);
});

it('a rule alone costs no more than 25 points, a finding 8, 3 or a half', () => {
  const many = (n: number, severity: Finding['severity']) =>
    scoreOf(
      Array.from({ length: n }, () => ({
        rule: 'F1',
        severity,
        page: 0,
        x: 0,
        y: 0,
        placements: [],
        about: { is: '' },
      })),
    ).total;
  expect([many(1, 'stop'), many(1, 'fix'), many(1, 'look')]).toEqual([92, 97, 99.5]);
  expect([many(8, 'fix'), many(9, 'fix')]).toEqual([76, 75]);
});
