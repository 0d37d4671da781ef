import { USUAL_HAND } from '../../measure/hand';
import { threeBox } from '../../book/three-box';
import type { Demand } from '../../week/demand';
import { demand, weekWith } from '../../../../tests/fixtures';
import { usualSizes } from '../../../server/usual-sizes';
import { contextFrom } from '../../spread/context';
import { GATHERED, fillOfDays, reliefOf } from './relief';
import type { Context } from '../../spread/placement';

const contextOf = (...demands: Demand[]): Context =>
  contextFrom({
    book: threeBox,
    kit: usualSizes,
    stash: [],
    week: weekWith(...demands),
    manner: 'scattered',
    options: { hand: USUAL_HAND },
    seed: 1,
    usedElsewhere: [],
  });
const chores = (count: number, over: Partial<Demand> = {}): Demand[] =>
  Array.from({ length: count }, (_, i) => demand({ uid: `c${i}`, title: `sweep bay ${i}`, ...over }));
const waysOf = (...demands: Demand[]) => {
  const c = contextOf(...demands);
  return reliefOf(c, 0, fillOfDays(c));
};

it('counts each day’s millimeters: usual boxes, gaps, rows of lists', () => {
  const fills = fillOfDays(
    contextOf(
      demand({ uid: 'a', title: 'swim' }),
      demand({ uid: 'b', title: 'swim', start: 600 }),
      ...chores(3, { day: 1, list: 'to buy', kind: 'to-do' }),
    ),
  );
  expect(fills[0]!.wanted).toBeCloseTo(12 + 12 + contextOf().options.gap, 5);
  const title = contextOf().options.hand.linePitch + 0.6; // its name, written over it
  expect(fills[1]!.wanted).toBeCloseTo(title + 3 * (48.3 / 6), 5);
  expect(fills[2]!.wanted).toBe(0);
  expect(new Set(fills.map((f) => f.there)).size).toBe(1);
});

it('offers nothing for a day that holds', () => expect(waysOf(...chores(3))).toEqual([]));

it('offers the way that truly makes it hold first, with what the day then wants', () => {
  const demands = chores(14);
  const [first] = waysOf(...demands);
  expect(first).toMatchObject({ way: 'list', to: null, holds: true });
  const listed = demands.map((d) => ({ ...d, list: GATHERED }));
  expect(fillOfDays(contextOf(...listed))[0]!.wanted).toBeCloseTo(first!.wanted, 5);
});

it('moves and carries only what has no hour and is no deadline, to the nearest day with room', () => {
  const fixed = Array.from({ length: 13 }, (_, i) =>
    demand({ uid: `f${i}`, title: 'meeting', start: 480 + i * 30, kind: 'appointment' }),
  );
  const ways = waysOf(
    ...fixed,
    demand({ uid: 'd', title: 'form', kind: 'deadline' }),
    demand({ uid: 'c', title: 'sweep' }),
    ...chores(14, { day: 1, start: 600 }),
  );
  expect(ways.map((w) => [w.way, w.keys, w.to])).toEqual([
    ['move', ['c'], 2],
    ['carry', ['c'], null],
  ]);
});

it('moves a list as a whole', () => {
  const ways = waysOf(
    ...chores(10, { start: 600 }),
    ...['oats', 'soap', 'lemons', 'greens', 'twine'].map((t) =>
      demand({ uid: t, title: t, kind: 'to-do', list: 'to buy' }),
    ),
  );
  expect(ways.map((w) => [w.way, w.keys.length])).toEqual([
    ['move', 5],
    ['carry', 5],
  ]);
  expect(ways.every((w) => w.holds)).toBe(true);
});
