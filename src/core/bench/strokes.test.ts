import { placement } from '../../../tests/fixtures';
import { threeBox } from '../book/three-box';
import { randomFrom } from '../measure/random';
import type { Rect } from '../measure/rect';
import { contains, intersect } from '../measure/rect';
import { strokesOf, tapeLength } from './strokes';
import type { WhiteOut } from './white-out';

/** In a column of the three-box week, where nothing is printed. */
const book = { ...threeBox, marks: [] };
const at = (x: number, y: number, w: number, h: number): WhiteOut => ({ page: 0, x: 46.1 + x, y: 100 + y, w, h, why: '' }); // prettier-ignore
const pulls = (list: readonly WhiteOut[], over = {}) => strokesOf({ book, placements: [], ...over }, list);
const lengths = (list: readonly WhiteOut[]) => pulls(list).map((s) => Math.round(s.length * 10) / 10);

describe('strokes of the tape', () => {
  it('pull on over what is little, and stop where it is much', () => {
    expect(lengths([at(0, 0, 3, 0.3), at(17.9, 0, 3, 0.3)])).toEqual([20.9]);
    expect(lengths([at(0, 0, 3, 0.3), at(18.1, 0, 3, 0.3)])).toEqual([3, 3]);
    expect(lengths([at(0, 0, 0.3, 20), at(0, 34.9, 0.3, 3)])).toEqual([37.9]);
  });
  it('take what lies side by side under one tape’s width', () => {
    expect(lengths([at(0, 0, 20, 0.3), at(0, 4.7, 20, 0.3)])).toEqual([20]);
    expect(lengths([at(0, 0, 20, 0.3), at(0, 4.8, 20, 0.3)])).toEqual([20, 20]);
    expect(lengths([at(0, 0, 0.3, 12), at(4.6, 2, 0.3, 12)])).toEqual([14]);
  });
  it('take a wide place in strokes beside each other', () => {
    expect(lengths([at(0, 0, 8, 8)])).toEqual([8, 8]);
    expect(lengths([at(0, 0, 5, 5)])).toEqual([5]);
    expect(lengths([at(0, 0, 5.1, 30)])).toEqual([30, 30]);
  });
  it('are a dab at least', () => expect(lengths([at(0, 0, 0.3, 0.3), at(30, 0, 3.1, 6)])).toEqual([3, 6]));
  it('go down a row of ticks, not across each', () =>
    expect(lengths([0, 6, 12, 18].map((y) => at(0, y, 3, 3)))).toEqual([21]));
  it('go on from day to day, and are of the first', () =>
    expect(pulls([at(40.1, 0, 3, 0.3), at(35, 0, 3, 0.3), at(40.1, 50, 3, 9)])).toMatchObject([
      { day: 0, region: 'day', length: expect.closeTo(8.1) },
      { day: 1, length: 9 },
    ]));
  it('stop before what is printed and stays, not before what is covered or goes', () => {
    const marks = [{ kind: 'line', page: 0, x: 51, y: 95, w: 0.3, h: 10 }] as const;
    const list = [at(0, 0, 3, 0.3), at(8, 0, 3, 0.3)];
    expect(pulls(list, { book: { ...book, marks } })).toHaveLength(2);
    const covered = [placement({ x: 50, y: 90, w: 3, h: 20 })];
    expect(pulls(list, { book: { ...book, marks }, placements: covered })).toHaveLength(1);
    expect(pulls([...list, at(4.9, -5, 0.3, 4)], { book: { ...book, marks } })).toHaveLength(2);
  });

  it('cover all, and are as few as can be found by trying all ways to part the places', () => {
    const random = randomFrom(7);
    let more = 0;
    for (let i = 0; i < 300; i++) {
      const list = Array.from({ length: 5 }, () =>
        random() < 0.5
          ? at(random() * 30, Math.floor(random() * 4) * 3, 1 + random() * 7, 0.3)
          : at(Math.floor(random() * 4) * 3, random() * 30, 0.3, 1 + random() * 7),
      );
      const found = pulls(list);
      for (const w of list) expect(found.some((s) => contains(s, w))).toBe(true);
      expect(tapeLength(found)).toBeGreaterThan(0);
      more += found.length - fewestOf(list);
    }
    expect(more).toBeLessThanOrEqual(3); // greedy: one too many in a hundred weeks’ columns is forgiven
  });
});

/** The fewest sets of places of which each can be done by one pull: tried out, apart from the code. */
function fewestOf(list: readonly WhiteOut[], sets: readonly (readonly WhiteOut[])[] = []): number {
  const [first, ...rest] = list;
  if (!first) return sets.every(isOnePull) ? sets.length : Infinity;
  return Math.min(
    fewestOf(rest, [...sets, [first]]),
    ...sets.map((s, i) => fewestOf(rest, sets.with(i, [...s, first]))),
  );
}

const isOnePull = (places: readonly Rect[]): boolean =>
  ([['x', 'w', 'y', 'h'], ['y', 'h', 'x', 'w']] as const).some(([along, long, across, wide]) => {
    const from = Math.min(...places.map((p) => p[across]));
    const to = Math.max(...places.map((p) => p[across] + p[wide]));
    if (to - from > 5 || places.some((p) => p[long] < p[wide] && p[wide] > 5)) return false;
    const reach = places.map((p) => ({ ...p, [along]: p[along] - 7.5, [long]: p[long] + 15, [across]: 0, [wide]: 1 }));
    const joined = new Set([0]);
    for (let grew = true; grew;) {
      grew = false;
      reach.forEach((r, i) => {
        if (joined.has(i) || ![...joined].some((j) => intersect(r, reach[j] as Rect))) return;
        joined.add(i);
        grew = true;
      });
    }
    return joined.size === places.length;
  }); // prettier-ignore
