import fc from 'fast-check';
import { context, demand, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { hourly } from '../../book/hourly';
import { hoursOf, yOfMinute } from '../../book/hours';
import { threeBox } from '../../book/three-box';
import { found } from '../../../../tests/fixtures';
import { arrange } from '../arrange';
import { atTheirHours } from './at-their-hours';

it('an hourly book tells its hours to scale, others have none', () => {
  const hours = hoursOf(hourly, 2)!;
  expect(yOfMinute(hours, 6 * 60)).toBeCloseTo(29);
  expect(yOfMinute(hours, 13.5 * 60)).toBeCloseTo(29 + 7.5 * 11.5);
  expect(hoursOf(threeBox, 2)).toBeNull();
});

it('items stand as near to their hours as order and gaps allow: no better by trying half-millimeter steps', () => {
  const item = fc.record({ height: fc.integer({ min: 6, max: 14 }), wanted: fc.integer({ min: 0, max: 60 }) });
  fc.assert(
    fc.property(fc.array(item, { minLength: 1, maxLength: 3 }), (drawn) => {
      const items = [...drawn].sort((a, b) => a.wanted - b.wanted).map((d) => ({ ...d, stretch: 0, pull: 1 }));
      const tops = atTheirHours(items, [{ from: 0, to: 60 }], 2);
      const cost = (ys: readonly number[]): number => ys.reduce((sum, y, i) => sum + (y - items[i]!.wanted) ** 2, 0);
      const holds = (ys: readonly number[]): boolean =>
        ys.every(
          (y, i) =>
            y >= (i ? ys[i - 1]! + items[i - 1]!.height + 2 : 0) - 1e-6 &&
            (i < ys.length - 1 || y + items[i]!.height <= 60 + 1e-6),
        );
      expect(holds(tops)).toBe(true);
      const steps = (from: number): number[] => Array.from({ length: 61 }, (_, i) => from + i);
      let best = Infinity;
      const walk = (ys: readonly number[]): void => {
        if (ys.length === items.length) {
          if (holds(ys)) best = Math.min(best, cost(ys));
          return;
        }
        for (const y of steps(0)) if (!ys.length || y >= ys.at(-1)!) walk([...ys, y]);
      };
      walk([]);
      expect(cost(tops)).toBeLessThanOrEqual(best + 1e-6);
    }),
    { numRuns: 12, seed: 6 },
  );
});

it('a week is laid out at its hours, hour lines stay, and what had to give way is said', () => {
  const items = [
    demand({ uid: 'a', key: 'a', title: 'vet', start: 600, kind: 'appointment' }),
    demand({ uid: 'b', key: 'b', title: 'choir', start: 19 * 60, kind: 'appointment' }),
    demand({ uid: 'c', key: 'c', title: 'dentist', day: 1, start: 600, kind: 'appointment' }),
    demand({ uid: 'd', key: 'd', title: 'plumber', day: 1, start: 615, kind: 'appointment' }),
    demand({ uid: 'e', key: 'e', title: 'call', day: 1, start: 620, kind: 'appointment' }),
  ];
  const c = context({ book: hourly, kit: kitOf(piece({ count: 9 })), week: weekWith(...items) });
  const placements = arrange(c);
  const at = (uid: string): number => placements.find((p) => p.items.includes(uid))!.y;
  expect(at('a')).toBeCloseTo(29 + 4 * 11.5, 1);
  expect(at('b')).toBeCloseTo(29 + 13 * 11.5, 1);
  expect(at('c')).toBeLessThan(at('d'));
  const astray = placements.map((p) => (p.items.includes('a') ? { ...p, y: 120 } : p));
  expect(found('D2', c, astray)[0]?.message).toMatch(
    /“vet” is .* below its hour, 10a, and there is room nearer to it\./,
  );
  const wall = {
    ...astray[0]!,
    id: 'wall',
    items: [],
    text: null,
    role: 'finish' as const,
    page: 0,
    day: 0,
    layer: 0,
    x: astray.find((p) => p.items.includes('a'))!.x,
    y: 29,
    w: 30,
    h: 90,
  };
  expect(
    found('D2', c, [...astray.filter((p) => p.items.includes('a')), wall]).filter((f) =>
      f.message.includes('its hour'),
    ),
  ).toEqual([]);
});
