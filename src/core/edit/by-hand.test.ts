import fc from 'fast-check';
import { demand, weekWith, context, demoSpread, kitOf, piece, placement } from '../../../tests/fixtures';
import { openPaper, regionsOf } from '../book/columns';
import type { Piece } from '../kit/kit';
import { contains, intersect, right } from '../measure/rect';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { turnPiece, writeOn } from './alter';
import type { Change } from './change';
import { applies, apply, between, invert } from './change';
import { clear } from './rearrange';
import { snap } from './snap';
import type { Spot } from './spots';
import { placeAt, spotsFor } from './spots';
import { stackOf } from './stack';
import { stickDown } from './stick-down';
import { overdrawnPlacements } from './stock-check';
import { sayDesign, sayThing, thingOf } from './thing';

const CODES: Readonly<Record<string, Piece>> = {
  box: piece({ code: 'B', kind: 'full-box', height: 48.3, count: 3 }),
  wide: piece({ code: 'WD', kind: 'half-box', width: 45, height: 24.1, count: 2 }),
  cover: piece({ code: 'DC', kind: 'date-cover', count: 7 }),
  dot: piece({ code: 'DD', kind: 'date-dot', width: 8, height: 8, shape: 'circle', count: 7 }),
  strip: piece({ code: 'BW', kind: 'bottom-washi', width: 160, height: 11, opacity: 0.55, count: 2 }),
  icon: piece({ code: 'I', kind: 'icon', width: 10, height: 10, shape: 'free', writable: 'no', count: 2 }),
  tracker: piece({ code: 'HT', kind: 'habit-tracker', height: 16, count: 1 }),
  label: piece({ code: 'L', kind: 'label', height: 12, count: 2 }),
  photo: piece({ code: 'P', kind: 'deco', width: 25, height: 25, shape: 'free', writable: 'no' }),
};
const kit = kitOf(...Object.values(CODES));
const c = context({ kit });
const pieceOf = (name: string): Piece => CODES[name] as Piece;
const spots = (name: string, there: readonly Placement[] = []): Spot[] => spotsFor(c, there, pieceOf(name));
const put = (name: string, spot: Spot | undefined, there: readonly Placement[] = []): Placement[] => {
  const change = spot && placeAt(c, there, pieceOf(name), spot);
  if (!change) throw new Error(`${name} cannot be laid`);
  return apply(there, change);
};

describe('a picked piece', () => {
  it.each(Object.keys(CODES))('%s may go only onto paper, and lies as its spot said', (name) => {
    const offered = spots(name);
    expect(offered.length).toBeGreaterThan(0);
    for (const spot of offered) {
      expect(contains(openPaper(c.book, spot.page), spot)).toBe(true);
      const [laid] = put(name, spot);
      expect(laid).toMatchObject({ page: spot.page, x: spot.x, y: spot.y, day: spot.day, role: spot.role });
      expect([laid?.w, laid?.h]).toEqual([expect.closeTo(spot.w), expect.closeTo(spot.h)]);
    }
  });

  it('covers and dots go over printed dates, one of a kind each', () => {
    expect(spots('cover').map((s) => s.day)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    const one = put('cover', spots('cover')[2]);
    expect(spots('cover', one).map((s) => s.day)).toEqual([0, 1, 3, 4, 5, 6]);
    expect(spots('dot', one)).toHaveLength(7);
    const header = regionsOf(c.book, 'date-header')[0];
    const dot = spots('dot')[0];
    if (!header || !dot) throw new Error('no header');
    expect(dot.y + dot.h / 2).toBeCloseTo(header.y + header.h / 2);
  });

  it('a dot on a cover lies over it', () => {
    const covered = put('cover', spots('cover')[0]);
    const both = put('dot', spots('dot', covered)[0], covered);
    expect(both.map((p) => p.layer)).toEqual([0, 1]);
  });

  it('a strip goes along the foot of each page, cut to it, and no further than there is of it', () => {
    const strips = spots('strip').filter((s) => s.role === 'base');
    expect(strips).toHaveLength(2);
    for (const s of strips) expect(s).toMatchObject({ w: expect.closeTo(158.4), h: 11 });
    const one = put('strip', strips[0]);
    expect(spots('strip', one).filter((s) => s.role === 'base')).toHaveLength(1);
  });

  it('that is wider than its column says what comes off', () => {
    expect(spots('wide').map((s) => s.say)).toContain('Monday: trim 1/4 in off its width');
    expect(spots('box')[0]?.say).toMatch(/fits$/);
  });

  it('stands under what is there already, in the first room that takes it', () => {
    const laid = put(
      'box',
      spots('box').find((s) => s.day === 3),
    );
    const next = spots('box', laid).find((s) => s.day === 3);
    expect(next && laid[0] && next.y >= laid[0].y + laid[0].h).toBe(true);
    const sidebar = put(
      'tracker',
      spots('tracker').find((s) => s.role === 'sidebar'),
    );
    const under = spots('label', sidebar).find((s) => s.role === 'sidebar');
    expect(under?.y).toBeCloseTo((sidebar[0]?.y ?? 0) + 16 + c.options.gap);
  });

  it('has the role of its kind', () => {
    const role = (name: string) => spots(name).find((s) => s.day === 4)?.role;
    expect(['box', 'label', 'photo', 'icon'].map(role)).toEqual(['box', 'day', 'finish', 'day']);
  });

  it('goes nowhere when its last copy is laid', () => {
    const all = [1, 2].map((copy) => placement({ id: `p${copy}`, code: 'L', copy, y: 60 * copy }));
    expect(spots('label', all)).toEqual([]);
    const spot = spots('label')[0];
    expect(spot && placeAt(c, all, pieceOf('label'), spot)).toBeNull();
  });
});

describe('a dragged piece', () => {
  const drag = (over: Partial<Placement>, there: readonly Placement[] = [], page = 0) => {
    const { x, y, w, h } = placement(over);
    return snap(c, there, new Set(['p1']), page, { x, y, w, h });
  };
  it('falls to its column’s edge, middle or other edge, and floats between', () => {
    const column = regionsOf(c.book, 'day')[0];
    if (!column) throw new Error('no column');
    const narrow = { w: 14, h: 14, y: 90 };
    expect(drag({ ...narrow, x: column.x + 1.5 }).x).toBe(column.x);
    expect(drag({ ...narrow, x: column.x + 11 }).x).toBeCloseTo(column.x + (column.w - 14) / 2);
    expect(drag({ ...narrow, x: right(column) - 14 - 2 }).x).toBeCloseTo(right(column) - 14);
    expect(drag({ ...narrow, x: column.x + 6 }).x).toBeCloseTo(column.x + 6);
  });
  it('that fills its column is put in its middle', () => expect(drag({ x: 49, y: 90 }).x).toBe(46.1));
  it('keeps the wanted gap to what is over and under it, or touches nothing', () => {
    const there = [placement({ id: 'p2', y: 60, h: 12 })];
    expect(drag({ y: 73 }, there).y).toBe(72 + c.options.gap);
    expect(drag({ y: 45.5 }, there).y).toBe(60 - c.options.gap - 12);
    expect(drag({ y: 90 }, there).y).toBe(90);
  });
  it('falls to the top and the floor of its column', () => {
    expect(drag({ y: 32 })).toMatchObject({ y: 31, day: 0 });
    expect(drag({ y: 189.5 }).y).toBeCloseTo(31 + 171.4 - 12);
  });
  it('knows the day it is over, and that the sidebar is none', () => {
    expect(drag({ x: 86, y: 90 }).day).toBe(1);
    expect(drag({ x: 7, y: 90 }).day).toBeNull();
    expect(drag({ x: 14, y: 90 }, [], 1).day).toBe(3);
  });
  it('never leaves the paper, wherever the hand goes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 600 }), fc.integer({ min: -400, max: 600 }), (x, y) => {
        const to = drag({ x, y });
        expect(to.x >= 0 && to.x + 38.1 <= 177.8 + 0.01).toBe(true);
        expect(to.y >= 0 && to.y + 12 <= 228.6 + 0.01).toBe(true);
      }),
      { numRuns: 200, seed: 11 },
    );
  });
});

describe('an edit', () => {
  const some = [placement(), placement({ id: 'p2', y: 90 }), placement({ id: 'p3', day: 1, x: 86.2 })];
  const any = fc.array(fc.record({ id: fc.constantFrom('p1', 'p2', 'p3', 'p4'), y: fc.integer({ min: 0, max: 9 }) }), {
    maxLength: 4,
  });
  it('leads from one state to another and back again, whatever they are', () => {
    fc.assert(
      fc.property(any, any, (one, other) => {
        const state = (list: typeof one): Placement[] => [
          ...new Map(list.map((p) => [p.id, placement(p)] as const)).values(),
        ];
        const [before, after] = [state(one), state(other)];
        const change = between(before, after, { do: 'lift all' });
        const ids = (list: readonly Placement[]) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
        expect(ids(apply(before, change))).toEqual(ids(after));
        expect(ids(apply(after, invert(change)))).toEqual(ids(before));
        expect(invert(invert(change))).toEqual(change);
      }),
      { numRuns: 200, seed: 12 },
    );
  });
  it('knows nothing of what stays as it was', () => {
    const change = between(some, [...some.slice(0, 2), placement({ id: 'p3', day: 1, x: 90 })], { do: 'lift all' });
    expect([change.before.map((p) => p.id), change.after.map((p) => p.id)]).toEqual([['p3'], ['p3']]);
  });
  it('does not fit a spread on which its piece is not, or is another', () => {
    const change: Change = { deed: { do: 'lift all' }, before: [placement()], after: [] };
    expect(applies([], change)).toBe(false);
    expect(applies([placement({ y: 61 })], change)).toBe(false);
    expect(applies([placement()], change)).toBe(true);
    const laying: Change = { deed: { do: 'lift all' }, before: [], after: [placement()] };
    expect(applies([placement({ y: 61 })], laying)).toBe(false);
  });
  it('is the same in whichever order its fields were stored', () => {
    const cut = { x: 0, y: 0, w: 10, h: 5 };
    const stored = { h: 5, w: 10, y: 0, x: 0 };
    const change: Change = { deed: { do: 'lift all' }, before: [placement({ cut: stored })], after: [] };
    expect(applies([placement({ cut })], change)).toBe(true);
  });
  it('lifts all but what is stuck down', () => {
    const locked = placement({ id: 'p9', locked: true });
    expect(clear([...some, locked]).before).toEqual(some);
  });
});

describe('a stack', () => {
  const base = placement();
  const icon = placement({ id: 'p2', x: 48, y: 61, w: 10, h: 10, layer: 1 });
  const script = placement({ id: 'p3', x: 60, y: 62, w: 20, h: 8, layer: 2 });
  it('is a piece with all whose middle lies on it, lowest first', () => {
    expect(stackOf([script, icon, base], 'p1').map((p) => p.id)).toEqual(['p1', 'p2', 'p3']);
    expect(stackOf([script, icon, base], 'p2').map((p) => p.id)).toEqual(['p2']);
    expect(stackOf([base], 'gone')).toEqual([]);
  });
  it('leaves out what only touches it, and what is on another page', () => {
    const beside = placement({ id: 'p4', x: 80, y: 70, w: 20, h: 10, layer: 1 });
    expect(stackOf([base, beside, { ...icon, page: 1 }], 'p1').map((p) => p.id)).toEqual(['p1']);
  });
});

describe('small edits', () => {
  const base = placement({ code: 'L' });
  it('turn a quarter at a time, and come round', () => {
    let p: Placement = base;
    for (const turn of [90, 180, 270, 0]) {
      const change = turnPiece(c, p);
      p = change?.after[0] as Placement;
      expect(p.turn).toBe(turn);
    }
    expect(footprint({ ...base, turn: 90 })).toMatchObject({ w: expect.closeTo(12), h: expect.closeTo(38.1) });
  });
  it('write with the pen that the finish takes, and take the writing away again', () => {
    const written = writeOn(c, base, 'vet')?.after[0];
    expect(written).toMatchObject({ text: 'vet', ink: expect.any(String) });
    expect(writeOn(c, written as Placement, '  ')?.after[0]).toMatchObject({ text: null, ink: null });
    expect(writeOn(c, base, '')).toBeNull();
    expect(writeOn(c, placement({ code: 'gone' }), 'vet')).toBeNull();
  });
  it('stick down only what is not, and free only what is', () => {
    const both = [base, placement({ id: 'p2', code: 'L', copy: 2, locked: true })];
    expect(stickDown(c, both, ['p1', 'p2'], true)?.after.map((p) => p.id)).toEqual(['p1']);
    expect(stickDown(c, both, ['p1', 'p2'], false)?.after.map((p) => [p.id, p.locked])).toEqual([['p2', false]]);
    expect(stickDown(c, both, ['p2'], true)).toBeNull();
    expect(stickDown(c, both, [], true)).toBeNull();
  });
});

describe('what an edit speaks of', () => {
  it('has the first line of its text, its printed words, or its picture', () => {
    const words = context({ kit: kitOf(piece({ words: 'tide', motif: 'kelp' }), piece({ code: 'M', motif: 'kelp' })) });
    expect(thingOf(words, placement({ text: 'vet\nJuniper' })).words).toBe('vet');
    expect(thingOf(words, placement()).words).toBe('tide');
    const week = weekWith(demand({ uid: 'v', title: 'vet, Juniper', day: 0, lastDay: 0 }));
    const named = (text: string | null, items = ['v']) => thingOf({ ...words, week }, placement({ text, items })).words;
    // a script says the rest of it
    expect([named('Juniper'), named('Juniper,\n5:45p'), named('vet,\nJuniper'), named('8a vet, Juniper')]).toEqual([
      'vet, Juniper',
      'vet, Juniper',
      'vet,',
      '8a vet, Juniper',
    ]);
    expect(named('vet, bring papers')).toBe('vet, bring papers');
    expect([named('Juniper', []), named('Juniper', ['v', 'w']), named(null)]).toEqual(['Juniper', 'Juniper', 'tide']);
    expect(thingOf(words, placement({ code: 'M' })).words).toBe('kelp');
    expect(thingOf(words, placement({ code: 'gone' }))).toEqual({ kind: null, code: 'gone', words: '' });
  });
  it('is said by its kind, or by its code where its kit is not at hand', () => {
    expect(sayThing({ kind: 'half-box', code: 'H', words: 'x'.repeat(60) })).toBe(`half box “${'x'.repeat(28)}”`);
    expect(sayThing({ kind: null, code: 'H', words: '' })).toBe('H');
    expect([
      sayDesign({ kind: 'label', code: 'L', words: '' }),
      sayDesign({ kind: null, code: 'L', words: '' }),
    ]).toEqual(['label L', 'L']);
    const lone = thingOf(context({ kit: kitOf(piece({ kind: 'full-box', color: '#1f6f78' })) }), placement());
    expect([sayThing(lone), sayDesign(lone)]).toEqual(['teal full box', 'teal full box']);
  });
});

describe('the stock under a spread', () => {
  it('has nothing to say of the demo’s own spread, and names what is used twice', () => {
    const demo = demoSpread();
    expect(overdrawnPlacements(demo.context, demo.placements)).toEqual([]);
    const [first] = demo.placements;
    if (!first) throw new Error('the spread is empty');
    const twice = { ...first, id: 'p9999' };
    expect(overdrawnPlacements(demo.context, [...demo.placements, twice])).toEqual([twice]);
  });
  it('counts what other weeks have', () => {
    const used = context({ kit, usedElsewhere: [{ kit: 'test', code: 'L', copy: 1, cut: null }] });
    expect(overdrawnPlacements(used, [placement({ code: 'L' })])).toHaveLength(1);
    expect(overdrawnPlacements(used, [placement({ code: 'L', copy: 2 })])).toEqual([]);
  });
  it('knows no piece of another kit', () =>
    expect(overdrawnPlacements(c, [placement({ kit: 'other', code: 'L' })])).toHaveLength(1));
});

it('no two spots of one piece lie over each other', () => {
  for (const name of Object.keys(CODES)) {
    const all = spots(name);
    for (const a of all)
      for (const b of all) if (a !== b && a.page === b.page) expect([name, intersect(a, b)]).toEqual([name, null]);
  }
});
