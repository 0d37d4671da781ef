import { context, demoSpread, kitOf, piece, placement, strokes } from '../../../tests/fixtures';
import { BOOKS } from '../book/registry';
import type { Book } from '../book/book';
import { MANNERS } from '../manner/registry';
import { fine } from '../measure/fraction';
import type { Placement } from '../spread/placement';
import { isWriting } from '../spread/placement';
import { voiceOf } from '../spread/voice';
import { benchOf } from './bench';
import { dragged } from './drag';
import { runsOf, sameGroup } from './groups';
import { asDragged, inOrder } from './in-order';
import { WORK_ORDERS, workOrder } from './orders/registry';
import { USUAL_PACE, paceOf, secondsOf } from './pace';
import { USUAL_PLAN } from './plan';
import { sayBlocked } from './say-blocked';
import { sayGroup } from './say-group';
import { sayPlace } from './say-place';
import { measuresOf } from './measures';
import { sayStep } from './say-step';
import type { Edge } from './step';
import { strokesOf, tapeLength } from './strokes';
import { totalsOf } from './totals';
import { twoEdges } from './two-edges';

const kit = kitOf(
  piece({ count: 6 }),
  piece({ code: 'L', kind: 'checklist', height: 48, rows: 6, count: 2 }),
  piece({ code: 'W', kind: 'washi', width: 2000, height: 10, opacity: 0.55 }),
  piece({ code: 'V', finish: 'vinyl' }),
  piece({ code: 'F', kind: 'full-box', height: 48, count: 3 }),
);
/** A book without anything printed, so that nothing else is measured from. */
const unprinted = { ...(BOOKS['three-box'] as Book), marks: [] };
const c = context({ kit, book: unprinted });
const edge = (before: string, after: string): Edge => ({ before, after, because: 'lies under it' });

describe('a topological order', () => {
  it('takes what is wanted first of all that may come', () => {
    expect(inOrder(['c', 'b', 'a'], [edge('a', 'b')])).toEqual(['c', 'a', 'b']);
    expect(inOrder(['c', 'b', 'a'], [edge('b', 'c'), edge('a', 'b')])).toEqual(['a', 'b', 'c']);
  });

  it('of things that wait for each other takes the first, and goes on', () =>
    expect(inOrder(['a', 'b', 'c'], [edge('a', 'b'), edge('b', 'a')])).toEqual(['c', 'a', 'b']));

  it('minds no edge of what is not there', () =>
    expect(inOrder(['a'], [edge('x', 'a'), edge('a', 'y')])).toEqual(['a']));

  it('keeps what its owner dragged, and puts what is new behind what it would follow', () => {
    expect(asDragged(['a', 'b', 'c'], ['c', 'a', 'b'])).toEqual(['c', 'a', 'b']);
    expect(asDragged(['a', 'new', 'b', 'c'], ['c', 'a', 'gone', 'b'])).toEqual(['c', 'a', 'new', 'b']);
    expect(asDragged(['new', 'a'], ['a'])).toEqual(['new', 'a']);
    expect(asDragged(['a', 'b'], [])).toEqual(['a', 'b']);
  });
});

describe('dragging', () => {
  const steps = ['a', 'b', 'c', 'd'].map((key) => ({ key }));
  it('moves one, or a group that stays together', () => {
    expect(dragged(steps, [], ['d'], 'a')).toEqual({ ok: true, sequence: ['d', 'a', 'b', 'c'] });
    expect(dragged(steps, [], ['a', 'b'], null)).toEqual({ ok: true, sequence: ['c', 'd', 'a', 'b'] });
  });
  it('is refused with what is in the way', () =>
    expect(dragged(steps, [edge('a', 'c')], ['c'], 'a')).toEqual({ ok: false, blocked: edge('a', 'c') }));
});

describe('the orders', () => {
  const box = placement({ id: 'box', code: 'F', copy: 1, role: 'box', day: 0, y: 60, h: 48 });
  const header = placement({ id: 'header', role: 'base', day: 0, y: 30 });
  const list = placement({
    id: 'list', code: 'L', day: 1, x: 86.4, y: 60, h: 16, cut: { x: 0, y: 0, w: 38.1, h: 16 }, text: 'fish\nbread',
  }); // prettier-ignore
  const day = placement({ id: 'day', day: 0, y: 130, copy: 2, text: 'vet' });
  const all = [day, list, header, box];
  const ids = (order: string, manner = 'scattered', placements: readonly Placement[] = all): string[] =>
    benchOf({ ...c, manner: MANNERS[manner]! }, placements, [], { ...USUAL_PLAN, order }).steps.map(
      (s) => `${s.do} ${s.about.is === 'write' ? s.about.day : s.about.is === 'cut' ? s.about.cut.code : s.refs[0]}`,
    );

  it('over the week: part by part, a cut just before the part that needs it, ink last', () =>
    expect(ids('over the week')).toEqual([
      'place header', 'place box', 'place day', 'cut L', 'place list', 'write 0', 'write 1',
    ])); // prettier-ignore

  it('cutting first: the knife, then the rest', () =>
    expect(ids('cutting first')).toEqual([
      'cut L', 'place header', 'place box', 'place day', 'place list', 'write 0', 'write 1',
    ])); // prettier-ignore

  it('day by day: each day is cut, laid and written before the next', () =>
    expect(ids('day by day')).toEqual([
      'place header', 'place box', 'place day', 'write 0', 'cut L', 'place list', 'write 1',
    ])); // prettier-ignore

  it('by the school: grounded lays its boxes first, three rows builds from the bottom up', () => {
    expect(ids('over the week', 'grounded').slice(0, 2)).toEqual(['place box', 'place header']);
    const low = placement({ id: 'low', y: 170, copy: 3 });
    expect(ids('over the week', 'three-rows', [day, low]).slice(0, 2)).toEqual(['place low', 'place day']);
    expect(ids('over the week', 'scattered', [day, low]).slice(0, 2)).toEqual(['place day', 'place low']);
  });

  it('fall back to the usual one for a name that nobody knows', () => {
    expect(workOrder('upside down')).toBe(WORK_ORDERS[0]);
    expect(new Set(WORK_ORDERS.map((o) => o.name)).size).toBe(WORK_ORDERS.length);
    for (const o of WORK_ORDERS) expect(o.says).toMatch(/\.$/);
  });

  it('go on with what needs no white-out when the tape is out', () => {
    const patch = { page: 0, x: 46.1, y: 62, w: 38.1, h: 0.3, why: '' };
    const other = { ...patch, page: 1 };
    const order = (tapeOut: boolean, ticked: readonly string[] = []) =>
      benchOf({ ...c, ticked }, [box, header], [patch, other], { ...USUAL_PLAN, tapeOut }).steps.map((s) => s.refs[0]);
    expect(order(false)).toEqual(['white:0', 'white:1', 'header', 'box']);
    // the box lies on a whited-out line: it waits, and the other page's white-out too
    expect(order(true)).toEqual(['header', 'white:0', 'box', 'white:1']);
    const first = benchOf(c, [box, header], [patch, other]).steps[0]!.key;
    expect(order(true, [first])[0]).toBe('white:0'); // what is done stays done
  });
});

describe('groups', () => {
  const { context: demo, placements } = demoSpread();
  const bench = benchOf(demo, placements);
  const voice = voiceOf(demo, placements);
  it('hold every step once, in order', () => {
    const runs = runsOf(bench.steps);
    expect(runs.flatMap((r) => r.steps)).toEqual(bench.steps);
    for (const [i, run] of runs.entries()) if (i) expect(sameGroup(runs[i - 1]!.group, run.group)).toBe(false);
    expect(runs.map((r) => sayGroup(voice, r.group))).toEqual(
      expect.arrayContaining([
        'White-out, left page',
        'Base, right page',
        'Sidebar',
        'Full boxes',
        'Monday',
        'Ink, last',
      ]),
    );
    expect(runs.length).toBeLessThan(30);
  });
  it('are few enough to be done one by one', () =>
    expect(Math.max(...runsOf(bench.steps).map((r) => r.steps.length))).toBeLessThan(40));
  it('say what is in the way of a drag, with both steps', () => {
    const [lower] = bench.edges.filter((e) => e.because === 'lies under it');
    const said = sayBlocked(lower!, bench.steps, voice);
    expect(said).toMatch(
      /^That order can’t be: step (\d+) comes before step (\d+), since it lies under it\. \1: .+\. \2: .+\.$/,
    );
  });
});

describe('a place is measured from edges that can be found', () => {
  const at = placement({ id: 'at', y: 100 });
  const edges = (
    laid: readonly Placement[],
    p = at,
    book: Book = unprinted,
    white: Parameters<typeof twoEdges>[3] = [],
  ) => twoEdges({ book }, p, laid, white);
  const said = (laid: readonly Placement[], p = at, book: Book = unprinted) => {
    const seen = context({ kit, book });
    return sayPlace(voiceOf(seen, [...laid, p], 'mm'), p, edges(laid, p, book));
  };

  it('from the foot of what is down above it, in the same column', () => {
    const above = placement({ id: 'above', code: 'F', day: 0, y: 40, h: 48 });
    expect(said([above])).toBe('12 mm under the white full box, edge to edge of the column');
    expect(said([{ ...above, y: 52.2 }])).toBe('right under the white full box, edge to edge of the column');
    expect(said([{ ...above, x: 130 }])).toBe('100 mm from the top of the page, edge to edge of the column');
    expect(said([{ ...above, page: 1 }])).toContain('from the top of the page');
  });

  it('level with what is down beside it', () =>
    expect(said([placement({ id: 'beside', day: 1, x: 86.4, y: 100.1 })])).toContain(
      'its top level with Tuesday’s white quarter box',
    ));

  it('from a printed line only while that shows', () => {
    const line = { kind: 'line', page: 0, x: 46.1, y: 92, w: 38.1, h: 0.3 } as const;
    const book = { ...unprinted, marks: [line] };
    expect(said([], at, book)).toBe('7.5 mm under the printed line, edge to edge of the column');
    const cover = placement({ id: 'cover', y: 84 });
    expect(said([cover], at, book)).toContain('4 mm under the white quarter box');
    expect(edges([], at, book, [{ page: 0, x: 46.1, y: 92, w: 38.1, h: 0.3, why: '' }]).down.from).toEqual({
      is: 'page',
    });
  });

  it('across from the column it stands in, else from the page’s outer edge', () => {
    expect(said([], { ...at, w: 20 })).toContain('flush left in the column');
    expect(said([], { ...at, w: 20, x: 50.1 })).toContain('4 mm from the left of the column');
    expect(said([], { ...at, w: 20, x: 62 })).toContain('2 mm from the right of the column');
    expect(said([], { ...at, day: null, x: 8, w: 20 })).toContain('8 mm from the left edge of the page');
    expect(said([], { ...at, page: 1, day: null, x: 100, w: 20 })).toContain('from the right edge of the page');
  });

  it('across from what is down beside it, where that is nearer', () => {
    const flag = placement({ id: 'flag', day: 0, y: 101, w: 15, h: 10 });
    const beside = { ...at, w: 14, x: 46.1 + 17 };
    expect(said([flag], beside)).toContain(', 2 mm to the right of the white quarter box');
    expect(said([{ ...flag, x: 46.1 + 23.5 }], { ...at, x: 46.1 + 8.5, w: 14.8 })).toContain(
      'against the left of the white quarter box',
    );
  });

  it('to the fineness that can be seen: half a millimeter, a sixteenth', () => {
    expect([fine(12.26, 'mm'), fine(12.24, 'mm'), fine(38.1, 'in'), fine(39, 'in')]).toEqual([
      '12.5 mm',
      '12 mm',
      '1 1/2 in',
      '1 9/16 in',
    ]);
  });

  it('and only from what is down by then', () => {
    const { context: demo, placements } = demoSpread();
    const bench = benchOf(demo, placements);
    for (const step of bench.steps.filter((s) => s.about.is === 'lay')) {
      const { down } = measuresOf(demo, bench).get(step.refs[0]!)!;
      if ('placement' in down.from) {
        const under = bench.steps.find(
          (s) => s.about.is === 'lay' && s.refs.includes((down.from as { placement: string }).placement),
        );
        expect(under!.n).toBeLessThan(step.n);
      }
      expect(sayStep(step, voiceOf(demo, placements), measuresOf(demo, bench))).not.toMatch(/undefined|NaN| -\d/);
    }
  });
});

describe('the pace', () => {
  const ticks = (work: 'place' | 'white-out', size: number, ...seconds: number[]) => {
    let at = 1_000_000;
    return [0, ...seconds].map((s) => ({ do: work, size, at: (at += s * 1000) }));
  };
  it('is the usual one until five steps of a sort are known', () => {
    expect(paceOf([])).toEqual({ pace: USUAL_PACE, own: [] });
    expect(paceOf(ticks('place', 1, 20, 20, 20, 20)).own).toEqual([]);
  });
  it('is the median of the owner’s own, without pauses and without what was ticked at once', () => {
    const { pace, own } = paceOf(ticks('place', 1, 20, 30, 40, 1, 9000, 25, 35));
    expect([pace.place, own]).toEqual([30, ['place']]);
    expect(pace.cut).toBe(USUAL_PACE.cut);
  });
  it('of white-out is told by its places', () =>
    expect(paceOf(ticks('white-out', 4, 20, 20, 20, 20, 20, 20)).pace['white-out']).toBe(5));
  it('tells how long steps take', () =>
    expect(
      secondsOf(
        [
          { do: 'white-out', about: { is: 'white-out', page: 0, strokes: strokes(3) } },
          { do: 'place', about: { is: 'lay' } },
          { do: 'write', about: { is: 'write', day: 1, texts: 2, pens: [], paper: [] } },
        ],
        USUAL_PACE,
      ),
    ).toBe(3 * 8 + 50 + 2 * 25));
});

describe('the totals', () => {
  it('count washi by the roll, rows, stickers, parts and texts', () => {
    const strip = (id: string, x: number, w: number) =>
      placement({ id, code: 'W', day: null, role: 'base', x, y: 205, w, h: 10, cut: { x, y: 0, w, h: 10 } });
    const part = (id: string, y: number, h: number) =>
      placement({ id, code: 'L', y: 60 + y, h, cut: { x: 0, y, w: 38.1, h }, text: 'a' });
    const bench = benchOf(
      c,
      [strip('s1', 6, 120), strip('s2', 130, 30), part('l1', 0, 16), part('l2', 16, 8), placement({ y: 150 })],
      [],
    );
    expect(totalsOf(c, bench)).toMatchObject({
      washi: [{ code: 'W', mm: 150, pieces: 2 }], rows: 3, pieces: 3, cut: 2, parts: 4, texts: 2, tape: 0, sheets: 1,
    }); // prettier-ignore
  });
  it('agree with the demo week’s own lists', () => {
    const { context: demo, placements } = demoSpread();
    const bench = benchOf(demo, placements);
    const t = totalsOf(demo, bench);
    expect(t.cut).toBe(bench.cuts.length);
    expect(t.pieces).toBe(
      new Set(placements.filter((p) => !isWriting(p)).map((p) => `${p.kit}/${p.code}#${p.copy}`)).size,
    );
    expect(t.tape).toBeCloseTo(tapeLength(strokesOf({ book: demo.book, placements }, bench.whiteOut)));
  });
  it('are naught for an empty spread', () =>
    expect(totalsOf(c, benchOf(c, []))).toEqual({
      tape: 0, washi: [], strips: { count: 0, mm: 0 },
      pieces: 0, stacks: 0, cut: 0, parts: 0, rows: 0, texts: 0, sheets: 0, kept: 0, left: { whole: 13, all: 13 },
    })); // prettier-ignore
});
