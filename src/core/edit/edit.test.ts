import { demoSpread, found } from '../../../tests/fixtures';
import { matchDemands, pieceIndex } from '../spread/placement';
import { dayColumn } from '../book/columns';
import { pieceKey } from '../kit/kit';
import { bottom } from '../measure/rect';
import { lockPiece, turnPiece, writeOn } from './alter';
import { applies, apply, invert } from './change';
import { movePiece } from './move';
import { arrangeAnew, arrangeDay, arrangeRest } from './rearrange';
import { removePiece } from './remove';
import { snap } from './snap';
import { placeAt, spotsFor } from './spots';
import { stackOf } from './stack';
import { overdrawnPlacements } from './stock-check';
import { swapPiece, swapsFor } from './swap';

const { context: c, placements } = demoSpread();
const vetAt = c.week.demands.find((d) => d.title.includes('vet'))!;
const vet = matchDemands(placements, c.week.demands).get(vetAt.key)!;
const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1);

describe('an edit', () => {
  it('moves a base with its icon, and its inverse brings both back', () => {
    const stack = stackOf(placements, vet.id);
    expect(stack.length).toBeGreaterThan(1);
    const change = movePiece(c, placements, vet.id, { page: 1, x: vet.x, y: vet.y + 20, day: vet.day })!;
    const moved = apply(placements, change);
    expect(stackOf(moved, vet.id).map((p) => p.y)).toEqual(stack.map((p) => expect.closeTo(p.y + 20)));
    expect(apply(moved, invert(change)).sort(byId)).toEqual([...placements].sort(byId));
    expect(applies(moved, change)).toBe(false);
    expect(() => apply(moved, change)).toThrow('has changed');
  });

  it('never moves or takes off what is locked', () => {
    const locked = apply(placements, lockPiece(c, vet));
    expect(movePiece(c, locked, vet.id, { page: 1, x: 0, y: 0, day: 3 })).toBeNull();
    expect(removePiece(c, locked, vet.id)).toBeNull();
    expect(
      turnPiece(
        c,
        locked.find((p) => p.id === vet.id)!,
      ),
    ).toBeNull();
  });

  it('takes a stack off, and the review misses the item', () => {
    const left = apply(placements, removePiece(c, placements, vet.id)!);
    expect(left).toHaveLength(placements.length - stackOf(placements, vet.id).length);
    expect(found('D4', c, left)).toMatchObject([{ message: expect.stringContaining('vet, Juniper') }]);
    const again = apply(left, arrangeRest(c, left)!);
    expect([...found('D4', c, again), ...found('D5', c, again)]).toEqual([]);
  });

  it('swaps for pieces that fit and take the text, best first, and frees the old one', () => {
    const offers = swapsFor(c, placements, vet.id);
    expect(offers.length).toBeGreaterThan(3);
    expect(offers.map((o) => o.cost)).toEqual(offers.map((o) => o.cost).sort((a, b) => a - b));
    for (const { piece } of offers.slice(0, 6)) {
      const swapped = apply(placements, swapPiece(c, placements, vet.id, piece)!);
      expect(swapped.find((p) => p.id === vet.id)).toMatchObject({
        kit: piece.kit,
        code: piece.code,
        text: vet.text,
        items: vet.items,
      });
      expect(overdrawnPlacements(c, swapped)).toEqual([]);
      expect(found('F1', c, swapped)).toEqual([]);
    }
  });

  it('offers a list only designs with rows enough', () => {
    const list = placements.find((p) => p.items.length >= 4)!;
    for (const { piece } of swapsFor(c, placements, list.id))
      expect(piece.rows).toBeGreaterThanOrEqual(list.items.length);
  });

  it('writes, and chooses the pen', () => {
    expect(writeOn(c, vet, 'vet at five')?.after[0]).toMatchObject({ text: 'vet at five', ink: 'black gel pen' });
    expect(writeOn(c, vet, '  ')?.after[0]).toMatchObject({ text: null, ink: null });
    expect(writeOn(c, vet, vet.text!)).toBeNull();
  });

  it('arranges one day alone, and nothing of another day changes', () => {
    const bare = placements.filter(
      (p) => p.day !== 3 || p.role === 'base' || (p.role === 'day' && p.items.some((uid) => uid.includes('foster'))),
    );
    const after = apply(bare, arrangeDay(c, bare, 3)!);
    expect(after.filter((p) => p.day !== 3).sort(byId)).toEqual(bare.filter((p) => p.day !== 3).sort(byId));
    expect(overdrawnPlacements(c, after)).toEqual([]);
    const items = (list: readonly { day: number | null; items: readonly string[] }[]) =>
      list
        .filter((p) => p.day === 3)
        .flatMap((p) => p.items)
        .sort();
    expect(items(after)).toEqual(items(placements));
    const again = apply(placements, arrangeDay(c, placements, 5)!);
    expect(again.filter((p) => p.day !== 5).sort(byId)).toEqual(placements.filter((p) => p.day !== 5).sort(byId));
    expect(
      again
        .filter((p) => p.day === 5)
        .flatMap((p) => p.items)
        .sort(),
    ).toEqual(
      placements
        .filter((p) => p.day === 5)
        .flatMap((p) => p.items)
        .sort(),
    );
  });

  it('arranges anew round what is locked', () => {
    const locked = placements.map((p) => (p.day === 1 ? { ...p, locked: true } : p));
    const anew = apply(locked, arrangeAnew(c, locked));
    expect(anew.filter((p) => p.locked)).toEqual(locked.filter((p) => p.locked));
  });
});

describe('dragging', () => {
  it('falls to the column, a wanted gap under its neighbor', () => {
    const column = dayColumn(c.book, 2)!;
    const above = placements.find((p) => p.day === 2 && p.role === 'day' && p.layer === 0)!;
    const to = snap(c, [above], new Set(), 0, { x: column.x + 1.4, y: bottom(above) + 3.1, w: column.w, h: 12 });
    expect(to).toEqual({ page: 0, x: column.x, y: expect.closeTo(bottom(above) + 2), day: 2 });
  });
  it('stays on the page', () =>
    expect(snap(c, [], new Set(), 0, { x: -30, y: 400, w: 20, h: 10 })).toMatchObject({ x: 0, y: 218.6 }));
});

describe('a picked piece', () => {
  it('may go only where it fits, and lying there breaks no rule', () => {
    const label = c.kit.pieces.find((p) => p.kind === 'circle')!;
    const spots = spotsFor(c, placements, label);
    expect(spots.length).toBeGreaterThan(0);
    for (const spot of spots)
      expect(found('F1', c, apply(placements, placeAt(c, placements, label, spot)!))).toEqual([]);
  });
  it('has no place when no copy is left', () => {
    const used = pieceIndex(c).get(pieceKey(placements.find((p) => p.role === 'box')!))!;
    expect(spotsFor(c, placements, used)).toEqual([]);
  });
  it('says what must be trimmed', () => {
    const wide = c.kit.pieces.find((p) => p.code === 'BW-2')!;
    expect(spotsFor(c, [], wide).filter((s) => s.say.startsWith('Bottom strip'))[0]?.say).toContain('off its height');
  });
});

describe('stickers are told apart', () => {
  it('by copy and part: two parts of one are fine, the same part twice is not', () => {
    const list = placements.filter((p) => p.cut);
    expect(overdrawnPlacements(c, list)).toEqual([]);
    expect(overdrawnPlacements(c, [...list, { ...list[0]!, id: 'p999' }]).map((p) => p.id)).toEqual(['p999']);
    expect(overdrawnPlacements(c, [{ ...vet, copy: 99 }])).toHaveLength(1);
  });
});
