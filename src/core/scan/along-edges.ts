import type { Point, Quad } from './homography';
import type { Raster } from './raster';

const PROBES = 60;

/** Each side laid through the strongest steps of light near it, by least squares; its worst steps are left out. */
export function alongEdges(picture: Raster, corners: Quad, reach: number): Quad {
  const light = (x: number, y: number): number => {
    const px = Math.min(picture.width - 1, Math.max(0, Math.floor(x)));
    const py = Math.min(picture.height - 1, Math.max(0, Math.floor(y)));
    const i = (py * picture.width + px) * 4;
    return (picture.data[i] as number) + (picture.data[i + 1] as number) * 2 + (picture.data[i + 2] as number);
  };
  const sides = corners.map((from, i) => {
    const to = corners[(i + 1) % 4] as Point;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const [nx, ny] = [-(to.y - from.y) / length, (to.x - from.x) / length];
    const steps: { along: number; off: number }[] = [];
    for (let k = 3; k < PROBES - 3; k++) {
      const share = k / PROBES;
      const [cx, cy] = [from.x + share * (to.x - from.x), from.y + share * (to.y - from.y)];
      const found: { off: number; step: number }[] = [];
      for (let off = -reach; off <= reach; off++) {
        let step = 0;
        for (let d = 1; d <= 3; d++)
          step += light(cx + nx * (off + d), cy + ny * (off + d)) - light(cx + nx * (off - d), cy + ny * (off - d));
        found.push({ off, step: Math.abs(step) });
      }
      const most = Math.max(...found.map((s) => s.step));
      // a sharp edge is seen as well from a pixel before and after it: it lies in their middle
      const top = found.filter((s) => s.step >= 0.97 * most);
      if (most > 60) steps.push({ along: share * length, off: top.reduce((sum, s) => sum + s.off, 0) / top.length });
    }
    const { tilt, off } = fitted(steps);
    const at = (along: number): Point => ({
      x: from.x + ((to.x - from.x) * along) / length + nx * (off + tilt * along),
      y: from.y + ((to.y - from.y) * along) / length + ny * (off + tilt * along),
    });
    return [at(0), at(length)] as const;
  });
  return corners.map((corner, i) => {
    const [p, q] = sides[(i + 3) % 4] as readonly [Point, Point];
    const [r, s] = sides[i] as readonly [Point, Point];
    const cross = (q.x - p.x) * (s.y - r.y) - (q.y - p.y) * (s.x - r.x);
    if (Math.abs(cross) < 1e-6) return corner;
    const t = ((r.x - p.x) * (s.y - r.y) - (r.y - p.y) * (s.x - r.x)) / cross;
    return { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) };
  }) as unknown as Quad;
}

/** A line through offsets along a side, the farthest left out three times. */
function fitted(steps: readonly { along: number; off: number }[]): { tilt: number; off: number } {
  let kept = [...steps];
  let line = { tilt: 0, off: 0 };
  for (let round = 0; round < 4 && kept.length >= 8; round++) {
    const n = kept.length;
    const mx = kept.reduce((s, p) => s + p.along, 0) / n;
    const my = kept.reduce((s, p) => s + p.off, 0) / n;
    const sxx = kept.reduce((s, p) => s + (p.along - mx) ** 2, 0);
    const tilt = sxx ? kept.reduce((s, p) => s + (p.along - mx) * (p.off - my), 0) / sxx : 0;
    line = { tilt, off: my - tilt * mx };
    const wrong = (p: { along: number; off: number }) => Math.abs(p.off - line.off - line.tilt * p.along);
    kept = kept.sort((p, q) => wrong(p) - wrong(q)).slice(0, Math.ceil(n * 0.85));
  }
  return line;
}
