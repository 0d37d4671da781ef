import { placement } from '../../../tests/fixtures';
import type { Placement } from '../spread/placement';
import { INK } from '../spread/placement';
import { constraintsOf } from './constraints';
import type { Step } from './step';

type Unplaced = Parameters<typeof constraintsOf>[0][number];
const lay = (key: string, ...refs: readonly string[]): Unplaced => ({
  key, do: refs.length > 1 ? 'stack' : 'place', refs, about: { is: 'lay' },
}); // prettier-ignore
const at = (id: string, over: Partial<Placement> = {}): Placement =>
  placement({ id, x: 10, y: 10, w: 20, h: 10, layer: 0, ...over });
type Patches = Parameters<typeof constraintsOf>[2];
const said = (steps: readonly Unplaced[], placements: readonly Placement[], whiteOut: Patches = []) =>
  constraintsOf(steps, placements, whiteOut).map((e) => `${e.before} > ${e.after}: ${e.because}`);

describe('what lies under goes down before what lies on it', () => {
  const steps = [lay('a', 'p1'), lay('b', 'p2')];
  it('where they share a place', () => {
    expect(said(steps, [at('p1'), at('p2', { layer: 1, x: 15 })])).toEqual(['a > b: lies under it']);
  });
  it.each([
    ['beside it', { layer: 1, x: 40 }],
    ['edge to edge', { layer: 1, x: 30 }],
    ['on another page', { layer: 1, page: 1 }],
    ['on the same layer', { x: 15 }],
  ])('not %s', (_, over) => expect(said(steps, [at('p1'), at('p2', over)])).toEqual([]));
  it('by its outline as it is turned', () => {
    const lying = at('p1', { w: 40, h: 4, y: 40 });
    const turnedUp = { ...lying, turn: 90 };
    const over = at('p2', { x: 27, y: 25, w: 4, h: 4, layer: 1 });
    expect([said(steps, [lying, over]), said(steps, [turnedUp, over])]).toEqual([[], ['a > b: lies under it']]);
  });
  it('a stack as a whole: the lowest and the highest of it count', () => {
    const stacked = [lay('a', 'p1', 'p3'), lay('b', 'p2')];
    const all = [at('p1'), at('p3', { layer: 2 }), at('p2', { layer: 1 })];
    expect(said(stacked, all).sort()).toEqual(['a > b: lies under it', 'b > a: lies under it']);
  });
});

it('white-out goes before what covers it, and before what is written there', () => {
  const white: Unplaced = {
    key: 'w', do: 'white-out', refs: ['white:0'], about: { is: 'white-out', page: 0, strokes: [] },
  }; // prettier-ignore
  const patch = { page: 0, x: 12, y: 12, w: 4, h: 1, why: 'line' } as never;
  const text: Unplaced = {
    key: 't', do: 'write', refs: ['p9'], about: { is: 'write', day: 0, texts: 1, pens: [], paper: ['p9'] },
  }; // prettier-ignore
  const ink = at('p9', { ...INK, text: 'oats' });
  const found = said([white, lay('a', 'p1'), lay('b', 'p2'), text], [at('p1'), at('p2', { x: 60 }), ink], [patch]);
  expect(found).toEqual(['w > a: is whited out for it', 'w > t: is whited out for it']);
});

it('a cut goes before its parts, and before a text that is written on one first', () => {
  const cut: Unplaced = {
    key: 'c',
    do: 'cut',
    refs: [],
    about: { is: 'cut', cut: { kit: 'k', code: 'A', copy: 1, pieces: [{ x: 0, y: 0, w: 1, h: 1, placement: 'p1' }], left: [] } },
  }; // prettier-ignore
  const first: Unplaced = { key: 'f', do: 'write', refs: ['p1'], about: { is: 'write first', placement: 'p1' } };
  expect(said([cut, first, lay('a', 'p1')], [at('p1')]).sort()).toEqual([
    'c > a: is cut for it',
    'c > f: is cut for it',
    'f > a: is written before',
  ]);
});

it('a text goes after what it is written on, and after what lies under it on the paper', () => {
  const write: Unplaced = {
    key: 't', do: 'write', refs: ['text:p1', 'p9'], about: { is: 'write', day: 0, texts: 2, pens: [], paper: ['p9'] },
  }; // prettier-ignore
  const ink = at('p9', { ...INK, text: 'oats', layer: 2, x: 60 });
  const under = at('p2', { x: 62 });
  expect(said([lay('a', 'p1'), lay('b', 'p2'), write], [at('p1', { text: 'vet' }), under, ink]).sort()).toEqual([
    'a > t: is written on',
    'b > t: is written on',
  ]);
});

it('a step whose sticker is gone holds nothing up', () => {
  const gone: Pick<Step, 'key' | 'do' | 'refs' | 'about'> = lay('a', 'gone');
  expect(said([gone, lay('b', 'p2')], [at('p2', { layer: 1 })])).toEqual([]);
});
