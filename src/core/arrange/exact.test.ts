import fc from 'fast-check';
import { assignBoxes } from './box-assignment';
import { packColumn } from './day-packing';
import { spaceOut } from './spacing';

/** The cheapest assignment by trying every one. */
function bruteForce(onDay: readonly (readonly number[])[], days: number, without: number, beside: (a: number | null, b: number | null) => number): number {
  let best = Infinity;
  const walk = (day: number, used: Set<number>, last: number | null, cost: number): void => {
    if (cost >= best) return;
    if (day === days) {
      best = cost;
      return;
    }
    for (const box of [null, ...onDay.keys()]) {
      if (box !== null && used.has(box)) continue;
      const own = box === null ? without : (onDay[box]?.[day] ?? Infinity);
      const next = new Set(used);
      if (box !== null) next.add(box);
      walk(day + 1, next, box, cost + own + (day ? beside(last, box) : 0));
    }
  };
  walk(0, new Set(), null, 0);
  return best;
}

describe('full boxes', () => {
  it('are assigned as well as by trying everything', () => {
    const cost = fc.oneof({ weight: 6, arbitrary: fc.integer({ min: 0, max: 20 }) }, { weight: 1, arbitrary: fc.constant(Infinity) });
    fc.assert(fc.property(fc.integer({ min: 1, max: 6 }).chain((n) => fc.tuple(fc.array(fc.array(cost, { minLength: 5, maxLength: 5 }), { minLength: n, maxLength: n }), fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 64, maxLength: 64 }))), ([onDay, table]) => {
      const beside = (a: number | null, b: number | null): number => table[((a ?? 7) * 8 + (b ?? 7)) % 64] as number;
      const solved = assignBoxes(onDay.map((d) => ({ onDay: d })), 5, { without: () => 8, beside });
      expect(solved.cost).toBe(bruteForce(onDay, 5, 8, beside));
      const used = solved.boxes.filter((b) => b !== null);
      expect(new Set(used).size).toBe(used.length);
    }), { numRuns: 150, seed: 3 });
  });

  it('equal trying everything for eight boxes on seven days', () => {
    const onDay = Array.from({ length: 8 }, (_, b) => Array.from({ length: 7 }, (_, d) => ((b * 7 + d * 5) % 11) + (b === d ? 3 : 0)));
    const beside = (a: number | null, b: number | null): number => (a === null || b === null ? 2 : Math.abs(a - b) === 1 ? 6 : 0);
    expect(assignBoxes(onDay.map((d) => ({ onDay: d })), 7, { without: () => 9, beside }).cost).toBe(bruteForce(onDay, 7, 9, beside));
  });

  it('refuses more than it can do exactly', () => expect(() => assignBoxes(Array.from({ length: 17 }, () => ({ onDay: [1] })), 1, { without: () => 1, beside: () => 0 })).toThrow(RangeError));
});

/** The cheapest packing by trying every choice. */
function packAll(items: Parameters<typeof packColumn>[0], stretches: readonly { from: number; to: number }[], gap: number): number {
  const place = (height: number, at: { k: number; y: number | null }): { k: number; y: number } | null => {
    for (let k = at.k; k < stretches.length; k++) {
      const s = stretches[k]!;
      const y = k === at.k && at.y !== null ? at.y + gap : s.from;
      if (y + height <= s.to + 1e-9) return { k, y: y + height };
    }
    return null;
  };
  const walk = (i: number, at: { k: number; y: number | null }): number => {
    if (i === items.length) return 0;
    const item = items[i]!;
    return Math.min(item.leaveOut + walk(i + 1, at), ...item.options.map((o) => {
      const next = place(o.height, at);
      return next ? o.cost + walk(i + 1, next) : Infinity;
    }));
  };
  return walk(0, { k: 0, y: null });
}

describe('a column', () => {
  it('is packed as well as by trying everything', () => {
    const item = fc.record({ options: fc.array(fc.record({ height: fc.integer({ min: 4, max: 30 }), cost: fc.integer({ min: 0, max: 20 }) }), { minLength: 0, maxLength: 3 }), leaveOut: fc.integer({ min: 30, max: 200 }) });
    const stretches = fc.constantFrom([{ from: 0, to: 60 }], [{ from: 10, to: 42.5 }, { from: 60, to: 95 }], [{ from: 0, to: 20 }, { from: 22, to: 40 }, { from: 50, to: 55 }]);
    fc.assert(fc.property(fc.array(item, { maxLength: 6 }), stretches, fc.constantFrom(0, 2, 3.5), (items, free, gap) => {
      expect(packColumn(items, free, gap).cost).toBe(packAll(items, free, gap));
    }), { numRuns: 300, seed: 5 });
  });

  it('spaces items equally, evenings at its foot, with one open place between', () => {
    const tops = spaceOut([{ height: 12, stretch: 0, evening: false }, { height: 12, stretch: 0, evening: false }, { height: 10, stretch: 0, evening: true }], [{ from: 40, to: 140 }], 2);
    expect(tops).toEqual([40, 56, 130]);
  });
});
