import fc from 'fast-check';
import { context, demand, demoSpread, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { matchDemands } from '../spread/placement';
import { apply } from '../edit/change';
import { overdrawnPlacements } from '../edit/stock-check';
import { review, viewOf } from '../review/review';
import { spokenTime, writtenText } from '../week/demand';
import { asItIsNow } from './as-it-is-now';
import type { Column, Standing } from './fewest-moves';
import { fewestMoves } from './fewest-moves';
import { letIn } from './let-in';
import { replaceAll, replaceSpoiled } from './replace';

/** The fewest moves by trying every set of pieces that stay. */
function tryAll(standing: readonly Standing[], column: Column): number | null {
  const n = standing.length;
  let best: number | null = null;
  for (let kept = 0; kept < 1 << n; kept++) {
    const stays = (i: number): boolean => (kept & (1 << i)) !== 0;
    if (standing.some((s, i) => (stays(i) ? s.y === null : s.fixed))) continue;
    let y = column.from;
    let fits = true;
    standing.forEach((s, i) => {
      const least = y + (i === 0 || stays(i) === false ? column.gap(i - 1) : stays(i - 1) ? 0 : column.gap(i - 1));
      if (!stays(i)) y = (i === 0 ? column.from + column.gap(-1) : least) + s.h;
      else if ((s.y as number) < least - 1e-6) fits = false;
      else y = (s.y as number) + s.h;
    });
    if (!fits || y > column.to + 1e-6) continue;
    const moved = standing.filter((s, i) => !stays(i) && s.y !== null).length;
    if (best === null || moved < best) best = moved;
  }
  return best;
}

it('moves the fewest, as trying every set of pieces that stay (D4)', () => {
  const cases = fc.record({
    heights: fc.array(fc.integer({ min: 5, max: 20 }), { maxLength: 7 }),
    gaps: fc.array(fc.integer({ min: 2, max: 14 }), { minLength: 8, maxLength: 8 }),
    fixed: fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }),
    at: fc.nat(7),
    h: fc.integer({ min: 5, max: 25 }),
    foot: fc.integer({ min: 0, max: 30 }),
  });
  fc.assert(
    fc.property(cases, ({ heights, gaps, fixed, at, h, foot }) => {
      let y = 0;
      const there: Standing[] = heights.map((height, i) => {
        y += gaps[i] as number;
        const s = { y, h: height, fixed: i % 3 === 0 && (fixed[i] as boolean) };
        y += height;
        return s;
      });
      const standing = [...there.slice(0, at), { y: null, h, fixed: false }, ...there.slice(at)];
      const column: Column = { from: 0, to: y + foot, gap: (upper) => (upper < 0 ? 0 : 2) };
      const solved = fewestMoves(standing, column);
      expect(solved?.moved ?? null).toBe(tryAll(standing, column));
      if (solved) {
        solved.tops.forEach((top, i) => {
          const above = i ? (solved.tops[i - 1] as number) + (standing[i - 1] as Standing).h : column.from;
          expect(top).toBeGreaterThanOrEqual(above - 1e-6);
          if (standing[i]?.fixed) expect(top).toBe(standing[i]?.y);
        });
        expect((solved.tops.at(-1) as number) + (standing.at(-1) as Standing).h).toBeLessThanOrEqual(column.to + 1e-6);
      }
    }),
    { numRuns: 400, seed: 9 },
  );
});

describe('a late item', () => {
  const { context: c, placements } = demoSpread();
  const late = demand({ uid: 'late', key: 'late', title: 'plumber', day: 2, start: 11 * 60, kind: 'appointment' });
  const busy = { ...c, week: { ...c.week, demands: [...c.week.demands, late] } };
  it('is let in by time, and nothing locked or on another day moves', () => {
    const locked = placements.map((p) => (p.day === 2 && p.role === 'box' ? { ...p, locked: true } : p));
    const repair = letIn(busy, locked, 'late')!;
    const after = apply(locked, repair.change);
    expect(matchDemands(after, busy.week.demands).get('late')).toMatchObject({ day: 2, text: writtenText(late) });
    expect(overdrawnPlacements(busy, after)).toEqual([]);
    expect(repair.change.before.every((p) => p.day === 2 && !p.locked)).toBe(true);
    expect(review(viewOf(busy, after)).filter((f) => f.severity !== 'look')).toEqual(
      review(viewOf(c, placements)).filter((f) => f.severity !== 'look'),
    );
    expect(new Set(repair.change.before.filter((p) => p.layer === 0).map((p) => p.y)).size).toBeGreaterThanOrEqual(
      repair.moved,
    );
  });
  it('is not let in twice, and not where there is no room', () => {
    const repair = letIn(busy, placements, 'late')!;
    expect(letIn(busy, apply(placements, repair.change), 'late')).toBeNull();
    const full = [0, 1, 2].map((i) => placement({ id: `b${i}`, y: 31 + i * 57, h: 56, locked: true, role: 'box' }));
    const small = context({
      kit: kitOf(piece({ count: 3, height: 56 }), piece({ code: 'L' })),
      week: weekWith(demand()),
    });
    expect(letIn(small, full, 'a')).toBeNull();
  });
});

describe('a spoiled sticker', () => {
  const { context: c, placements } = demoSpread();
  const carried = placements.filter((p) => p.role === 'day' && p.items.length === 1 && p.layer === 0);
  it('is replaced by another copy or the best suited piece, in its place, every time', () => {
    for (const p of carried.slice(0, 12)) {
      const repair = replaceSpoiled(c, placements, p.id)!;
      const after = apply(placements, repair.change);
      expect(after.some((q) => q.kit === p.kit && q.code === p.code && q.copy === p.copy)).toBe(false);
      expect(matchDemands(after, c.week.demands).size).toBe(matchDemands(placements, c.week.demands).size);
      expect(overdrawnPlacements(c, after)).toEqual([]);
    }
  });
  it('of which none is left is replaced wherever it is not stuck down', () => {
    const code = carried[0]!.code;
    const stuck = carried[0]!.id;
    const locked = placements.map((p) => (p.id === stuck ? { ...p, locked: true } : p));
    const repair = replaceAll(c, locked, c.kit.name, code);
    const after = repair ? apply(locked, repair.change) : locked;
    expect(after.filter((p) => p.code === code && p.kit === c.kit.name).map((p) => p.id)).toEqual([stuck]);
    expect(replaceAll(c, placements, 'none', 'none')).toBeNull();
  });
});

describe('an item whose time changed', () => {
  const { context: c, placements } = demoSpread();
  const placed = matchDemands(placements, c.week.demands);
  const item = c.week.demands.find(
    (d) =>
      d.start !== null &&
      d.kind === 'appointment' &&
      placed.get(d.key)?.items.length === 1 &&
      placed.get(d.key)?.layer === 0,
  )!;
  const at = (start: number) => ({
    ...c,
    week: { ...c.week, demands: c.week.demands.map((d) => (d === item ? { ...d, start } : d)) },
  });

  it.each([6 * 60, 12 * 60, 21 * 60 + 30])(
    'is written anew and stands where its time is, by the fewest moves (%i)',
    (start) => {
      const later = at(start);
      const before = review(viewOf(later, placements)).filter((f) => f.rule === 'D2');
      expect(before.length).toBeGreaterThan(0);
      const repair = asItIsNow(later, placements, item.key)!;
      const after = apply(placements, repair.change);
      expect(review(viewOf(later, after)).filter((f) => f.rule === 'D2')).toEqual([]);
      expect(after.find((p) => p.id === placed.get(item.key)?.id)?.text).toContain(spokenTime(start));
      expect(overdrawnPlacements(later, after)).toEqual([]);
      expect(review(viewOf(later, after)).filter((f) => f.rule === 'F1')).toEqual([]);
      const bases = repair.change.before.filter((p) => p.layer === 0 && p.y !== after.find((q) => q.id === p.id)?.y);
      expect(bases.every((p) => p.day === item.day)).toBe(true);
    },
  );

  it('moves nothing when its place stays the same, and nothing that is stuck down', () => {
    const now = at((item.start as number) + 5);
    expect(asItIsNow(now, placements, item.key)?.moved).toBe(0);
    const stuck = placements.map((p) => (p.id === placed.get(item.key)?.id ? { ...p, locked: true } : p));
    expect(asItIsNow(at(21 * 60), stuck, item.key)).toBeNull();
  });
});
