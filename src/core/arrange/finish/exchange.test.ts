import { context, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { threeBox } from '../../book/three-box';
import { dayColumn } from '../../book/columns';
import { eyeCost, eyeTerms } from '../../eye/registry';
import { sightOf } from '../../eye/sight';
import { Draft } from '../../spread/draft';
import { exchanged } from './exchange';
import type { Filled } from './filled';
import { groundOf } from './filled';
import type { Filler } from './fillers/filler';
import { polished } from './polish';
import type { Weighed } from './weighed';

const deco = piece({ code: 'D', kind: 'deco', width: 15, height: 15, count: 2, motif: 'shell' });
const star = piece({ code: 'E', kind: 'deco', width: 15, height: 15, count: 2, motif: 'star' });
const c = context({ book: threeBox, kit: kitOf(deco, star), week: weekWith() });
const column = dayColumn(threeBox, 0)!;
const at = (of: typeof deco, x: number, y: number, layer = 0): Filler => ({
  piece: of, parts: [{ dx: 0, dy: 0, cut: null }], page: column.page, layer, role: 'finish', cost: 0, x, y, w: 15, h: 15,
}); // prettier-ignore
const laidOn = (...group: Filler[]): Weighed => ({ group, day: 0, gain: 0, ofPlace: 0 });
const before = Draft.begin(c, []);
const ground = groundOf(before, c);
const after = (list: Weighed[], by: (g: typeof ground, laid: Filled) => Filled = exchanged): Draft =>
  by(ground, ground.with(list)).draft();
const cost = (draft: Draft): number => eyeCost(sightOf(c, draft.placements));

it('what floats on the axis of its column gives way to what stands better, and the eye minds less', () => {
  const middle = column.x + (column.w - 15) / 2;
  const floating = [laidOn(at(deco, middle, column.y + 60)), laidOn(at(deco, middle, column.y + 90))];
  const plain = before.clone();
  for (const { group } of floating)
    for (const f of group) plain.add(f.piece, plain.ledger.take(f.piece)!, { ...f, day: 0 });
  const better = after(floating);
  expect(better.placements.filter((p) => Math.abs(p.x - middle) < 1).length).toBeLessThan(2);
  expect(cost(better)).toBeLessThan(cost(plain) - 5);
  expect(before.placements).toEqual([]);
});

it('of what lies upon another piece nothing is left in the air, and what is good stays', () => {
  const floor = column.y + column.h - 15;
  const pair = laidOn(at(deco, column.x, floor), at(star, column.x + 9, floor - 10.5, 1));
  const { placements } = after([pair]);
  for (const p of placements.filter((q) => q.layer > 0))
    expect(placements.some((q) => q.layer < p.layer && Math.abs(q.x - p.x) < 15 && Math.abs(q.y - p.y) < 15)).toBe(
      true,
    );
  expect(placements.length).toBeGreaterThan(1);
  expect(after([]).placements).toEqual([]);
});

describe('the last look', () => {
  const floor = column.y + column.h - 15;
  it('finds places between the usual ones, and takes off what only costs', () => {
    const label = piece({ code: 'L', kind: 'label', width: column.w, height: 100, count: 1 });
    const kit = kitOf(deco, star, label);
    const on = context({ book: threeBox, kit, week: weekWith() });
    const begun = Draft.begin(on, []);
    begun.add(label, begun.ledger.take(label)!, { page: column.page, x: column.x, y: column.y, role: 'day', day: 0, text: 'vet', items: ['vet'] }); // prettier-ignore
    const g = groundOf(begun, on);
    const [laid] = polished(g, g.with([laidOn(at(deco, column.x, floor))])).list.filter((w) => w.day === 0);
    const y = laid?.group[0]?.y ?? 0;
    // neither under the label nor on the floor: both runs that it parts are gaps then
    expect([y > column.y + 104, y < floor - 1]).toEqual([true, true]);
    const six = [0, 1, 2, 3, 4, 5].map((i) => laidOn(at(i % 2 ? deco : star, column.x, column.y + 30 * i)));
    expect(polished(ground, ground.with(six)).cost).toBeLessThan(ground.with(six).cost - 20);
  });

  it('what lay upon a picture that moves goes with it, or stays where it is', () => {
    const stack = [laidOn(at(deco, column.x, floor)), laidOn(at(star, column.x, floor, 1))];
    const { list, sight } = polished(ground, ground.with(stack));
    // one wholly hid the other
    expect(eyeTerms(ground.with(stack).sight).some(({ term }) => term.name === 'hidden')).toBe(true);
    expect(eyeTerms(sight).some(({ term }) => term.name === 'hidden')).toBe(false);
    expect(list.length).toBeGreaterThan(0);
  });
});
