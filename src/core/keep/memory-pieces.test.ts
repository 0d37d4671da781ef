import { demoContext, demoSpread } from '../../../tests/fixtures';
import { apply } from '../edit/change';
import { pieceKey } from '../kit/kit';
import { intersect } from '../measure/rect';
import { footprint, pieceIndex } from '../spread/placement';
import { layMemory, memoryPieces } from './memory-pieces';

const context = demoContext();
const { placements } = demoSpread();
const ALL = [0, 1, 2, 3, 4, 5, 6];

it('offers leftovers for empty places of the days asked for, one of a sort a day, each sticker once', () => {
  const offers = memoryPieces(context, placements, ALL);
  expect(offers.length).toBeGreaterThan(2);
  expect(new Set(offers.map((o) => `${o.day} ${o.sort}`)).size).toBe(offers.length);
  expect(memoryPieces(context, placements, [2]).every((o) => o.day === 2)).toBe(true);
  expect(memoryPieces(context, placements, [])).toEqual([]);
  const used = new Map<string, number>();
  for (const o of offers) used.set(pieceKey(o), (used.get(pieceKey(o)) ?? 0) + 1);
  for (const [key, n] of used) expect(n).toBeLessThanOrEqual(pieceIndex(context).get(key)!.count);
});

it('lays one where nothing lies, with its word where it is for one, and loses no word that has no room', () => {
  for (const offer of memoryPieces(context, placements, ALL)) {
    const change = layMemory(context, placements, offer, 'seals');
    if (typeof change === 'string') {
      expect([offer.sort, change]).toEqual(['word', 'no room']);
      continue;
    }
    const [laid] = change.after;
    const others = placements.filter((p) => p.page === laid!.page && p.layer === 0);
    expect(others.filter((p) => intersect(footprint(p), footprint(laid!)))).toEqual([]);
    expect(laid!.text).toBe(offer.sort === 'word' ? 'seals' : null);
    expect(layMemory(context, placements, offer, 'so much '.repeat(30))).toEqual(
      offer.sort === 'word' ? 'no room' : expect.anything(),
    );
    expect(apply(placements, change)).toHaveLength(placements.length + 1);
  }
});

it('lays nothing that is not there, or has no place', () => {
  const offer = { sort: 'moment' as const, day: 0, kit: 'zeppelin', code: 'X' };
  expect(layMemory(context, placements, offer, '')).toBe('no place');
});
