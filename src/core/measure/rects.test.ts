import polygonClipping from 'polygon-clipping';
import { randomFrom } from './random';
import type { Rect } from './rect';
import {
  area,
  bottom,
  bounds,
  centerX,
  centerY,
  contains,
  inset,
  intersect,
  right,
  subtract,
  turned,
  unionArea,
} from './rect';

const random = randomFrom(2718);
const some = (n: number): Rect[] =>
  Array.from({ length: n }, () => ({
    x: Math.round(random() * 60),
    y: Math.round(random() * 60),
    w: 1 + Math.round(random() * 40),
    h: 1 + Math.round(random() * 40),
  }));

/** Whole-millimeter squares that lie in some rectangles: what the areas are held against. */
const squares = (rects: readonly Rect[]): number => {
  let count = 0;
  for (let x = 0; x < 110; x++)
    for (let y = 0; y < 110; y++) if (rects.some((r) => x >= r.x && x < right(r) && y >= r.y && y < bottom(r))) count++;
  return count;
};

it('the union of up to eight is what counting squares finds, 120 times over', () => {
  for (let n = 0; n < 120; n++) {
    const rects = some(1 + (n % 8));
    expect(unionArea(rects)).toBeCloseTo(squares(rects), 6);
  }
  expect(unionArea([])).toBe(0);
});

it('the union is that of a general package for polygons (polygon-clipping)', () => {
  const ring = (r: Rect): [number, number][] => [
    [r.x, r.y], [right(r), r.y], [right(r), bottom(r)], [r.x, bottom(r)], [r.x, r.y],
  ]; // prettier-ignore
  const areaOf = (points: readonly (readonly [number, number])[]): number =>
    Math.abs(points.reduce((sum, [x, y], i) => {
      const [u, v] = points[(i + 1) % points.length]!;
      return sum + x * v - u * y;
    }, 0)) / 2; // prettier-ignore
  for (let n = 0; n < 60; n++) {
    const [first, ...rest] = some(6);
    const union = polygonClipping.union([ring(first!)], ...rest.map((r): [number, number][][] => [ring(r)]));
    const whole = union.reduce(
      (sum, [outer, ...holes]) => sum + areaOf(outer!) - holes.reduce((s, h) => s + areaOf(h), 0),
      0,
    );
    expect(unionArea([first!, ...rest])).toBeCloseTo(whole, 6);
  }
});

it('what is left and what is taken away are together the whole, and share nothing', () => {
  for (let n = 0; n < 120; n++) {
    const [whole, ...covers] = some(1 + (n % 6)) as [Rect, ...Rect[]];
    const left = subtract(whole, covers);
    const covered = covers.flatMap((c) => intersect(whole, c) ?? []);
    expect(unionArea([...left, ...covered])).toBeCloseTo(area(whole), 6);
    for (const [i, part] of left.entries()) {
      expect(contains(whole, part)).toBe(true);
      for (const other of [...left.slice(i + 1), ...covers]) expect(intersect(part, other)).toBeNull();
    }
  }
});

it('two share the same whichever is asked first, and nothing where they only touch', () => {
  for (let n = 0; n < 100; n++) {
    const [a, b] = some(2) as [Rect, Rect];
    expect(intersect(a, b)).toEqual(intersect(b, a));
    const shared = intersect(a, b);
    if (shared) expect([contains(a, shared), contains(b, shared)]).toEqual([true, true]);
  }
  const a = { x: 0, y: 0, w: 10, h: 10 };
  expect(intersect(a, { x: 10, y: 0, w: 5, h: 5 })).toBeNull();
  expect(intersect(a, { x: 9.96, y: 0, w: 5, h: 5 })).toBeNull(); // under a hair
  expect(intersect(a, { x: 9.9, y: 0, w: 5, h: 5 })).not.toBeNull();
  expect(intersect(a, a)).toEqual(a);
});

it('a hair over the edge is within', () => {
  const outer = { x: 0, y: 0, w: 10, h: 10 };
  expect(contains(outer, { x: -0.04, y: 0, w: 10.08, h: 10 })).toBe(true);
  expect(contains(outer, { x: -0.1, y: 0, w: 5, h: 5 })).toBe(false);
  expect(contains(outer, { x: 0, y: 0, w: 10, h: 10.1 })).toBe(false);
});

it('the bounds hold all of them and touch each side', () => {
  const rects = some(7);
  const round = bounds(rects);
  for (const r of rects) expect(contains(round, r)).toBe(true);
  expect([round.x, right(round)]).toEqual([Math.min(...rects.map((r) => r.x)), Math.max(...rects.map(right))]);
  expect(() => bounds([])).toThrow(RangeError);
});

it('is made smaller on every side, never less than nothing', () => {
  expect(inset({ x: 1, y: 2, w: 10, h: 20 }, 2)).toEqual({ x: 3, y: 4, w: 6, h: 16 });
  expect(inset({ x: 0, y: 0, w: 3, h: 3 }, 2)).toMatchObject({ w: 0, h: 0 });
  expect(inset({ x: 1, y: 2, w: 10, h: 20 }, -2)).toEqual({ x: -1, y: 0, w: 14, h: 24 });
});

it('turned, it has the same middle, and holds all four of its corners', () => {
  for (const [n, r] of some(60).entries()) {
    const deg = n * 13;
    const t = turned(r, deg);
    expect([centerX(t), centerY(t)]).toEqual([expect.closeTo(centerX(r), 6), expect.closeTo(centerY(r), 6)]);
    const a = (deg * Math.PI) / 180;
    for (const [sx, sy] of [[-1, -1], [1, -1], [1, 1], [-1, 1]] as const) {
      const [dx, dy] = [(sx * r.w) / 2, (sy * r.h) / 2];
      const x = centerX(r) + dx * Math.cos(a) - dy * Math.sin(a);
      const y = centerY(r) + dx * Math.sin(a) + dy * Math.cos(a);
      expect(x >= t.x - 1e-6 && x <= right(t) + 1e-6 && y >= t.y - 1e-6 && y <= bottom(t) + 1e-6).toBe(true);
    }
    expect(area(turned(r, deg + 180))).toBeCloseTo(area(t), 6);
  }
}); // prettier-ignore
