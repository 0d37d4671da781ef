import fc from 'fast-check';
import { bare, kit, plain, with_ } from '../../../tests/cases';
import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { contrast } from '../color/color';
import type { Kind } from '../kit/kinds';
import { area, bottom, contains, intersect } from '../measure/rect';
import { alignX } from './align';
import { atHand } from './at-hand';
import { byCost, piecesOf, strangeness, tasteCost } from './choose';
import { contextFrom } from './context';
import { Draft } from './draft';
import { foilCost, foilOfDay } from './foil';
import { freeStretches, keptFree } from './free-room';
import { BLACK, PAPER, WHITE, inkFor } from './ink';
import { matchDemands } from './placement';
import { trimTo } from './trim';
import { counted, mm, pieceName, voiceOf } from './voice';
import { laidOn, writingRoom } from './writing';

const monday = dayColumn(plain.book, 0)!;

describe('the free stretches of a day', () => {
  /** Millimeters of the column that nothing is nearer to than the gap, counted one hundredth after another. */
  const raster = (tops: readonly number[], gap: number): number => {
    let free = 0;
    for (let y = monday.y; y < bottom(monday); y += 0.01)
      if (!tops.some((top) => y >= top - gap && y < top + 12 + gap)) free++;
    return free / 100;
  };

  it('are as long as counting the millimeters says', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 7 }), { maxLength: 8 }), (rows) => {
        const tops = rows.map((r) => monday.y + 1 + r * 20);
        const draft = Draft.begin(
          plain,
          tops.map((y, i) => placement({ id: `p${i}`, copy: i + 1, y })),
        );
        const free = freeStretches(draft, plain, 0);
        const long = free.reduce((sum, s) => sum + s.to - s.from, 0);
        // what is 3 mm or less is no room, and there are at most so many such
        expect(long).toBeLessThanOrEqual(raster(tops, plain.options.gap) + 0.1);
        expect(long).toBeGreaterThanOrEqual(raster(tops, plain.options.gap) - 3 * (tops.length + 1) - 0.1);
        for (const [i, s] of free.entries()) expect(s.from).toBeGreaterThanOrEqual(free[i - 1]?.to ?? monday.y);
      }),
      { numRuns: 60 },
    );
  });

  it('of an empty day are its whole column, of a day without one nothing', () => {
    const empty = Draft.begin(plain, []);
    expect(freeStretches(empty, plain, 0)).toEqual([{ from: monday.y, to: bottom(monday) }]);
    expect(freeStretches(empty, plain, 9)).toEqual([]);
  });

  it('keep more for an airy week than for a full one', () => {
    const airy = with_({ options: { ...bare, whiteSpace: 0.3 } });
    expect(keptFree(airy, 0)).toBeCloseTo(0.3 * monday.h, 5);
    expect(keptFree(with_({ options: { ...bare, whiteSpace: 0 } }), 0)).toBeGreaterThan(9);
  });
});

describe('the writing room of a base', () => {
  const kinds: readonly Kind[] = ['quarter-box', 'little', 'check-flag', 'label', 'full-box'];
  const shapes = ['rect', 'rounded', 'circle', 'notched', 'pointed', 'scalloped', 'heart', 'teardrop'] as const;
  const base = fc.record({
    kind: fc.constantFrom(...kinds),
    shape: fc.constantFrom(...shapes),
    w: fc.integer({ min: 20, max: 76 }),
    h: fc.integer({ min: 8, max: 48 }),
  });

  it('lies on the base, whatever its shape', () => {
    fc.assert(
      fc.property(base, (b) => {
        const room = writingRoom(b);
        expect(contains({ x: 0, y: 0, w: b.w, h: b.h }, room)).toBe(true);
        expect(area(room)).toBeGreaterThan(0);
      }),
    );
  });

  it('is clear of what is laid on it, and never more than without', () => {
    fc.assert(
      fc.property(base, fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 40 }), (b, x, y) => {
        const over = { x, y, w: 9, h: 9 };
        const room = writingRoom(b, [over]);
        const hit = intersect(room, over);
        expect(hit === null || area(hit) < 1e-6).toBe(true);
        expect(area(room)).toBeLessThanOrEqual(area(writingRoom(b)) + 1e-9);
      }),
    );
  });

  it('of a square turned to a diamond has its corners inside the diamond', () => {
    const room = writingRoom({ kind: 'quarter-box', shape: 'rect', w: 38, h: 38, turn: 45 });
    const half = (38 * Math.SQRT2) / 2;
    for (const x of [room.x, room.x + room.w])
      for (const y of [room.y, room.y + room.h]) expect(Math.abs(x - 19) + Math.abs(y - 19)).toBeLessThanOrEqual(half);
  });

  it('knows an icon on its base from one beside it, and from one under it', () => {
    const label = placement({ y: 60 });
    const icon = (over: object) => placement({ id: 'i', code: 'I', w: 9, h: 9, x: 50, y: 61, layer: 1, ...over });
    expect(laidOn(label, [label, icon({})])).toEqual([{ x: 50 - label.x, y: 1, w: 9, h: 9 }]);
    expect(laidOn(label, [icon({ x: 90 }), icon({ layer: 0 }), icon({ page: 1 })])).toEqual([]);
  });
});

describe('a pen', () => {
  it('shows better than the other tone on any color (WCAG 2 contrast)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const color = `#${n.toString(16).padStart(6, '0')}`;
        const dark = inkFor({ ...PAPER, color }).startsWith('black');
        const [used, other] = dark ? [BLACK, WHITE] : [WHITE, BLACK];
        expect(contrast(color, used)).toBeGreaterThanOrEqual(contrast(color, other));
      }),
    );
  });

  it.each([
    ['matte-removable', 'black gel pen'],
    ['matte-permanent', 'black gel pen'],
    ['glossy', 'black permanent marker'],
    ['vinyl', 'black permanent marker'],
    ['clear', 'black permanent marker'],
  ] as const)('for %s is a %s (handbook P1)', (finish, pen) => {
    expect(inkFor(piece({ finish, color: '#ffffff' }))).toBe(pen);
  });
});

describe('trimming', () => {
  it('leaves a piece that fits whole', () => {
    expect(trimTo(piece({ kind: 'full-box', width: 38.1, height: 48.3 }), 38.1, 48.3)).toBeNull();
  });

  it('never cuts what would lose what it shows', () => {
    expect(trimTo(piece({ kind: 'icon', width: 12, height: 12 }), 9)).toBeUndefined();
  });

  it('keeps the side that a scene looks to, and the middle of one that looks nowhere', () => {
    const box = (faces: 'left' | 'right' | 'none') =>
      trimTo(piece({ kind: 'full-box', width: 40, height: 48.3, faces }), 36);
    expect([box('left')?.x, box('right')?.x, box('none')?.x]).toEqual([0, 4, 2]);
    expect(box('none')?.w).toBe(36);
  });
});

describe('foils', () => {
  const two = with_({ options: { ...bare, foils: ['gold', 'silver'] } });
  it('take turns by day, and the other day’s metal costs', () => {
    expect([0, 1, 2, 6].map((day) => foilOfDay(two, day))).toEqual(['gold', 'silver', 'gold', 'gold']);
    const cost = (foil: 'gold' | 'silver' | 'none') => foilCost(two, { foil }, 0);
    expect(cost('gold')).toBeLessThan(cost('none'));
    expect(cost('none')).toBeLessThan(cost('silver'));
  });

  it('are all one where none was chosen; a foil that was not named is no piece to choose', () => {
    expect(foilOfDay(plain, 3)).toBeNull();
    expect(foilCost(plain, { foil: 'gold' }, 3)).toBe(0);
    const gold = with_({ options: { ...bare, foils: ['gold'] } });
    const codes = piecesOf(gold, 'quarter-box').map((p) => p.code);
    expect(codes).toContain('AU');
    expect(codes).not.toContain('AG');
  });
});

describe('choosing', () => {
  it('sorts by cost, equal ones as they came, and leaves out what cannot be paid', () => {
    expect(byCost(['b', 'x', 'a', 'c'], (s) => (s === 'x' ? Infinity : s === 'c' ? 0 : 1))).toEqual(['c', 'b', 'a']);
  });

  it('likes a favorite better than what was swapped in once', () => {
    const taste = { likes: { 'test/TAN': 1 }, favorites: new Set(['test/Q-1']) };
    const [liked, favorite, other] = ['TAN', 'Q-1', 'NIGHT'].map((code) => tasteCost(piece({ code }), taste));
    expect(favorite).toBeLessThan(liked!);
    expect(liked).toBeLessThan(other!);
    expect(Math.abs(other!)).toBe(0);
  });

  it('finds nothing of the kit strange, and a loud stash more than a near one', () => {
    expect(strangeness(piece({ code: 'TAN' }), plain)).toBe(0);
    const loud = strangeness(piece({ kit: 'x', code: 'L', color: '#ff00ff' }), plain);
    const near = strangeness(piece({ kit: 'x', code: 'N', color: '#1f6f79' }), plain);
    expect(near).toBeLessThan(3);
    expect(loud).toBeGreaterThan(22);
  });
});

describe('what is at hand', () => {
  const part = { x: 0, y: 0, w: 60, h: 9 };
  it('is all copies but those of other weeks, and strips without what was cut off', () => {
    const c = context({
      kit: kitOf(piece({ count: 3 }), piece({ code: 'W', kind: 'washi', width: 170, height: 9, count: 1 })),
      options: bare,
      usedElsewhere: [
        { kit: 'test', code: 'Q-1', copy: 2, cut: null },
        { kit: 'test', code: 'W', copy: 1, cut: part },
        { kit: 'gone', code: 'X', copy: 1, cut: null },
      ],
    });
    const [label, washi] = c.kit.pieces as [(typeof c.kit.pieces)[number], (typeof c.kit.pieces)[number]];
    expect(atHand(c).untouched(label)).toBe(2);
    expect(atHand(c).lengthLeft(washi)).toBeCloseTo(110, 3);
  });

  it('is not changed by what is laid', () => {
    const before = atHand(plain).untouched(kit.pieces[0]!);
    Draft.begin(plain, [placement(), placement({ id: 'q', copy: 2, y: 90 })]);
    expect(atHand(plain).untouched(kit.pieces[0]!)).toBe(before);
  });
});

it('an item of several days is carried on its own day first (docs/formats, one uid on several days)', () => {
  const days = [0, 2].map((day) => demand({ uid: 'a', key: `a ${day}`, day }));
  const carriers = [placement({ id: 'wed', day: 2, items: ['a'] }), placement({ id: 'mon', day: 0, items: ['a'] })];
  const matched = matchDemands(carriers, weekWith(...days).demands);
  expect([matched.get('a 0')?.id, matched.get('a 2')?.id]).toEqual(['mon', 'wed']);
  expect(matchDemands(carriers.slice(0, 1), weekWith(...days).demands).size).toBe(1);
});

it('pieces stand in the middle of their column, or at its left edge where the week is set so', () => {
  const column = { x: 46.1, w: 38.1 };
  expect(alignX(plain, column, 30)).toBeCloseTo(50.15, 5);
  const flush = { ways: { ...plain.ways, align: 'flush left' as const } };
  expect(alignX(flush, column, 30)).toBe(46.1);
  expect(alignX(flush, column, 40)).toBeCloseTo(45.15, 5);
});

it('a voice speaks in its owner’s unit, of days and places, and of what is gone', () => {
  const lying = [placement({ id: 'a', day: 3 }), placement({ id: 's', day: null, role: 'sidebar' })];
  const voice = voiceOf(plain, lying, 'in');
  expect(mm(voice, 38.1)).toBe('1 1/2 in');
  expect(mm(voiceOf(plain, lying, 'mm'), 38.1)).toBe('38.1 mm');
  expect(pieceName(voice, 'a')).toBe('Thursday’s quarter box');
  expect(pieceName(voice, 's')).toBe('the quarter box in the sidebar');
  expect(pieceName(voice, 'gone')).toBe('the piece');
  expect([counted(1, 'row'), counted(2, 'row'), counted(0, 'box', 'boxes')]).toEqual(['1 row', '2 rows', '0 boxes']);
});

it('a context of no school that ships is refused', () => {
  const data = { ...plain, book: plain.printed, favorites: [] };
  expect(() => contextFrom({ ...data, manner: 'constructor' })).toThrow('no manner is called constructor');
});
