import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { openB6 } from '../book/open-b6';
import { wideUndated } from '../book/wide-undated';

const kit = kitOf(
  piece({ count: 9 }),
  piece({ code: 'C', kind: 'date-cover', motif: 'waves' }),
  piece({ code: 'H', kind: 'date-cover', motif: 'hole' }),
  piece({ code: 'D', kind: 'date-dot', width: 8, height: 8, words: '8' }),
  piece({ code: 'S', kind: 'script', width: 24, height: 7 }),
  piece({ code: 'B', kind: 'full-box', height: 48.3, motif: 'waves' }),
  piece({ code: 'P', kind: 'full-box', height: 48.3, motif: 'heron' }),
  piece({ code: 'W', kind: 'double-box', width: 76.2, height: 48.3, motif: 'harbor' }),
);
const c = context({ kit, week: weekWith(...['a', 'b', 'c'].map((uid) => demand({ uid, key: uid, title: uid }))) });

describe('B3', () => {
  const dot = placement({ id: 'd', code: 'D', x: 61, y: 19, w: 8, h: 8, layer: 1, role: 'base' });
  const cover = (code: string, layer: number) => placement({ id: 'c', code, y: 17, role: 'base', layer });
  it('is silent on a dot on a cover, and on a dot under a hole', () => {
    expect(found('B3', c, [cover('C', 0), dot])).toEqual([]);
    expect(found('B3', c, [cover('H', 1), { ...dot, layer: 0 }])).toEqual([]);
  });
  it('speaks of a dot that its cover buries, and of one on a hole', () => {
    expect(found('B3', c, [cover('C', 1), { ...dot, layer: 0 }])[0]?.message).toContain(
      'lies under its cover, which has no hole',
    );
    expect(found('B3', c, [cover('H', 0), dot])[0]?.message).toContain('lies on its cover, which has a hole');
  });
});

describe('B4', () => {
  const script = placement({ id: 's', code: 'S', x: 50, y: 62, w: 24, h: 7, layer: 1 });
  it('is silent on a script on its base', () => expect(found('B4', c, [placement(), script])).toEqual([]));
  it('speaks of one that its base buries', () =>
    expect(found('B4', c, [placement({ layer: 2 }), script])).toMatchObject([
      { severity: 'fix', placements: ['s', 'p1'], message: expect.stringContaining('hides') },
    ]));
});

describe('B6', () => {
  const b6 = context({ book: openB6, kit, options: { monthFlags: false } });
  const flag = openB6.regions.find((r) => r.id === 'flag-0')!;
  it('is silent on a flag left bare, covered whole, or whited out', () => {
    expect(found('B6', b6, [placement({ y: 60 })])).toEqual([]);
    expect(found('B6', b6, [placement({ x: flag.x - 2, y: 1, w: 20 })])).toEqual([]);
    expect(found('B6', context({ book: openB6, kit }), [placement({ x: flag.x - 2, y: 4 })])).toEqual([]);
  });
  it('speaks of one half covered', () =>
    expect(found('B6', b6, [placement({ x: flag.x - 2, y: 4 })])[0]?.message).toContain('56 %'));
});

describe('F1', () => {
  it('says that a book’s top leaves no room for a band', () => {
    expect(found('F1', context({ kit, book: wideUndated, manner: 'crowned' }), [])[0]?.message).toMatch(
      /^No top band: .*1\/8 in from the top, .* too high for one\.$/,
    );
    expect(found('F1', context({ kit, manner: 'crowned' }), [])).toEqual([]);
  });
});

describe('F2', () => {
  const halves = (code: string, dx = 0) => [
    placement({ id: 'u', code, h: 24.15, role: 'box', cut: { x: 0, y: 0, w: 38.1, h: 24.15 } }),
    placement({
      id: 'l',
      code,
      x: 46.1 + dx,
      y: 75.85,
      h: 24.15,
      role: 'box',
      layer: 1,
      cut: { x: 0, y: 24.15, w: 38.1, h: 24.15 },
    }),
  ];
  it('lets a pattern be shortened', () => expect(found('F2', c, halves('B'))).toEqual([]));
  it('speaks of a picture cut through, and of halves aside of each other', () => {
    expect(found('F2', c, halves('P'))[0]?.message).toBe(
      'Monday’s full box is cut in two and overlapped by 5/16 in, through its picture of a heron.',
    );
    expect(found('F2', c, halves('B', 2))[0]?.message).toContain('are 1/16 in out of line');
  });
});

describe('F3', () => {
  const halves = (over = {}) => [
    placement({ id: 'l', code: 'W', w: 38.1, h: 48.3, role: 'box', cut: { x: 0, y: 0, w: 38.1, h: 48.3 } }),
    placement({
      id: 'r',
      code: 'W',
      x: 86.2,
      h: 48.3,
      role: 'box',
      day: 1,
      cut: { x: 38.1, y: 0, w: 38.1, h: 48.3 },
      ...over,
    }),
  ];
  it('is silent on halves in line', () => expect(found('F3', c, halves())).toEqual([]));
  it('speaks of halves out of line, on two pages, or on changed sides', () => {
    expect(found('F3', c, halves({ y: 62 }))[0]?.message).toBe(
      'The halves of the double box of Monday and Tuesday are out of line by 1/16 in.',
    );
    expect(found('F3', c, halves({ page: 1 }))[0]?.message).toContain('on two pages');
    expect(
      found('F3', c, [
        { ...halves()[0]!, x: 86.2, day: 1 },
        { ...halves()[1]!, x: 46.1, day: 0 },
      ])[0]?.message,
    ).toContain('changed sides');
  });
});

describe('F4', () => {
  const down = (...ys: readonly number[]) =>
    ys.map((y, i) => placement({ id: `p${i}`, copy: i + 1, y, items: ['abc'[i] as string], text: 'x' }));
  it('is silent on one edge and equal gaps, and on an open place', () => {
    expect(found('F4', c, down(60, 74, 88))).toEqual([]);
    expect(found('F4', c, down(60, 74, 120))).toEqual([]);
  });
  it('speaks of a label aside, and of uneven gaps', () => {
    expect(
      found('F4', c, [{ ...down(60)[0]!, w: 30, x: 46.1, cut: { x: 0, y: 0, w: 30, h: 12 } }])[0]?.message,
    ).toContain('is 3/16 in off: all others are centered');
    expect(found('F4', c, down(60, 74, 91))).toMatchObject([
      {
        placements: ['p1'],
        message: 'Monday: 1/16 in are free above a label and 3/16 in below.',
        remedy: 'Move it 1/16 in down.',
      },
    ]);
  });
});
