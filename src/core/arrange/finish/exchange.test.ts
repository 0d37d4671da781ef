import { context, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { threeBox } from '../../book/three-box';
import { dayColumn } from '../../book/columns';
import { eyeCost } from '../../eye/registry';
import { sightOf } from '../../eye/sight';
import { Draft } from '../../spread/draft';
import { exchanged } from './exchange';
import type { Filler } from './fillers/filler';
import type { Weighed } from './weighed';

const deco = piece({ code: 'D', kind: 'deco', width: 15, height: 15, count: 2, motif: 'shell' });
const star = piece({ code: 'E', kind: 'deco', width: 15, height: 15, count: 2, motif: 'star' });
const c = context({ book: threeBox, kit: kitOf(deco, star), week: weekWith() });
const column = dayColumn(threeBox, 0)!;
const at = (of: typeof deco, x: number, y: number, layer = 0): Filler => ({
  piece: of, parts: [{ dx: 0, dy: 0, cut: null }], page: column.page, layer, role: 'finish', cost: 0, x, y, w: 15, h: 15,
}); // prettier-ignore
const laid = (...group: Filler[]): Weighed => ({ group, day: 0, gain: 0 });
const before = Draft.begin(c, []);
const cost = (draft: Draft): number => eyeCost(sightOf(c, draft.placements));

it('what floats on the axis of its column gives way to what stands better, and the eye minds less', () => {
  const middle = column.x + (column.w - 15) / 2;
  const floating = [laid(at(deco, middle, column.y + 60)), laid(at(deco, middle, column.y + 90))];
  const plain = before.clone();
  for (const { group } of floating)
    for (const f of group) plain.add(f.piece, plain.ledger.take(f.piece)!, { ...f, day: 0 });
  const better = exchanged(before, c, floating);
  expect(better.placements.filter((p) => Math.abs(p.x - middle) < 1).length).toBeLessThan(2);
  expect(cost(better)).toBeLessThan(cost(plain) - 5);
  expect(before.placements).toEqual([]);
});

it('of what lies upon another piece nothing is left in the air, and what is good stays', () => {
  const floor = column.y + column.h - 15;
  const pair = laid(at(deco, column.x, floor), at(star, column.x + 9, floor - 10.5, 1));
  const { placements } = exchanged(before, c, [pair]);
  for (const p of placements.filter((q) => q.layer > 0))
    expect(placements.some((q) => q.layer < p.layer && Math.abs(q.x - p.x) < 15 && Math.abs(q.y - p.y) < 15)).toBe(
      true,
    );
  expect(placements.length).toBeGreaterThan(1);
  expect(exchanged(before, c, []).placements).toEqual([]);
});
