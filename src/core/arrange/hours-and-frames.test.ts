import { context, demand, demoContext, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { KIT_SORTS } from '../../../tests/kit-sorts';
import { weekOfItems } from '../../../tests/kit-corpus';
import { BOOKS } from '../book/registry';
import { hourly } from '../book/hourly';
import { hoursOf, yOfMinute } from '../book/hours';
import { dayColumn } from '../book/columns';
import { bottom, intersect, right } from '../measure/rect';
import { footprint, matchDemands } from '../spread/placement';
import type { Context, Placement } from '../spread/placement';
import { arrange } from './arrange';

const boxesOn = (placements: readonly Placement[], day: number): Placement[] =>
  placements.filter((p) => p.role === 'box' && p.day === day);
const at = (uid: string, start: number, day = 0) =>
  demand({ uid, key: uid, title: uid, start, day, kind: 'appointment' });

describe('three rows in a book with hours', () => {
  const kit = kitOf(
    ...['#9fd3c7', '#f2e3c4', '#23475a'].map((color, i) =>
      piece({ code: `B${i}`, kind: 'full-box', height: 48.3, color, motif: `m${i}`, count: 3 }),
    ),
    piece({ count: 20 }),
  );
  const laid = (...items: ReturnType<typeof at>[]): [Context, readonly Placement[]] => {
    const c = context({ book: hourly, manner: 'three-rows', kit, week: weekWith(...items) });
    return [c, arrange(c)];
  };

  it('the box leaves the row in which something has its hour', () => {
    const [, placements] = laid(at('early ferry', 6 * 60));
    const [box] = boxesOn(placements, 0);
    const [free] = boxesOn(placements, 1);
    expect(free!.y).toBeLessThan(box!.y);
    const y = yOfMinute(hoursOf(hourly, 0)!, 6 * 60);
    expect(y >= box!.y && y < bottom(box!)).toBe(false);
  });
  it('and there is none where every row is taken', () => {
    const [, placements] = laid(at('early ferry', 6 * 60), at('lunch', 13 * 60), at('choir', 19 * 60));
    expect(boxesOn(placements, 0)).toEqual([]);
    expect(boxesOn(placements, 1)).toHaveLength(1);
  });
  it('no hour of a week lies under a box, with any kit', () => {
    for (const [i, sort] of Object.values(KIT_SORTS).entries()) {
      const c = context({
        ...sort(i),
        book: hourly,
        manner: 'three-rows',
        week: weekWith(...weekOfItems(20, i * 7 + 3)),
      });
      const placements = arrange(c);
      for (const d of c.week.demands.filter((d) => d.start !== null && d.kind !== 'band')) {
        const y = yOfMinute(hoursOf(hourly, d.day)!, d.start!);
        for (const b of boxesOn(placements, d.day)) expect(y < b.y || y >= bottom(b)).toBe(true);
      }
    }
  });
  it('most items stand at their hours', () => {
    let [timed, off] = [0, 0];
    for (const [i, sort] of Object.values(KIT_SORTS).slice(0, 8).entries()) {
      const c = context({ ...sort(i), book: hourly, manner: 'three-rows', week: weekWith(...weekOfItems(20, i)) });
      const matched = matchDemands(arrange(c), c.week.demands);
      for (const d of c.week.demands.filter((d) => d.start !== null && d.kind !== 'band' && d.list === null)) {
        const p = matched.get(d.key);
        if (!p) continue;
        timed++;
        if (Math.abs(p.y - yOfMinute(hoursOf(hourly, d.day)!, d.start!)) > 12) off++;
      }
    }
    expect(timed).toBeGreaterThan(50);
    expect(off / timed).toBeLessThan(0.25);
  });
});

describe('framed boxes', () => {
  it.each(Object.keys(BOOKS))('stay in their column with their frames, in %s', (name) => {
    for (const kit of ['rockpool', 'night-almanac']) {
      const c = demoContext({ book: BOOKS[name]!, manner: 'crowned' }, kit);
      for (const p of arrange(c).filter((p) => p.role === 'box' && p.day !== null)) {
        const column = dayColumn(c.book, p.day!)!;
        expect(p.y).toBeGreaterThanOrEqual(column.y - 0.05);
        expect(bottom(p)).toBeLessThanOrEqual(bottom(column) + 0.05);
      }
    }
  });
  it('have strips cut to their share where only a higher one is left', () => {
    const kit = kitOf(
      piece({ code: 'B', kind: 'full-box', height: 48.3, motif: 'waves', count: 7 }),
      piece({ code: 'W', kind: 'washi', width: 50, height: 5, motif: 'waves', count: 1 }),
      piece({ code: 'V', kind: 'washi', width: 900, height: 8, motif: 'kelp', count: 3 }),
    );
    const placements = arrange(context({ kit, manner: 'crowned', options: { headers: 'none' } }));
    const strips = placements.filter((p) => p.role === 'box' && (p.code === 'W' || p.code === 'V'));
    expect(strips.length).toBeGreaterThan(2);
    for (const p of strips) expect(p.h).toBeLessThanOrEqual(8);
    for (const p of strips)
      for (const q of placements)
        if (p !== q && p.page === q.page && p.layer === q.layer && q.role === 'box')
          expect(intersect(footprint(p), footprint(q))).toBeNull();
  });
});

describe('times in circles', () => {
  const kit = kitOf(
    piece({ code: 'L', kind: 'label', width: 38, height: 10, count: 6 }),
    piece({ code: 'O', kind: 'circle', width: 12, height: 12, shape: 'circle', count: 9, color: '#f2e3c4' }),
  );
  const spread = (gap: number) => {
    const week = weekWith(at('vet', 600), at('dentist', 660), at('choir', 720));
    return arrange(context({ kit, week, ways: { times: 'in circles', boxes: 0 }, options: { gap } }));
  };
  it('reach no further over their base than half the gap', () => {
    for (const gap of [0, 1, 2, 4]) {
      const placements = spread(gap);
      for (const circle of placements.filter((p) => p.code === 'O' && p.layer > 0)) {
        const base = placements.find(
          (p) => p.code === 'L' && p.day === circle.day && Math.abs(p.y + p.h / 2 - circle.y - 6) < 0.1,
        )!;
        expect(base.y - circle.y).toBeLessThanOrEqual(gap / 2 + 0.05);
      }
    }
    expect(spread(4).some((p) => p.code === 'O' && p.layer > 0)).toBe(true);
    expect(spread(0).some((p) => p.code === 'O' && p.layer > 0)).toBe(false);
  });
  it('leave their neighbor alone', () => {
    const placements = spread(2);
    for (const circle of placements.filter((p) => p.code === 'O' && p.layer > 0))
      for (const p of placements.filter((q) => q.code === 'L' && q.day === circle.day)) {
        const touches = intersect(footprint(p), footprint(circle));
        if (touches) expect(right(touches)).toBeLessThanOrEqual(right(p) + 0.05);
      }
    const labels = placements.filter((p) => p.code === 'L').sort((a, b) => a.y - b.y);
    for (const [i, p] of labels.slice(1).entries()) expect(p.y - bottom(labels[i]!)).toBeGreaterThanOrEqual(1.99);
  });
});

describe('an item that asks for room', () => {
  const kit = (writable: 'yes' | 'no') =>
    kitOf(
      piece({ code: 'F', kind: 'full-box', height: 48.3, writable, count: 1 }),
      piece({ code: 'H', kind: 'half-box', height: 24.1, count: 3 }),
      piece({ count: 9 }),
    );
  const codeFor = (
    room: 'full' | 'half' | 'quarter' | 'label',
    writeOnBoxes: boolean,
    writable: 'yes' | 'no' = 'yes',
  ) => {
    const c = context({
      kit: kit(writable),
      options: { writeOnBoxes },
      week: weekWith(demand({ title: 'plan the fete', room })),
    });
    return arrange(c).find((p) => p.items.includes('a'))?.code;
  };
  it.each([
    ['full', true, 'yes', 'F'],
    ['full', false, 'yes', 'H'],
    ['full', true, 'no', 'H'],
    ['half', true, 'yes', 'H'],
    ['quarter', true, 'yes', 'Q-1'],
  ] as const)('%s room, writing on boxes %s, box writable %s: on %s', (room, writes, writable, code) =>
    expect(codeFor(room, writes, writable)).toBe(code),
  );
});
