import { demoSpread, found } from '../../../tests/fixtures';
import { pieceIndex } from '../spread/placement';
import { difference } from '../color/color';
import { apply } from '../edit/change';
import { overdrawnPlacements } from '../edit/stock-check';
import { colorAreas } from '../review/balance';
import { viewOf } from '../review/review';
import { colorSwaps } from './swap-color';

const { context: c, placements } = demoSpread();
const color = (p: { kit: string; code: string }): string => pieceIndex(c).get(`${p.kit}/${p.code}`)?.color as string;
const from = colorAreas(viewOf(c, placements), placements)[0]!.color;

it('changes a color for another all over the spread; nothing moves, no item loses its place', () => {
  const swaps = colorSwaps(c, placements, from);
  expect(swaps.length).toBeGreaterThan(1);
  for (const { to, change, swapped, left } of swaps) {
    const after = apply(placements, change);
    expect(change.before).toHaveLength(swapped);
    expect(change.after.every((p) => difference(color(p), to) < 12)).toBe(true);
    expect(change.before.every((p) => difference(color(p), from) < 12)).toBe(true);
    for (const [i, p] of change.after.entries())
      expect([p.page, p.y, p.items]).toEqual([change.before[i]?.page, change.before[i]?.y, change.before[i]?.items]);
    expect(overdrawnPlacements(c, after)).toEqual([]);
    expect(found('D5', c, after)).toEqual([]);
    expect(found('F1', c, after).filter((f) => f.severity !== 'look')).toEqual([]);
    expect(left).toBeGreaterThanOrEqual(0);
  }
});

it('leaves what is locked, and says how many stay', () => {
  const [first] = colorSwaps(c, placements, from);
  const stuck = new Set(first?.change.before.slice(0, 2).map((p) => p.id));
  const again = colorSwaps(
    c,
    placements.map((p) => (stuck.has(p.id) ? { ...p, locked: true } : p)),
    from,
  ).find((s) => s.to === first?.to);
  expect(again?.change.before.some((p) => stuck.has(p.id))).toBe(false);
  expect(again?.left).toBeGreaterThanOrEqual(2);
});
