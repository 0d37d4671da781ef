import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { BOOKS } from '../book/registry';
import type { Demand } from '../week/demand';
import { dayColumn } from '../book/columns';
import { randomFrom } from '../measure/random';
import { bottom } from '../measure/rect';
import { Draft } from './draft';
import {
  clearOfHours,
  firstFree,
  forWhatComesUp,
  freeStretches,
  keptFree,
  keptFreeBesideBox,
  lengthOf,
  topOfDay,
  wantedWhite,
} from './free-room';
import type { Placement } from './placement';
import { footprint } from './placement';

const GAP = 2;
const kit = kitOf(piece({ code: 'Q' }), piece({ code: 'H', kind: 'header', height: 6 }));
const c = context({ kit, options: { gap: GAP, whiteSpace: 0.3 } });
const column = dayColumn(c.book, 1)!;
const at = (id: string, down: number, h: number, over: Partial<Placement> = {}): Placement =>
  placement({ id, code: 'Q', page: column.page, day: 1, x: column.x, y: column.y + down, w: column.w, h, ...over });
const free = (...placements: readonly Placement[]) =>
  freeStretches(Draft.begin(c, placements), c, 1).map((s) => [s.from - column.y, s.to - column.y]);

describe('the free stretches of a day', () => {
  it('are its whole column where nothing lies', () => {
    expect(free()).toEqual([[0, column.h]]);
  });
  it('keep the gap from what lies there, above and below', () => {
    const [first, second] = free(at('p1', 20, 10));
    expect(first).toEqual([0, expect.closeTo(18, 6)]);
    expect(second).toEqual([expect.closeTo(32, 6), expect.closeTo(column.h, 6)]);
  });
  it('begin nearer under a header, and go right up to it', () => {
    const [first, second] = free(at('p1', 20, 6, { code: 'H' }));
    expect(first![1]).toBeCloseTo(20, 6);
    expect(second![0]).toBeCloseTo(27, 6);
  });
  it('are not where only a hair is free', () => {
    expect(free(at('p1', 4, 10), at('p2', 20, 10)).map(([from]) => Math.round(from!))).toEqual([32]);
  });
  it('are those of its own page and column only', () => {
    expect(free(at('p1', 20, 10, { page: column.page === 0 ? 1 : 0 }))).toEqual([[0, column.h]]);
    expect(free(at('p1', 20, 10, { x: column.x + column.w + 1 }))).toEqual([[0, column.h]]);
  });
  it('go by what overlaps, whatever the order in which it was laid', () => {
    const two = [at('p1', 40, 20), at('p2', 10, 35)];
    expect(free(...two)).toEqual(free(...[...two].reverse()));
    expect(free(...two)).toHaveLength(2);
  });
  it('share no millimeter with what lies there, nor with each other (seed 8)', () => {
    const random = randomFrom(8);
    for (let n = 0; n < 80; n++) {
      const lying = Array.from({ length: 5 }, (_, i) => at(`p${i}`, random() * (column.h - 20), 4 + random() * 16));
      const stretches = freeStretches(Draft.begin(c, lying), c, 1);
      for (const [i, s] of stretches.entries()) {
        expect(lengthOf(s)).toBeGreaterThan(3);
        expect(s.from).toBeGreaterThanOrEqual(i ? stretches[i - 1]!.to : column.y);
        for (const p of lying.map(footprint))
          expect(s.to <= p.y - GAP + 1e-6 || s.from >= bottom(p) + GAP - 1e-6).toBe(true);
      }
    }
  });
});

describe('room that is kept', () => {
  it('for what comes up is a flag with its gap at least, more in a tall column', () => {
    expect(forWhatComesUp(c, 1)).toBeCloseTo(Math.max(0.06 * column.h, 9 + GAP), 6);
  });
  it('is the white that is wanted, where that is more', () => {
    expect(wantedWhite(c, 1)).toBeCloseTo(0.3 * column.h, 6);
    expect(keptFree(c, 1)).toBe(Math.max(forWhatComesUp(c, 1), wantedWhite(c, 1)));
    const none = context({ kit, options: { gap: GAP, whiteSpace: 0 } });
    expect(keptFree(none, 1)).toBe(forWhatComesUp(none, 1));
  });
  it('beside a box is the less, the fewer boxes the week has', () => {
    const boxes = (n: number) => keptFreeBesideBox({ ...c, ways: { ...c.ways, boxes: n } }, 1);
    expect(boxes(7) >= boxes(3) && boxes(3) >= boxes(0)).toBe(true);
    expect(boxes(0)).toBe(forWhatComesUp(c, 1));
  });
});

describe('the first free place of several days', () => {
  const draft = (...placements: readonly Placement[]) => Draft.begin(c, placements);
  it('is the top where nothing lies', () => {
    const top = Math.max(...[1, 2].map((d) => dayColumn(c.book, d)!.y));
    expect(firstFree(draft(), c, [1, 2], 10)).toBeCloseTo(top, 6);
  });
  it('is under what lies in any of them', () => {
    expect(firstFree(draft(at('p1', 0, 30)), c, [1, 2], 10)).toBeCloseTo(column.y + 32, 6);
  });
  it('is none where it is too tall', () => {
    expect(firstFree(draft(), c, [1, 2], column.h + 50)).toBeNull();
  });
  it('of one day is where its first free millimeter is; of a full one its foot', () => {
    expect(topOfDay(draft(at('p1', 0, 12)), c, 1)).toBeCloseTo(column.y + 14, 6);
    expect(topOfDay(draft(at('p1', 0, column.h)), c, 1)).toBeCloseTo(bottom(column), 6);
  });
});

describe('in a book with hour lines', () => {
  const hourly = Object.values(BOOKS).find((b) => b.regions.some((r) => (r.rows?.length ?? 0) > 6));
  if (!hourly) throw new Error('no book has hour lines');
  const at10 = demand({ key: 'vet', uid: 'vet', day: 1, start: 600 });
  const of = (...demands: readonly Demand[]) => context({ kit, book: hourly, week: weekWith(...demands) });
  const whole = (x: ReturnType<typeof of>) => freeStretches(Draft.begin(x, []), x, 1);
  it('what is free is so but for the hours at which something is', () => {
    const some = of(at10);
    const clear = clearOfHours(some, 1, whole(some));
    const sum = (list: readonly { from: number; to: number }[]) => list.reduce((mm, s) => mm + lengthOf(s), 0);
    expect(clear.length).toBeGreaterThan(1);
    expect(sum(clear)).toBeLessThan(sum(whole(some)));
    for (const [i, s] of clear.entries()) if (i) expect(s.from).toBeGreaterThan(clear[i - 1]!.to);
  });
  it('nothing is taken for another day’s hour, a band, or what has no time', () => {
    for (const d of [
      { ...at10, day: 2 },
      { ...at10, kind: 'band' as const },
      { ...at10, start: null },
    ]) {
      const some = of(d);
      expect(clearOfHours(some, 1, whole(some))).toHaveLength(whole(some).length);
    }
  });
  it('a book without them leaves what is free as it is', () => {
    const stretches = [{ from: 10, to: 90 }];
    expect(clearOfHours(context({ kit, week: weekWith(at10) }), 1, stretches)).toEqual(stretches);
  });
});
