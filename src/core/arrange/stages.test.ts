import { context, demand, found, kitOf, piece, placement, weekWith, demoKit } from '../../../tests/fixtures';
import { USUAL_HAND, textFits } from '../measure/hand';
import type { Region } from '../book/book';
import { dayColumn } from '../book/columns';
import { openB6 } from '../book/open-b6';
import { threeBox } from '../book/three-box';
import type { Piece } from '../kit/kit';
import { bands } from './base/bands';
import { banner } from './base/banner';
import { bottomWashi } from './base/bottom-washi';
import { dates } from './base/dates';
import { days } from './days/days';
import { Draft } from '../spread/draft';
import type { Stage } from '../spread/draft';
import { headers } from './base/headers';
import { unitsOf } from '../repair/units';
import { inkFor } from '../spread/ink';
import { freeStretches } from '../spread/free-room';
import { sidebar } from './sidebar/sidebar';
import type { Context, Placement } from '../spread/placement';
import { trimTo } from '../spread/trim';
import { writingRoom } from '../spread/writing';

const run = (stage: Stage, c: Context, kept: readonly Placement[] = []) =>
  stage(Draft.begin(c, kept), c).placements.filter((p) => !kept.includes(p));
const strip = (over: Partial<Piece>) => piece({ kind: 'bottom-washi', width: 170, height: 13.5, count: 2, ...over });

describe('bottom washi', () => {
  it('joins short lengths end to end, from the stash where the kit has none', () => {
    const stash = [{ name: 'stash', pieces: [strip({ kit: 'stash', code: 'S', width: 100, count: 4 })] }];
    const laid = run(bottomWashi, context({ stash })).filter((p) => p.page === 0);
    expect(laid.map((p) => [p.x, p.w])).toEqual([
      [6, 100],
      [106, expect.closeTo(58.4)],
    ]);
  });
  it('prefers one design over both pages, and washi of the kit to foreign colors', () => {
    const laid = run(bottomWashi, context({ kit: kitOf(strip({ code: 'A' }), strip({ code: 'B' })) }));
    expect(new Set(laid.map((p) => p.code)).size).toBe(1);
    expect(
      run(bottomWashi, context({ stash: [{ name: 'stash', pieces: [strip({ kit: 'stash', color: '#ff00ff' })] }] })),
    ).toEqual([]);
  });
});

describe('dates', () => {
  const dot = piece({ code: 'D8', kind: 'date-dot', width: 8, height: 8, words: '8' });
  it('writes the number where its dot is lacking', () => {
    const laid = run(dates, context({ kit: kitOf(dot, piece({ code: 'C', kind: 'date-cover', count: 7 })) }));
    expect(laid.find((p) => p.code === 'D8')).toMatchObject({ day: 0, layer: 1, x: 61.15 });
    expect(laid.filter((p) => p.code === 'C').map((p) => p.text)).toEqual([null, '9', '10', '11', '12', '13', '14']);
  });
  it('trims covers to a narrow header from both sides', () => {
    const [cover] = run(dates, context({ book: openB6, kit: kitOf(piece({ code: 'C', kind: 'date-cover' })) }));
    expect(cover).toMatchObject({ w: 28.8, h: 9, cut: { x: 4.65, y: 1.5, w: 28.8, h: 9 } });
  });
});

const byDay = (laid: readonly Placement[]) => [...laid].sort((a, b) => (a.day ?? 0) - (b.day ?? 0));

describe('headers', () => {
  const kit = kitOf(
    ...['#111111', '#777777', '#eeeeee'].map((color, i) =>
      piece({ code: `H${i}`, kind: 'header', height: 6.4, words: 'today', color, count: 7 }),
    ),
  );
  const colors = (habit: 'alternating' | 'fanned' | 'blocked' | 'same', loud = false) =>
    byDay(run(headers, context({ kit, options: { headers: habit }, ways: { leaveOutLoud: loud } })))
      .map((p) => p.code)
      .join(' ');
  it('follow the chosen habit (C4)', () => {
    expect(colors('alternating')).toBe('H0 H1 H0 H1 H0 H1 H0');
    expect(colors('fanned')).toBe('H2 H2 H1 H0 H1 H2 H2');
    expect(colors('blocked')).toMatch(/^(H\d)( \1){6}$/);
    expect(colors('same')).toBe('H0 H0 H0 H0 H0 H0 H0');
    expect(colors('alternating', true)).toBe('H1 H2 H1 H2 H1 H2 H1');
  });
  it('leave alone a day whose top is taken', () =>
    expect(byDay(run(headers, context({ kit }), [placement({ y: 31 })])).map((p) => p.day)).toEqual([
      1, 2, 3, 4, 5, 6,
    ]));
  it('put the few worded ones evenly on both pages (K3)', () => {
    const few = (count: number) =>
      kitOf(
        piece({ code: 'T', kind: 'header', height: 6.4, words: 'today', color: '#777777', count }),
        piece({ code: 'S', kind: 'header', height: 6.4, words: '', color: '#777777', count: 9 }),
      );
    const worded = (count: number) =>
      byDay(run(headers, context({ kit: few(count) }))).flatMap((p) => (p.code === 'T' ? [p.day] : []));
    expect(worded(2)).toEqual([0, 4]);
    expect(worded(4)).toEqual([0, 2, 4, 6]);
  });
  it('speak of a list only over a day that has one', () => {
    const rows = kitOf(
      piece({ code: 'S', kind: 'header', height: 6.4, words: '', count: 30 }),
      piece({ code: 'L', kind: 'header', height: 6.4, words: 'to do', count: 7 }),
    );
    const week = weekWith(demand({ day: 3, kind: 'to-do' }));
    const laid = run(headers, context({ kit: rows, week, manner: 'three-rows' }));
    expect(laid.flatMap((p) => (p.code === 'L' ? [p.day] : []))).toEqual([3]);
  });
});

describe('the banner', () => {
  const wide = (width: number) => context({ kit: kitOf(piece({ code: 'B', kind: 'banner', width, height: 20 })) });
  it('stands over the two weekend columns, in their middle', () =>
    expect(run(banner, wide(70))).toMatchObject([{ page: 1, x: 97.7, w: 70 }]));
  it('is left out when it is too wide, or the weekend is torn apart', () => {
    expect(run(banner, wide(80))).toEqual([]);
    expect(run(banner, context({ kit: wide(70).kit, book: { ...threeBox, weekStart: 'sunday' } }))).toEqual([]);
  });
});

describe('bands', () => {
  const camp = demand({ title: 'camp', kind: 'band', day: 1, lastDay: 4 });
  it('break at the binding and lie at one height on each page (D8)', () => {
    const kit = kitOf(
      piece({ code: 'L', kind: 'label', count: 3 }),
      piece({ code: 'W', kind: 'washi', width: 170, height: 9, opacity: 0.55, count: 2 }),
    );
    const laid = run(bands, context({ kit, week: weekWith(camp) }));
    expect(laid.filter((p) => p.code === 'W').map((p) => [p.page, p.w])).toEqual([
      [0, 78.2],
      [1, 78.2],
    ]);
    expect(laid.filter((p) => p.items.length)).toMatchObject([
      { page: 0, day: 1, layer: 1, text: 'camp' },
      { page: 1, day: 3, text: 'camp' },
    ]);
    expect(new Set(laid.filter((p) => p.items.length).map((p) => p.y)).size).toBe(1);
  });
  it('are cut lower where the washi is higher than their label', () => {
    const kit = kitOf(
      piece({ code: 'L', kind: 'label', count: 3, height: 10 }),
      piece({ code: 'W', kind: 'washi', width: 170, height: 15, count: 2 }),
    );
    const strips = run(bands, context({ kit, week: weekWith(camp) })).filter((p) => p.code === 'W');
    expect(strips.map((p) => [p.w, p.h, p.cut?.h])).toEqual([
      [78.2, 10, 10],
      [78.2, 10, 10],
    ]);
  });
  it('go on as a line of ink to their last day where there is no washi, as far as their days do', () => {
    const c = context({ kit: kitOf(piece({ count: 3 })), week: weekWith(camp) });
    const laid = run(bands, c);
    expect(laid.map((p) => [p.kit, p.page, p.text])).toEqual([
      ['', 0, expect.stringMatching(/^—{8,} Fri$/)],
      ['test', 0, 'camp'],
      ['', 1, expect.stringMatching(/^—{8,} Fri$/)],
      ['test', 1, 'camp'],
    ]);
    expect(laid.map((p) => Math.round(p.x + p.w))).toEqual([164, 124, 92, 52]);
    expect(found('D8', c, laid)).toEqual([]);
    const [day] = laid.map((p) => unitsOf(c, laid, dayColumn(c.book, p.day ?? 0) as Region)[0]?.fixed);
    expect(day).toBe(true);
  });
  it('are their name, a line and their last day where there is no label; an arrow where there is no room', () => {
    const inInk = (title: string, more = {}) =>
      run(bands, context({ kit: kitOf(), week: weekWith({ ...camp, title }), options: more })).map((p) => p.text);
    expect(inInk('camp')[0]).toMatch(/^camp —{8,} Fri$/);
    expect(inInk('a camp of many words that go on and on')[0]).toMatch(/ → Fri$/);
    expect(inInk('camp', { onPaper: false })).toEqual([]);
  });
});

describe('the sidebar', () => {
  it('fills its height with what the kit has, dividers between, in the wanted order', () => {
    const c = context({ kit: demoKit('rockpool'), options: { sidebar: ['next-week', 'quote', 'dinners'] } });
    const laid = run(sidebar, c).filter((p) => p.role === 'sidebar');
    const kinds = laid.map((p) => c.kit.pieces.find((q) => q.code === p.code)?.kind);
    expect(kinds).toEqual(['header', 'checklist', 'washi', 'quote-box', 'washi', 'week-tracker']);
    expect(laid.every((p, i) => i === 0 || p.y > (laid[i - 1]?.y ?? 0))).toBe(true);
  });
  it('makes a section rather than take another’s tracker for it', () => {
    const hours = kitOf(piece({ code: 'T', kind: 'week-tracker', width: 38, height: 48, words: 'hours', rows: 7 }));
    const made = run(sidebar, context({ kit: hours, options: { sidebar: ['dinners'] } }));
    expect(made.every((p) => p.kit === '')).toBe(true);
    const never = { sidebar: ['dinners' as const], onPaper: false };
    expect(run(sidebar, context({ kit: hours, options: never }))).toEqual([]);
    expect(run(sidebar, context({ kit: hours, options: { sidebar: ['hours'] } }))).toHaveLength(1);
  });
});

describe('the days', () => {
  const quarter = (over: Partial<Piece>) => piece({ count: 9, ...over });
  it('meet items with their little, their icon and their script', () => {
    const kit = kitOf(
      quarter({}),
      quarter({ code: 'T', kind: 'third-box', height: 16 }),
      quarter({ code: 'LT', kind: 'little', icon: 'laundry' }),
      piece({ code: 'I', kind: 'icon', icon: 'vet', width: 9, height: 9 }),
      piece({ code: 'S', kind: 'script', words: 'payday', width: 24, height: 7, color: '#23475a' }),
    );
    const week = weekWith(
      demand({ title: 'laundry' }),
      demand({ uid: 'b', key: 'b', title: 'vet, Fig', day: 1, start: 600 }),
      demand({ uid: 'c', key: 'c', title: 'payday', day: 2, kind: 'occasion' }),
    );
    const laid = run(days, context({ kit, week }));
    expect(laid.find((p) => p.day === 0)?.code).toBe('LT');
    expect(laid.filter((p) => p.day === 1).map((p) => p.code)).toContain('I');
    expect(laid.filter((p) => p.day === 2).map((p) => [p.code, p.text])).toEqual([
      ['T', null],
      ['S', null],
    ]);
  });
  it('never use a little whose picture says something else', () => {
    const kit = kitOf(quarter({ count: 1 }), quarter({ code: 'LT', kind: 'little', icon: 'laundry' }));
    const laid = run(
      days,
      context({ kit, week: weekWith(demand({ title: 'vet' }), demand({ uid: 'b', key: 'b', title: 'choir' })) }),
    );
    expect(laid.map((p) => p.code || p.text).sort()).toEqual(['Q-1', 'choir']);
  });
  it('join two lists of one design for more items than rows (L2)', () => {
    const rows = Array.from({ length: 8 }, (_, i) =>
      demand({ uid: `r${i}`, key: `r${i}`, title: `row ${i}`, kind: 'to-do', list: 'to do' }),
    );
    const kit = kitOf(piece({ code: 'L', kind: 'checklist', height: 48, rows: 6, count: 2 }));
    const laid = run(days, context({ kit, week: weekWith(...rows) }));
    expect(laid.map((p) => [p.code, p.copy, p.h, p.items.length])).toEqual([
      ['L', 1, 48, 6],
      ['L', 2, 16, 2],
    ]);
    expect(laid[1]!.y).toBeCloseTo(laid[0]!.y + 48);
  });
  it('give the room asked for, and the scarce base to the day that needs it', () => {
    const kit = kitOf(quarter({}), quarter({ code: 'H', kind: 'half-box', height: 24.1, count: 1 }));
    const week = weekWith(
      demand({ title: 'walk' }),
      demand({ uid: 'b', key: 'b', title: 'concert', day: 3, room: 'half', kind: 'occasion' }),
    );
    expect(
      run(days, context({ kit, week }))
        .map((p) => [p.day, p.code])
        .sort(),
    ).toEqual([
      [0, 'Q-1'],
      [3, 'H'],
    ]);
  });
  it('pull in from the stash only what suits the kit (C1)', () => {
    const stash = [
      {
        name: 'stash',
        pieces: [
          quarter({ kit: 'stash', code: 'loud', color: '#ff0066' }),
          quarter({ kit: 'stash', code: 'kin', color: '#e0f0ec' }),
        ],
      },
    ];
    const kit = kitOf(piece({ kind: 'full-box', height: 48.3, writable: 'no' }));
    expect(run(days, context({ kit, stash, week: weekWith(demand({ title: 'walk' })) })).map((p) => p.code)).toEqual([
      'kin',
    ]);
  });
});

describe('small judgements', () => {
  it('trim where it harms least (F1)', () => {
    expect(trimTo(piece(), 40)).toBeNull();
    expect(trimTo(piece({ kind: 'checklist' }), 28.8)).toMatchObject({ x: 0, w: 28.8 });
    expect(trimTo(piece({ kind: 'full-box' }), 28.1)).toMatchObject({ x: 5, w: 28.1 });
    expect(trimTo(piece({ kind: 'full-box', faces: 'right' }), 28.1)?.x).toBe(10);
    expect(trimTo(piece({ kind: 'habit-tracker' }), 28.8)).toBeUndefined();
  });
  it('leave the writing clear of margins, pictures and overlays', () => {
    const plain = writingRoom({ kind: 'quarter-box', shape: 'rect', w: 38, h: 12 });
    expect(plain.w).toBeLessThan(38);
    expect(writingRoom({ kind: 'little', shape: 'rounded', w: 38, h: 12 }).x).toBeGreaterThanOrEqual(11);
    expect(
      writingRoom({ kind: 'quarter-box', shape: 'rect', w: 38, h: 12 }, [{ x: 1, y: 1, w: 10, h: 10 }]).x,
    ).toBeGreaterThanOrEqual(11);
    const { w, h } = writingRoom({ kind: 'circle', shape: 'circle', w: 14, h: 14 });
    expect(Math.hypot(w, h)).toBeLessThan(14);
    expect(textFits('7:30p', w, h, USUAL_HAND)).toBe(true);
  });
  it('choose the pen by finish and by what shows (P1, P2)', () => {
    expect(inkFor(piece())).toBe('black gel pen');
    expect(inkFor(piece({ color: '#101820' }))).toBe('white gel pen');
    expect(inkFor(piece({ finish: 'glossy' }))).toBe('black permanent marker');
  });
  it('see the free stretches of a column between what lies there', () => {
    const c = context();
    expect(freeStretches(Draft.begin(c, [placement({ y: 80 })]), c, 0)).toEqual([
      { from: 31, to: 78 },
      { from: 94, to: 202.4 },
    ]);
    expect(freeStretches(Draft.begin(c, []), c, 1)).toEqual([{ from: 31, to: 202.4 }]);
  });
});
