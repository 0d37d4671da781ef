import type { Point } from './homography';

/** The convex hull of points, without those on its sides. Source: Andrew's monotone chain (1979), from memory. */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((p, q) => p.x - q.x || p.y - q.y);
  if (sorted.length < 3) return sorted;
  const half = (from: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of from) {
      while (chain.length >= 2 && turn(chain[chain.length - 2] as Point, chain[chain.length - 1] as Point, p) <= 0)
        chain.pop();
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

const turn = (p: Point, q: Point, r: Point): number => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
