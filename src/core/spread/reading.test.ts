import { demoSpread } from '../../../tests/fixtures';
import { readingOf } from './reading';

describe('a spread that is read out', () => {
  const { context, placements } = demoSpread();
  const parts = readingOf(context, placements);

  it('has every day in order, and last what lies beside them', () =>
    expect(parts.map((p) => p.day)).toEqual([0, 1, 2, 3, 4, 5, 6, null]));

  it('has each item on each of its days, with all that carries it', () => {
    for (const { day, items } of parts.slice(0, 7))
      expect(items.map((i) => i.demand.key).sort()).toEqual(
        context.week.demands
          .filter((d) => d.day <= day! && d.lastDay >= day!)
          .map((d) => d.key)
          .sort(),
      );
    const carried = parts.flatMap((p) => p.items).flatMap((i) => i.carriers.map((c) => c.id));
    expect(new Set(carried)).toEqual(new Set(placements.filter((p) => p.items.length).map((p) => p.id)));
  });

  it('has every other sticker once', () => {
    const others = parts.flatMap((p) => p.others.map((o) => o.id));
    expect(new Set(others).size).toBe(others.length);
    expect(new Set(others)).toEqual(new Set(placements.filter((p) => !p.items.length).map((p) => p.id)));
  });

  it('says an item without a place as one without carriers', () => {
    const bare = readingOf(context, []);
    expect(bare.flatMap((p) => p.items).every((i) => i.carriers.length === 0)).toBe(true);
  });
});
