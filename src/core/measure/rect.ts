import { TOLERANCE } from './length';

/** An upright rectangle; x, y is its top-left corner. All in mm. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export const right = (r: Rect): number => r.x + r.w;
export const bottom = (r: Rect): number => r.y + r.h;
export const area = (r: Rect): number => r.w * r.h;
export const centerX = (r: Rect): number => r.x + r.w / 2;
export const centerY = (r: Rect): number => r.y + r.h / 2;

/** The part two rectangles share, or null when they only touch or are apart. */
export function intersect(a: Rect, b: Rect): Rect | null {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  const w = Math.min(right(a), right(b)) - x;
  const h = Math.min(bottom(a), bottom(b)) - y;
  return w > TOLERANCE && h > TOLERANCE ? { x, y, w, h } : null;
}

/** True where one that lies over another hides more than a share of it. */
export function hidesMoreThan(share: number, over: Rect, under: Rect): boolean {
  const shared = intersect(over, under);
  return shared !== null && area(shared) > share * area(under);
}

/** True when `inner` lies in `outer`, a hair's breadth forgiven. */
export const contains = (outer: Rect, inner: Rect): boolean =>
  inner.x >= outer.x - TOLERANCE &&
  inner.y >= outer.y - TOLERANCE &&
  right(inner) <= right(outer) + TOLERANCE &&
  bottom(inner) <= bottom(outer) + TOLERANCE;

/** The smallest rectangle round all of them. Throws when there are none. */
export function bounds(rects: readonly Rect[]): Rect {
  if (rects.length === 0) throw new RangeError('bounds of no rectangles');
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  return { x, y, w: Math.max(...rects.map(right)) - x, h: Math.max(...rects.map(bottom)) - y };
}

/** A rectangle smaller by `by` mm on every side (never less than nothing). */
export const inset = (r: Rect, by: number): Rect => ({
  x: r.x + by,
  y: r.y + by,
  w: Math.max(0, r.w - 2 * by),
  h: Math.max(0, r.h - 2 * by),
});

/**
 * What is left of `r` when all `covers` are taken away, as disjoint rectangles.
 * Pieces thinner than a hair are dropped.
 */
export function subtract(r: Rect, covers: readonly Rect[]): Rect[] {
  let left: Rect[] = [r];
  for (const cover of covers) left = left.flatMap((part) => without(part, cover));
  return left;
}

function without(r: Rect, cover: Rect): Rect[] {
  const x0 = Math.max(r.x, cover.x);
  const x1 = Math.min(right(r), right(cover));
  const y0 = Math.max(r.y, cover.y);
  const y1 = Math.min(bottom(r), bottom(cover));
  if (x1 - x0 <= 0 || y1 - y0 <= 0) return [r];
  return [
    { x: r.x, y: r.y, w: r.w, h: y0 - r.y },
    { x: r.x, y: y1, w: r.w, h: bottom(r) - y1 },
    { x: r.x, y: y0, w: x0 - r.x, h: y1 - y0 },
    { x: x1, y: y0, w: right(r) - x1, h: y1 - y0 },
  ].filter((part) => part.w > 1e-6 && part.h > 1e-6 && Math.max(part.w, part.h) > TOLERANCE);
}

/** Area of the union, in square mm: what is really covered, overlaps counted once. */
export function unionArea(rects: readonly Rect[]): number {
  return rects.reduce((sum, r, i) => sum + subtract(r, rects.slice(0, i)).reduce((s, part) => s + area(part), 0), 0);
}

/** The upright rectangle round `r` after a turn of `deg` degrees about its center. */
export function turned(r: Rect, deg: number): Rect {
  if (deg % 180 === 0) return r;
  const a = (deg * Math.PI) / 180;
  const w = Math.abs(r.w * Math.cos(a)) + Math.abs(r.h * Math.sin(a));
  const h = Math.abs(r.w * Math.sin(a)) + Math.abs(r.h * Math.cos(a));
  return { x: centerX(r) - w / 2, y: centerY(r) - h / 2, w, h };
}
