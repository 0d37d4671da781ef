import { demand, demoContext, demoSpread, placement, weekWith } from '../../../tests/fixtures';
import { demoKit } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { apply } from '../edit/change';
import { randomFrom } from '../measure/random';
import { bottom } from '../measure/rect';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import type { Column, Standing } from './fewest-moves';
import { fewestMoves } from './fewest-moves';
import { stuckOff } from './stuck-off';
import { unitsOf } from './units';

const column = (from: number, to: number, gap = 2): Column => ({ from, to, gap: (upper) => (upper < 0 ? 0 : gap) });
const at = (y: number | null, h: number, fixed = false): Standing => ({ y, h, fixed });

describe('the fewest moves', () => {
  it('are none where what is let in has room as it is', () => {
    const { tops, moved } = fewestMoves([at(0, 10), at(null, 8), at(30, 10)], column(0, 60))!;
    expect(moved).toBe(0);
    expect([tops[0], tops[2]]).toEqual([0, 30]);
    expect(tops[1]).toBeGreaterThanOrEqual(12);
    expect(tops[1]! + 8).toBeLessThanOrEqual(28);
  });
  it('are one where one must make way', () => {
    expect(fewestMoves([at(0, 10), at(null, 15), at(15, 10), at(50, 8)], column(0, 60))!.moved).toBe(1);
  });
  it('cannot be where what is fixed leaves no room', () => {
    expect(fewestMoves([at(0, 30, true), at(null, 15), at(35, 25, true)], column(0, 60))).toBeNull();
    expect(fewestMoves([at(null, 61)], column(0, 60))).toBeNull();
  });
  it('of nothing are nothing', () => expect(fewestMoves([], column(0, 60))).toEqual({ tops: [], moved: 0 }));

  /** Tries every set of those that stay; the rest is packed from the top as high as it may. */
  function byTrying(standing: readonly Standing[], { from, to, gap }: Column): number | null {
    let least: number | null = null;
    for (let set = 0; set < 2 ** standing.length; set++) {
      const stays = standing.map((s, i) => ((set >> i) & 1) === 1);
      if (standing.some((s, i) => (s.fixed && !stays[i]) || (s.y === null && stays[i]))) continue;
      let floor = from;
      const holds = standing.every((s, i) => {
        const over = i ? gap(i - 1) : gap(-1);
        // two that both stay may stand as near as they did
        const near = i > 0 && stays[i] && stays[i - 1] ? 0 : over;
        const top = stays[i] ? (s.y as number) : floor + over;
        if (stays[i] && top < floor + near - 1e-9) return false;
        floor = top + s.h;
        return true;
      });
      const moved = standing.filter((s, i) => s.y !== null && !stays[i]).length;
      if (holds && floor <= to + 1e-9 && (least === null || moved < least)) least = moved;
    }
    return least;
  }
  it('are never more than trying every way finds, over 400 columns (seed 11)', () => {
    const random = randomFrom(11);
    for (let n = 0; n < 400; n++) {
      let y = 0;
      const standing: Standing[] = Array.from({ length: 1 + Math.floor(random() * 6) }, () => {
        y += 2 + random() * 8;
        const s = at(random() < 0.2 ? null : y, 4 + random() * 12, random() < 0.15);
        y += s.h;
        return s.y === null ? { ...s, fixed: false } : s;
      });
      const found = fewestMoves(standing, column(0, 80));
      const least = byTrying(standing, column(0, 80));
      expect(found?.moved ?? null).toBe(least);
      found?.tops.forEach((top, i) => {
        const s = standing[i]!;
        if (s.fixed) expect(top).toBe(s.y);
        if (i) expect(top).toBeGreaterThanOrEqual(found.tops[i - 1]! + standing[i - 1]!.h - 1e-6);
      });
    }
  });
});

describe('what stands in a column', () => {
  const kit = demoKit('rockpool');
  const code = (kind: string) => kit.pieces.find((p) => p.kind === kind)!.code;
  const tuesday = demand({ key: 'vet', uid: 'vet', day: 1, start: 600 });
  const context = demoContext({ week: weekWith(tuesday) });
  const day = dayColumn(context.book, 1)!;
  const lie = (id: string, kind: string, y: number, h: number, over: Partial<Placement> = {}): Placement =>
    placement({
      id, kit: 'rockpool', code: code(kind), page: day.page, x: day.x, y: day.y + y, w: day.w, h, day: 1, role: 'day', ...over,
    }); // prettier-ignore
  it('is a unit each, from the top on, with what lies on it', () => {
    const icon = lie('p2', 'icon', 13, 6, { layer: 1, x: day.x + 1, w: 8 });
    const units = unitsOf(context, [lie('p3', 'quarter-box', 30, 12), lie('p1', 'quarter-box', 10, 12), icon], day);
    expect(units.map((u) => [u.parts.map((p) => p.id), u.y - day.y, u.h])).toEqual([
      [['p1', 'p2'], 10, 12],
      [['p3'], 30, 12],
    ]);
  });
  it('knows the minute of its item, and none of a picture', () => {
    const units = unitsOf(
      context,
      [lie('p1', 'quarter-box', 0, 12, { items: ['vet'] }), lie('p2', 'deco', 40, 20)],
      day,
    );
    expect(units.map((u) => u.minute)).toEqual([600, null]);
  });
  it('a header stays with its list, and two parts of one list are one', () => {
    const header = lie('p1', 'header', 0, 6.4);
    const list = lie('p2', 'checklist', 7, 20);
    const more = lie('p3', 'checklist', 27, 12, { copy: 2 });
    expect(unitsOf(context, [header, list, more], day)).toHaveLength(1);
    expect(unitsOf(context, [header, { ...list, y: day.y + 12 }], day)).toHaveLength(2);
  });
  it.each([
    ['locked', { locked: true }, true],
    ['of the base', { role: 'base' }, true],
    ['of another day', { day: 2 }, true],
    ['as it is', {}, false],
  ] as const)('%s it is fixed: %j', (_, over, fixed) => {
    expect(unitsOf(context, [lie('p1', 'quarter-box', 0, 12, over)], day).map((u) => u.fixed)).toEqual([fixed]);
  });
});

describe('a piece that was stuck a little off', () => {
  const context = demoContext();
  const { placements } = demoSpread();
  const base = placements.find((p) => p.role === 'day' && p.layer === 0 && p.items.length > 0 && p.kit !== '')!;
  it('stays there, locked, with all that lies on it', () => {
    const { change } = stuckOff(context, placements, base.id, 1, 0.6)!;
    const now = apply(placements, change).find((p) => p.id === base.id)!;
    expect(now).toMatchObject({ x: base.x + 1, y: Math.round((base.y + 0.6) * 100) / 100, locked: true });
  });
  it('makes what is under it move out of the way, and nothing that is locked', () => {
    const { change } = stuckOff(context, placements, base.id, 0, 6)!;
    const after = apply(placements, change);
    const moved = after.find((p) => p.id === base.id)!;
    const column = dayColumn(context.book, base.day!)!;
    const hit = after.filter(
      (p) =>
        p.id !== base.id &&
        p.layer === 0 &&
        p.page === base.page &&
        p.day === base.day &&
        !p.locked &&
        p.role === 'day' &&
        footprint(p).y < bottom(footprint(moved)) - 0.1 &&
        bottom(footprint(p)) > footprint(moved).y + 0.1,
    );
    expect(hit.map((p) => p.id)).toEqual([]);
    expect(bottom(footprint(moved))).toBeLessThan(bottom(column) + 7);
  });
  it('that is not there is nothing to mend', () => expect(stuckOff(context, placements, 'gone', 1, 1)).toBeNull());
});
