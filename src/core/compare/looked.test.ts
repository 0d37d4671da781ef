import { context, demand, demoContext, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { INK } from '../spread/placement';
import { looked, movedSince, sayLooked, seen } from './looked';

const [one, two] = ['a', 'b'].map((uid) => demand({ uid, key: uid, title: uid, day: 0 }));
const c = context({
  week: weekWith(one!, two!),
  kit: kitOf(piece({ code: 'L', kind: 'label', count: 3 }), piece({ code: 'F', kind: 'full-box', count: 2 })),
});
const label = (id: string, copy: number, y: number, item: string) =>
  placement({ id, code: 'L', copy, day: 0, y, items: [item], text: item });
const ink = (id: string, y: number, item: string) => placement({ ...INK, id, day: 0, y, items: [item], text: item });
const box = placement({ id: 'f', code: 'F', role: 'box', day: 1, y: 120, h: 48.3 });
const both = seen(c, [label('p1', 1, 40, 'a'), label('p2', 2, 60, 'b')]);
const say = (...laid: Parameters<typeof seen>[1]) => sayLooked(both, seen(c, laid));

describe('what another way costs or wins', () => {
  it('is said of items, boxes, white and pieces, what matters most first', () => {
    expect(say(label('p1', 1, 40, 'a'), ink('p2', 60, 'b'), box)).toEqual([
      '1 item goes to ink',
      'full boxes 0 → 1',
      expect.stringMatching(/^white \d+ → \d+ %$/),
      '2 pieces otherwise',
    ]);
    expect(say(label('p1', 1, 40, 'a'))[0]).toBe('1 item loses its place');
    expect(say(label('p1', 1, 40, 'a')).at(-1)).toBe('1 piece less');
    expect(sayLooked(seen(c, [ink('p1', 40, 'a'), ink('p2', 60, 'b')]), both)[0]).toBe('2 items come onto stickers');
    expect(sayLooked(seen(c, []), both)[0]).toBe('2 items find a place');
  });
  it('is nothing where only copies and ids are others', () =>
    expect(say(label('x', 3, 60, 'b'), label('y', 1, 40, 'a'))).toEqual([]));
});

it('what moved is told by design, place and words, each once', () => {
  const [a, b] = both.placements as [(typeof both.placements)[number], (typeof both.placements)[number]];
  expect(movedSince([a, b], [a, { ...b, y: b.y + 2 }])).toEqual(['p2']);
  expect(movedSince([a, b], [{ ...a, text: 'other' }, b])).toEqual(['p1']);
  expect(movedSince([a], [a, { ...a, id: 'again' }])).toEqual(['again']);
});

it('a week is looked at as it would be laid, round what stays', () => {
  const demo = demoContext();
  const { placements, figures } = looked(demo);
  expect(figures.onStickers).toBe(figures.items);
  const kept = { ...placements.find((p) => p.role === 'box')!, locked: true };
  expect(looked(demo, [kept]).placements).toContainEqual(kept);
});
