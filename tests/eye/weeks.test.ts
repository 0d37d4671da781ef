import { costOfDay, costOfWeek } from '../../src/core/eye/registry';
import { sightOf } from '../../src/core/eye/sight';
import { arrange } from '../../src/core/arrange/arrange';
import { rhythmOf } from '../../src/core/manner/rhythm';
import { contains, intersect } from '../../src/core/measure/rect';
import { dayColumn } from '../../src/core/book/columns';
import type { Heights } from '../../src/core/spread/week-rhythm';
import { FEWEST_BOXES, areAlike, boxHeights } from '../../src/core/spread/week-rhythm';
import { ROOM_FOR_ONE, freeStretches, lengthOf } from '../../src/core/spread/free-room';
import { Draft } from '../../src/core/spread/draft';
import { footprint } from '../../src/core/spread/placement';
import { demoContext } from '../fixtures';
import { exchangedAtRandom } from './exchanges';
import { SCHOOLS, blanksOf, eyeWeek, seen } from './measure';

/** Seeds with kits of other sorts each: thin ones, some with pictures, strangers’ ones. */
const SEEDS = [3, 8, 12, 13, 15, 16, 18, 24, 28, 30];

describe.each(SCHOOLS)('weeks of any kit, %s', (school) => {
  const weeks = SEEDS.map((seed) => eyeWeek(seed, school));
  const laid = weeks.map((c) => arrange(c));
  const sums = weeks.map((c, i) => seen(c, laid[i]!));
  const total = (of: 'open' | 'blank' | 'boxless' | 'idle' | 'twins' | 'empty' | 'days' | 'headers'): number =>
    sums.reduce((sum, s) => sum + s[of], 0);

  it('have hardly a hole that something left would fill, and hardly a day without the box it could hold', () => {
    expect(total('blank') / total('days')).toBeLessThanOrEqual(0.03);
    expect(total('boxless') / total('days')).toBeLessThanOrEqual(0.01);
    expect(total('open') / total('days')).toBeLessThan(0.1);
  });
  it('have no header over nothing but a few, no picture under itself, no row empty for nothing', () => {
    expect(total('idle') / Math.max(1, total('headers'))).toBeLessThan(0.05);
    expect(total('twins')).toBe(0);
    expect(total('empty')).toBeLessThanOrEqual(3);
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

it('eight seeds of one week have at least four rhythms, all with a name', () => {
  for (const manner of ['scattered', 'crowned']) {
    const c = demoContext({ manner });
    const rhythms = new Set(
      [1, 2, 3, 4, 5, 6, 7, 8].map((seed) => {
        const heights = boxHeights(c.book, arrange({ ...c, seed }));
        expect(rhythmOf(heights)).not.toBeNull();
        return heights.map((h) => h?.charAt(0) ?? '-').join('');
      }),
    );
    expect(rhythms.size).toBeGreaterThanOrEqual(4);
  }
});

it('no two weeks in a row have one rhythm where the school has several (E4), and older ones come back last', () => {
  const c = demoContext({ manner: 'scattered' });
  const before: Heights[] = [];
  for (let week = 0; week < 5; week++) {
    const heights = boxHeights(c.book, arrange({ ...c, boxesBefore: before.slice(0, 3) }));
    expect(heights.filter((h) => h !== null).length).toBeGreaterThanOrEqual(FEWEST_BOXES);
    for (const other of before.slice(0, 2)) expect(areAlike(heights, other)).toBe(false);
    before.unshift(heights);
  }
  const grounded = demoContext({ manner: 'grounded' });
  const line = boxHeights(grounded.book, arrange(grounded));
  expect(boxHeights(grounded.book, arrange({ ...grounded, boxesBefore: [line] }))).toEqual(line);
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
