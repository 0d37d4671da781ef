import { costOfDay, costOfWeek } from '../../src/core/eye/registry';
import { sightOf } from '../../src/core/eye/sight';
import { arrange } from '../../src/core/arrange/arrange';
import { rhythmOf } from '../../src/core/manner/rhythm';
import { contains, intersect } from '../../src/core/measure/rect';
import { dayColumn } from '../../src/core/book/columns';
import type { Context } from '../../src/core/spread/placement';
import type { WeekRhythm } from '../../src/core/spread/week-rhythm';
import { FEWEST_BOXES, areAlike, areInLine, boxHeights, weekRhythm } from '../../src/core/spread/week-rhythm';
import { ROOM_FOR_ONE, freeStretches, lengthOf } from '../../src/core/spread/free-room';
import { Draft } from '../../src/core/spread/draft';
import { footprint, pieceIndex } from '../../src/core/spread/placement';
import { pieceKey } from '../../src/core/kit/kit';
import { demoContext } from '../fixtures';
import { exchangedAtRandom } from './exchanges';
import { SCHOOLS, blanksOf, eyeWeek, seen } from './measure';

/** Seeds with kits of other sorts each: thin ones, some with pictures, strangers’ ones. */
const SEEDS = [3, 8, 12, 13, 15, 16, 18, 24, 28, 30];

describe.each(SCHOOLS)('weeks of any kit, %s', (school) => {
  const weeks = SEEDS.map((seed) => eyeWeek(seed, school));
  const laid = weeks.map((c) => arrange(c));
  const sums = weeks.map((c, i) => seen(c, laid[i]!));
  const total = (
    of: 'meant' | 'unmeant' | 'open' | 'blank' | 'boxless' | 'idle' | 'twins' | 'empty' | 'days' | 'headers',
  ): number => sums.reduce((sum, s) => sum + s[of], 0);

  it('have hardly a hole that something left would fill, and hardly a day without the box it could hold', () => {
    expect(total('blank') / total('days')).toBeLessThanOrEqual(0.03);
    expect(total('boxless')).toBeLessThanOrEqual(1);
    expect(total('open') / total('days')).toBeLessThan(0.1);
  });
  it('have no header over nothing but a few, no picture under itself, no row empty for nothing', () => {
    expect(total('idle') / Math.max(1, total('headers'))).toBeLessThan(0.05);
    expect(total('twins')).toBe(0);
    expect(total('empty')).toBe(0);
    expect(total('meant')).toBeGreaterThanOrEqual(0.95 * (total('meant') + total('unmeant')));
  });
  it('have what lies for its looks in its column, on nothing that is written, and one as good never left out', () => {
    weeks.forEach((c, i) => {
      const placements = laid[i]!;
      for (const p of placements.filter(
        (q) => q.role === 'finish' && q.day !== null && q.x >= (dayColumn(c.book, q.day)?.x ?? 0),
      )) {
        const column = dayColumn(c.book, p.day!)!;
        expect(
          contains(
            { ...column, x: column.x - 0.6, w: column.w + 1.2, y: column.y - 0.1, h: column.h + 0.2 },
            footprint(p),
          ),
        ).toBe(true);
        const under = placements.filter(
          (q) => q !== p && q.page === p.page && q.layer < p.layer && intersect(footprint(q), footprint(p)),
        );
        expect(under.filter((q) => q.text !== null || q.items.length)).toEqual([]);
      }
    });
  });
});

it('a picture that was added is worth it: without any one of them the eye minds more', () => {
  const c = eyeWeek(8, 'scattered');
  const placements = arrange(c);
  const cost = (laid: typeof placements, day: number) =>
    costOfDay(sightOf(c, laid), day) + costOfWeek(sightOf(c, laid));
  const pictures = placements.filter((p) => p.role === 'finish' && p.day !== null && p.layer > 0);
  expect(pictures.length).toBeGreaterThan(1);
  for (const p of pictures)
    expect(
      cost(
        placements.filter((q) => q !== p),
        p.day!,
      ),
    ).toBeGreaterThan(cost(placements, p.day!) - 6);
});

it('room for what comes up stays in each day that had it (D3)', () => {
  for (const school of SCHOOLS) {
    const c = eyeWeek(28, school);
    const placements = arrange(c);
    const room = (laid: typeof placements, day: number) =>
      Math.max(0, ...freeStretches(Draft.begin(c, laid), c, day).map(lengthOf));
    const bare = placements.filter((p) => p.role !== 'finish');
    for (const day of [0, 1, 2, 3, 4, 5, 6])
      if (room(bare, day) >= ROOM_FOR_ONE + 8) expect(room(placements, day)).toBeGreaterThanOrEqual(ROOM_FOR_ONE);
  }
});

const rhythmWith = (c: Context, more: Partial<Context>): WeekRhythm => {
  const pieces = pieceIndex(c);
  return weekRhythm(c.book, arrange({ ...c, ...more }), (p) => pieces.get(pieceKey(p))?.color);
};

it.each(['scattered', 'crowned', 'grounded', 'three-rows'])(
  '%s: eight seeds of one week have at least four rhythms, all with a name',
  (manner) => {
    // three rows has a box on four days of the demo's full week: too few for many turns
    const c = manner === 'three-rows' ? eyeWeek(13, manner) : demoContext({ manner });
    const rhythms = new Set(
      [1, 2, 3, 4, 5, 6, 7, 8].map((seed) => {
        const { heights, turn } = rhythmWith(c, { seed });
        expect(rhythmOf(heights)).not.toBeNull();
        return `${heights.map((h) => h?.charAt(0) ?? '-').join('')} ${areInLine(heights) ? turn : ''}`;
      }),
    );
    expect(rhythms.size).toBeGreaterThanOrEqual(4);
  },
);

it.each(['scattered', 'grounded'])(
  '%s: no two weeks in a row have one rhythm (E4), older ones come back last',
  (manner) => {
    const c = demoContext({ manner });
    const before: WeekRhythm[] = [];
    for (let week = 0; week < 5; week++) {
      const rhythm = rhythmWith(c, { boxesBefore: before.slice(0, 3) });
      expect(rhythm.heights.filter((h) => h !== null).length).toBeGreaterThanOrEqual(FEWEST_BOXES);
      for (const other of before.slice(0, 2)) expect(areAlike(rhythm, other)).toBe(false);
      before.unshift(rhythm);
    }
  },
);

it('a school that is known by its line keeps it, whatever the weeks before had', () => {
  const c = demoContext({ manner: 'grounded' });
  const line = boxHeights(c.book, arrange(c));
  expect(areInLine(line)).toBe(true);
  expect(rhythmWith(c, { boxesBefore: [{ heights: line, turn: null }] }).heights).toEqual(line);
});

it('random exchanges find next to nothing in most weeks, and much where the filling was undone', () => {
  const gains = [2, 5, 6, 7].map((seed) => {
    const c = eyeWeek(seed, 'scattered');
    const placements = arrange(c);
    const [before, after] = exchangedAtRandom(c, placements, 300);
    return (before - after) / before;
  });
  expect(gains.filter((g) => g > 0.02)).toEqual([]);
  const c = eyeWeek(8, 'scattered');
  const bare = arrange(c).filter((p) => p.role !== 'finish');
  const [before, after] = exchangedAtRandom(c, bare, 300);
  expect((before - after) / before).toBeGreaterThan(0.1);
});

it('the measure sees holes where they are', () => {
  const c = eyeWeek(8, 'scattered');
  const column = dayColumn(c.book, 0)!;
  expect(blanksOf(column, []).map((r) => Math.round(r.h))).toEqual([Math.floor(column.h)]);
  const bare = arrange(c).filter((p) => p.role !== 'finish' && p.role !== 'box');
  expect(seen(c, bare).blank).toBeGreaterThan(2);
  expect(seen(c, bare).boxless).toBeGreaterThan(2);
});
