import { context, demand, demoContext, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { arrange } from '../arrange/arrange';
import { INK } from '../spread/placement';
import type { TriedFigures } from './tried-week';
import { triedFigures, worthOfTried } from './tried-week';

describe('the figures of a tried week', () => {
  const [one, two, three] = ['a', 'b', 'c'].map((uid) => demand({ uid, key: uid, title: uid, day: 0 }));
  const c = context({ week: weekWith(one!, two!, three!), kit: kitOf(piece({ code: 'L', kind: 'label', count: 3 })) });
  it('tell what a sticker carries from what is written on the paper, and what has no place', () => {
    const laid = [
      placement({ id: 'p1', code: 'L', copy: 1, day: 0, items: ['a'] }),
      placement({ ...INK, id: 'p2', day: 0, y: 90, items: ['b'] }),
    ];
    expect(triedFigures(c, laid)).toMatchObject({ items: 3, onStickers: 1, unplaced: 1, stickers: 1, taken: 1 });
  });
  it('count a copy once, however many parts of it lie there, and none of another kit', () => {
    const part = (id: string, x: number) => placement({ id, code: 'L', copy: 2, cut: { x, y: 0, w: 5, h: 5 } });
    const laid = [part('p1', 0), part('p2', 6), placement({ id: 'p3', kit: 'other', code: 'L' })];
    expect(triedFigures(c, laid)).toMatchObject({ stickers: 3, fromStash: 1, taken: 1 });
  });
  it('are those of the demo’s week as it is laid', () => {
    const demo = demoContext();
    const figures = triedFigures(demo, arrange(demo));
    expect(figures.onStickers).toBe(figures.items);
    expect(figures.boxes).toBeGreaterThan(4);
    expect(figures.white).toBeGreaterThan(0.05);
    expect(figures.white).toBeLessThan(0.5);
  });
});

describe('what a tried week is worth', () => {
  const figures = (over: Partial<TriedFigures>): TriedFigures => ({
    items: 40,
    onStickers: 40,
    unplaced: 0,
    boxes: 7,
    stickers: 80,
    fromStash: 0,
    taken: 80,
    white: 0.2,
    eye: 10,
    minds: [],
    ...over,
  });
  const worth = (over: Partial<TriedFigures>, kit = 0) => worthOfTried(figures(over), kit);
  it('is least with an item that has no place, then by what is written in ink', () => {
    expect(worth({ onStickers: 39, unplaced: 1 })).toBeLessThan(worth({ onStickers: 30 }));
    expect(worth({ onStickers: 30 })).toBeLessThan(worth({}));
  });
  it('falls by what the eye minds, up to where it has seen enough', () => {
    expect(worth({ eye: 60 })).toBeCloseTo(worth({}) - 10);
    expect(worth({ eye: 300 })).toBe(worth({ eye: 900 }));
    expect(worth({ eye: 290 })).toBeGreaterThan(worth({ eye: 300 }));
  });
  it('rises by what speaks for the kit: one kept for this week wins over a better page', () =>
    expect(worth({ eye: 100 }, 20)).toBeGreaterThan(worth({})));
  it('is known of a week without items', () => expect(worth({ items: 0, onStickers: 0 })).toBeCloseTo(-2));
});
