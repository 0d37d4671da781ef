import type { PlanKit, TriedWeek } from '../../server/plan-week';
import { asSeen, bestFirst, offerOf, suiting } from './sort-tried';
import type { Tried } from './use-tried';

const kit = (id: string, score = 0): PlanKit => ({
  id,
  swatches: [],
  left: 100,
  total: 100,
  plannedFor: null,
  score,
  why: '',
});
const offer = (id: string, manner = 'scattered', score = 0) =>
  offerOf(kit(id, score), { week: '2027-W06', book: 'three-box', manner });
const laid = (eye: number): { ok: true; value: TriedWeek } => ({
  ok: true,
  value: {
    figures: {
      items: 10,
      onStickers: 10,
      unplaced: 0,
      boxes: 7,
      stickers: 20,
      fromStash: 0,
      taken: 20,
      white: 0,
      eye,
      minds: [],
    },
    picture: '',
  },
});
const tried = (...of: [{ key: string }, number][]): Tried => new Map(of.map(([{ key }, eye]) => [key, laid(eye)]));

const [a, b, c] = [offer('a'), offer('b'), offer('c')];

it('what is laid out comes first, the best first; the rest stays in its order', () => {
  expect(bestFirst([a, b, c], new Map())).toEqual([a, b, c]);
  expect(bestFirst([a, b, c], tried([c, 50], [b, 10]))).toEqual([b, c, a]);
  const loved = offer('d', 'scattered', 30);
  expect(bestFirst([a, loved], tried([a, 10], [loved, 200]))[0]).toBe(loved);
  expect(bestFirst([a, b], new Map([[a.key, { ok: false, messages: ['no'] }], ...tried([b, 200])]))).toEqual([b, a]);
});

describe('of each kit the manner that suits', () => {
  const airy = offer('a', 'airy');
  it('is the first, while no other is clearly better', () => {
    expect(suiting([a, b, airy], new Map())).toEqual([a, b]);
    expect(suiting([a, b, airy], tried([a, 20], [airy, 6]))).toEqual([a, b]);
    expect(suiting([a, b, airy], tried([a, 20], [airy, 4]))).toEqual([airy, b]);
  });
  it('is what was looked at, whatever comes after', () =>
    expect(suiting([a, b, airy], tried([a, 90], [airy, 4]), [a.key])).toEqual([a, b]));
});

it('an order that was seen stays, and what is new comes after it', () =>
  expect(asSeen([c, b, a], [a.key, b.key])).toEqual([a, b, c]));
