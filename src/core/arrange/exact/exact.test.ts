import fc from 'fast-check';
import { bestPacking, generatedWeek } from '../../../../tests/columns';
import { optimum } from '../../../../tests/highs';
import type { AssignmentRules, BoxChoice } from './box-assignment';
import { assignBoxes } from './box-assignment';
import type { Kept } from './day-packing';
import { packAll as packAllOrNull, packColumn } from './day-packing';
import { randomFrom } from '../../measure/random';
import type { PartOfDay } from '../days/spacing';
import { spaceOut } from '../days/spacing';

/** The cheapest assignment by trying every one. */
function bruteForce(
  onDay: readonly (readonly number[])[],
  days: number,
  without: number,
  beside: (a: number | null, b: number | null) => number,
): number {
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

/** The same with boxes over two days, a most and a cost where a page ends; by trying every one. */
function bruteForceWide(boxes: readonly BoxChoice[], days: number, rules: AssignmentRules): number {
  const walk = (day: number, mask: number, last: number | null, boxed: number, cost: number): number => {
    if (day === days) return cost;
    const now = cost + (rules.before?.(day, mask) ?? 0);
    const beside = (box: number | null): number => (day ? rules.beside(last, box, day) : 0);
    return Math.min(
      walk(day + 1, mask, null, boxed, now + rules.without(day) + beside(null)),
      ...boxes.map((b, i) => {
        const span = b.span ?? 1;
        const own = b.onDay[day] ?? Infinity;
        return own === Infinity || mask & (1 << i) || day + span > days || boxed + span > (rules.most ?? days)
          ? Infinity
          : walk(day + span, mask | (1 << i), i, boxed + span, now + own + beside(i));
      }),
    );
  };
  return walk(0, 0, null, 0, 0);
}

describe('full boxes', () => {
  it('and double ones are assigned as well as by trying everything, no more than wanted, pages balanced', () => {
    const cost = fc.oneof(
      { weight: 6, arbitrary: fc.integer({ min: 0, max: 20 }) },
      { weight: 1, arbitrary: fc.constant(Infinity) },
    );
    const box = fc.record({
      onDay: fc.array(cost, { minLength: 7, maxLength: 7 }),
      span: fc.constantFrom(1 as const, 1 as const, 2 as const),
    });
    fc.assert(
      fc.property(
        fc.array(box, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 0, max: 7 }),
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 81, maxLength: 81 }),
        (boxes, most, table) => {
          const rules: AssignmentRules = {
            without: () => 8,
            most,
            beside: (a, b) => table[(a ?? 8) * 9 + (b ?? 8)] as number,
            before: (day, mask) => (day === 3 ? (mask * 7) % 13 : 0),
          };
          expect(assignBoxes(boxes, 7, rules).cost).toBe(bruteForceWide(boxes, 7, rules));
        },
      ),
      { numRuns: 60, seed: 2 },
    );
  });

  it('equal HiGHS where neighbors do not matter, and a published assignment', async () => {
    const random = randomFrom(5);
    for (let n = 0; n < 12; n++) {
      const onDay = Array.from({ length: 8 }, () => Array.from({ length: 7 }, () => Math.floor(random() * 30)));
      const at = (b: number, d: number): string => `x${b}_${d}`;
      const pairs = onDay.flatMap((row, b) => row.map((c, d) => ({ b, d, c })));
      const best = await optimum({
        minimize: Object.fromEntries(pairs.map((p) => [at(p.b, p.d), p.c])),
        binaries: pairs.map((p) => at(p.b, p.d)),
        rows: [
          ...onDay.map((_, b) => ({
            sum: Object.fromEntries(pairs.filter((p) => p.b === b).map((p) => [at(p.b, p.d), 1])),
            is: '<=' as const,
            to: 1,
          })),
          ...[0, 1, 2, 3, 4, 5, 6].map((d) => ({
            sum: Object.fromEntries(pairs.filter((p) => p.d === d).map((p) => [at(p.b, p.d), 1])),
            is: '=' as const,
            to: 1,
          })),
        ],
      });
      expect(
        assignBoxes(
          onDay.map((d) => ({ onDay: d })),
          7,
          { without: () => Infinity, beside: () => 0 },
        ).cost,
      ).toBe(best);
    }
    // Four machines on four jobs: Winston, Operations Research, the assignment problem (hours from memory); its
    // optimum is 15 hours.
    const hours = [
      [14, 5, 8, 7],
      [2, 12, 6, 5],
      [7, 8, 3, 9],
      [2, 4, 6, 10],
    ];
    expect(
      assignBoxes(
        hours.map((onDay) => ({ onDay })),
        4,
        { without: () => Infinity, beside: () => 0 },
      ),
    ).toEqual({ boxes: [3, 0, 2, 1], cost: 15 });
  });

  it('are assigned as well as by trying everything', () => {
    const cost = fc.oneof(
      { weight: 6, arbitrary: fc.integer({ min: 0, max: 20 }) },
      { weight: 1, arbitrary: fc.constant(Infinity) },
    );
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 6 })
          .chain((n) =>
            fc.tuple(
              fc.array(fc.array(cost, { minLength: 5, maxLength: 5 }), { minLength: n, maxLength: n }),
              fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 64, maxLength: 64 }),
            ),
          ),
        ([onDay, table]) => {
          const beside = (a: number | null, b: number | null): number =>
            table[((a ?? 7) * 8 + (b ?? 7)) % 64] as number;
          const solved = assignBoxes(
            onDay.map((d) => ({ onDay: d })),
            5,
            { without: () => 8, beside },
          );
          expect(solved.cost).toBe(bruteForce(onDay, 5, 8, beside));
          const used = solved.boxes.filter((b) => b !== null);
          expect(new Set(used).size).toBe(used.length);
        },
      ),
      { numRuns: 150, seed: 3 },
    );
  });

  it('equal trying everything for eight boxes on seven days', () => {
    const onDay = Array.from({ length: 8 }, (_, b) =>
      Array.from({ length: 7 }, (_, d) => ((b * 7 + d * 5) % 11) + (b === d ? 3 : 0)),
    );
    const beside = (a: number | null, b: number | null): number =>
      a === null || b === null ? 2 : Math.abs(a - b) === 1 ? 6 : 0;
    expect(
      assignBoxes(
        onDay.map((d) => ({ onDay: d })),
        7,
        { without: () => 9, beside },
      ).cost,
    ).toBe(bruteForce(onDay, 7, 9, beside));
  });

  it('refuses more than it can do exactly', () =>
    expect(() =>
      assignBoxes(
        Array.from({ length: 17 }, () => ({ onDay: [1] })),
        1,
        { without: () => 1, beside: () => 0 },
      ),
    ).toThrow(RangeError));
});

/** The cheapest packing by trying every choice. */
function packAll(
  items: Parameters<typeof packColumn>[0],
  stretches: readonly { from: number; to: number }[],
  gap: number,
  kept: readonly Kept[] = [],
): number {
  const place = (height: number, at: { k: number; y: number | null }): { k: number; y: number } | null => {
    for (let k = at.k; k < stretches.length; k++) {
      const s = stretches[k]!;
      const y = k === at.k && at.y !== null ? at.y + gap : s.from;
      if (y + height <= s.to + 1e-9) return { k, y: y + height };
    }
    return null;
  };
  const walk = (i: number, at: { k: number; y: number | null }): number => {
    if (i === items.length) {
      const cells = stretches.slice(at.k + 1).reduce((n, s) => n + s.to - s.from + 0.5, 0);
      const left = at.y === null ? Infinity : cells + stretches[at.k]!.to - at.y;
      return kept.reduce((sum, { mm, perMm }) => sum + Math.max(0, mm - left) * perMm, 0);
    }
    const item = items[i]!;
    return Math.min(
      item.leaveOut + walk(i + 1, at),
      ...item.options.map((o) => {
        const next = place(o.height, at);
        return next ? o.cost + walk(i + 1, next) : Infinity;
      }),
    );
  };
  return walk(0, { k: 0, y: null });
}

describe('a column', () => {
  /** An item of that many options to three. */
  const itemOf = (minLength: number) =>
    fc.record({
      options: fc.array(fc.record({ height: fc.integer({ min: 4, max: 30 }), cost: fc.integer({ min: 0, max: 20 }) }), {
        minLength,
        maxLength: 3,
      }),
      leaveOut: fc.integer({ min: 30, max: 200 }),
    });
  it('is packed as well as by trying everything', () => {
    const item = itemOf(0);
    const stretches = fc.constantFrom(
      [{ from: 0, to: 60 }],
      [
        { from: 10, to: 42.5 },
        { from: 60, to: 95 },
      ],
      [
        { from: 0, to: 20 },
        { from: 22, to: 40 },
        { from: 50, to: 55 },
      ],
    );
    fc.assert(
      fc.property(fc.array(item, { maxLength: 6 }), stretches, fc.constantFrom(0, 2, 3.5), (items, free, gap) => {
        expect(packColumn(items, free, gap).cost).toBe(packAll(items, free, gap));
      }),
      { numRuns: 300, seed: 5 },
    );
  });

  it('leaves the room that is kept at its foot as long as that is worth more, as by trying everything', () => {
    const item = itemOf(1);
    const stretches = fc.constantFrom(
      [{ from: 0, to: 90 }],
      [
        { from: 10, to: 42 },
        { from: 60, to: 100 },
      ],
    );
    const kept = fc.array(fc.record({ mm: fc.integer({ min: -5, max: 60 }), perMm: fc.constantFrom(0.25, 0.5, 2) }), {
      minLength: 1,
      maxLength: 2,
    });
    fc.assert(
      fc.property(
        fc.array(item, { maxLength: 5 }),
        stretches,
        kept,
        fc.constantFrom(0, 2),
        (items, free, white, gap) => {
          expect(packColumn(items, free, gap, white).cost).toBeCloseTo(packAll(items, free, gap, white), 6);
        },
      ),
      { numRuns: 300, seed: 11 },
    );
  });

  it('says that not all find room, and then nothing else', () => {
    const items = [12, 20, 12].map((height) => ({ options: [{ height, cost: 1 }], leaveOut: 50 }));
    expect(packAllOrNull(items, [{ from: 0, to: 47.5 }], 2)).toBeNull();
    expect(packAllOrNull(items, [{ from: 0, to: 48 }], 2)?.chosen).toEqual([0, 0, 0]);
    expect(packAllOrNull([{ ...items[0]!, onlyIn: 1 }], [{ from: 0, to: 48 }], 2)).toBeNull();
    expect(
      packAllOrNull(
        [{ ...items[0]!, notBefore: 1 }],
        [0, 60].map((from) => ({ from, to: from + 48 })),
        2,
      ),
    ).toMatchObject({
      stretch: [1],
    });
    // dearer than to leave it out
    expect(packAllOrNull([{ options: [{ height: 5, cost: 60 }], leaveOut: 50 }], [{ from: 0, to: 48 }], 2)).toBeNull();
  });

  it('is packed as well as by HiGHS, and full exactly when it says so, in six generated weeks', async () => {
    for (let seed = 1; seed <= 6; seed++) {
      for (const column of generatedWeek(seed)) {
        const packed = packColumn(column.items, column.stretches, column.gap);
        expect(packed.cost).toBeCloseTo((await bestPacking(column)) as number, 4);
      }
    }
  });

  const spaced = (gap: number, to: number, ...items: [height: number, part: PartOfDay][]) =>
    spaceOut(
      items.map(([height, part]) => ({ height, stretch: 0, part })),
      [{ from: 40, to }],
      gap,
    );
  it.each([1, 2, 4])('keeps the gap of %d mm that is wanted, to the tenth', (gap) => {
    const [a, b, c] = spaced(gap, 140, [12, 'day'], [12, 'day'], [10, 'day']) as [number, number, number];
    expect([a, b - a - 12, c - b - 12]).toEqual([40, gap, gap]);
  });
  it('opens its gaps only where no place is left that takes a flag with its gaps', () => {
    // 13 mm between day and evening: 9 and two gaps
    expect(spaced(2, 89, [12, 'day'], [12, 'day'], [10, 'evening'])).toEqual([40, 54, 79]);
    // 12: shared by the gaps, never more than twice the wanted one
    expect(spaced(2, 88, [12, 'day'], [12, 'day'], [10, 'evening'])).toEqual([40, 56, 78]);
    expect(spaced(2, 77, [12, 'day'], [12, 'day'], [10, 'evening'])).toEqual([40, 53.5, 67]);
    expect(spaced(2, 52, [12, 'day'])).toEqual([40]);
  });

  it('stands midday in the middle of what would be a hole, and only there', () => {
    expect(spaced(2, 140, [12, 'morning'], [12, 'day'], [10, 'evening'])).toEqual([40, 85, 130]);
    expect(spaced(2, 123, [12, 'morning'], [12, 'day'], [10, 'evening'])).toEqual([40, 54, 113]);
    expect(spaced(2, 140, [12, 'day'], [10, 'evening'])).toEqual([40, 130]);
    expect(spaced(2, 140, [12, 'morning'], [10, 'morning'])).toEqual([40, 54]);
  });

  it('spaces items equally, evenings at its foot, with one open place between', () => {
    const tops = spaceOut(
      [
        { height: 12, stretch: 0, part: 'day' },
        { height: 12, stretch: 0, part: 'day' },
        { height: 10, stretch: 0, part: 'evening' },
      ],
      [{ from: 40, to: 140 }],
      2,
    );
    expect(tops).toEqual([40, 54, 130]);
  });
});
