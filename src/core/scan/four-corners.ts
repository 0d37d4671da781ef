import type { Point, Quad } from './homography';

/** A hull brought down to four corners: again and again the side goes whose neighbors, made longer, add least. */
export function fourCorners(hull: readonly Point[]): Point[] | null {
  const points = [...hull];
  if (points.length < 4) return null;
  while (points.length > 4) {
    let best: { at: number; corner: Point; adds: number } | null = null;
    for (let i = 0; i < points.length; i++) {
      const n = points.length;
      const [p, q, r, s] = [points[(i + n - 1) % n], points[i], points[(i + 1) % n], points[(i + 2) % n]] as Point[];
      const corner = crossing(p as Point, q as Point, s as Point, r as Point);
      if (!corner) continue;
      const adds = Math.abs(areaOf([q as Point, corner, r as Point]));
      if (!best || adds < best.adds) best = { at: i, corner, adds };
    }
    if (!best) return null;
    const next = (best.at + 1) % points.length;
    points[best.at] = best.corner;
    points.splice(next, 1);
  }
  return points;
}

/** Where the line from p through q meets the line from s through r, beyond q and r; null when it does not. */
function crossing(p: Point, q: Point, s: Point, r: Point): Point | null {
  const [ux, uy, vx, vy] = [q.x - p.x, q.y - p.y, r.x - s.x, r.y - s.y];
  const cross = ux * vy - uy * vx;
  if (Math.abs(cross) < 1e-9) return null;
  const t = ((s.x - p.x) * vy - (s.y - p.y) * vx) / cross;
  const u = ((s.x - p.x) * uy - (s.y - p.y) * ux) / cross;
  return t >= 1 && u >= 1 ? { x: p.x + t * ux, y: p.y + t * uy } : null;
}

export function areaOf(points: readonly Point[]): number {
  let twice = 0;
  for (const [i, p] of points.entries()) {
    const q = points[(i + 1) % points.length] as Point;
    twice += p.x * q.y - q.x * p.y;
  }
  return Math.abs(twice / 2);
}

/** The corners clockwise, the one nearest to the picture's top left first. */
export function inOrder(corners: Quad): Quad {
  const middle = { x: corners.reduce((s, p) => s + p.x, 0) / 4, y: corners.reduce((s, p) => s + p.y, 0) / 4 };
  const round = [...corners].sort(
    (p, q) => Math.atan2(p.y - middle.y, p.x - middle.x) - Math.atan2(q.y - middle.y, q.x - middle.x),
  );
  const first = round.reduce(
    (best, p, i) => (p.x + p.y < (round[best] as Point).x + (round[best] as Point).y ? i : best),
    0,
  );
  return [0, 1, 2, 3].map((i) => round[(first + i) % 4]) as unknown as Quad;
}
