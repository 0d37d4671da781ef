import type { Point, Quad } from './homography';
import { hullOf } from './hull';
import type { LabPlanes } from './lab-planes';
import { labPlanes } from './lab-planes';
import type { Raster } from './raster';
import { shrunk } from './raster';
import type { Part } from './reach';
import { partsOf } from './reach';

/** Where the sheet lies in a picture. */
export interface FoundSheet {
  /** its corners, px of the picture */
  readonly corners: Quad;
  /** false: no sheet could be told from what is behind it, so that the picture is taken for the sheet */
  readonly sure: boolean;
}

/** The picture is looked at so small, px of its longer side. */
const LOOKED_AT = 640;
/** Less of the picture is no sheet; more of it is the whole picture. */
const LEAST = 0.12;
const MOST = 0.985;

/**
 * Finds the corners of a sheet that lies on a table or on a scanner's glass: what is like the picture's rim, and hangs
 * together with it, is behind the sheet; the rest is brought down to the four corners of its hull, and each side is
 * laid anew through the steps of light that are found along it.
 */
export function findSheet(picture: Raster): FoundSheet {
  const by = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / LOOKED_AT));
  const small = labPlanes(shrunk(picture, by));
  const whole: FoundSheet = {
    corners: [
      { x: 0, y: 0 },
      { x: picture.width, y: 0 },
      { x: picture.width, y: picture.height },
      { x: 0, y: picture.height },
    ],
    sure: false,
  };
  const sheet = largest(notBehind(small), small.width, small.height);
  const share = sheet.count / (small.width * small.height);
  if (share < LEAST || share > MOST) return whole;
  const rough = fourCorners(hullOf(sheet.rim));
  if (!rough || areaOf(rough) < sheet.count * 0.85 || areaOf(rough) > sheet.count * 1.25) return whole;
  const corners = inOrder(rough.map(({ x, y }) => ({ x: (x + 0.5) * by, y: (y + 0.5) * by })) as unknown as Quad);
  return { corners: refined(picture, corners, by * 3), sure: true };
}

/** The rim's color, and how far it strays from that. */
function rimOf({ width, height, l, a, b }: LabPlanes) {
  const rim: number[] = [];
  for (let x = 0; x < width; x++) rim.push(x, width + x, (height - 1) * width + x, (height - 2) * width + x);
  for (let y = 0; y < height; y++) rim.push(y * width, y * width + 1, y * width + width - 1, y * width + width - 2);
  const middle = (plane: Float32Array) =>
    rim.map((i) => plane[i] as number).sort((p, q) => p - q)[rim.length >> 1] as number;
  const [ml, ma, mb] = [middle(l), middle(a), middle(b)];
  const far = rim
    .map((i) => Math.hypot((l[i] as number) - ml, (a[i] as number) - ma, (b[i] as number) - mb))
    .sort((p, q) => p - q);
  return { rim, ml, ma, mb, spread: far[Math.floor(far.length * 0.8)] as number };
}

/** 1 where a pixel does not belong to what is behind the sheet. */
function notBehind(planes: LabPlanes): Uint8Array {
  const { width, height, l, a, b } = planes;
  const { rim, ml, ma, mb, spread } = rimOf(planes);
  const limit = Math.min(30, Math.max(9, spread * 2.5));
  const on = new Uint8Array(width * height).fill(1);
  const like = (i: number): boolean => {
    const dl = ((l[i] as number) - ml) * 0.8; // light changes over a table more than its color does
    return Math.hypot(dl, (a[i] as number) - ma, (b[i] as number) - mb) < limit;
  };
  const queue = new Int32Array(width * height);
  let end = 0;
  for (const i of rim)
    if (on[i] && like(i)) {
      on[i] = 0;
      queue[end++] = i;
    }
  for (let at = 0; at < end; at++) {
    const i = queue[at] as number;
    const x = i % width;
    for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
      if (j >= 0 && j < on.length && on[j] && like(j)) {
        on[j] = 0;
        queue[end++] = j;
      }
  }
  return on;
}

function largest(on: Uint8Array, width: number, height: number): { count: number; rim: Point[] } {
  const { labels, parts } = partsOf(on, width, height);
  const best = parts.reduce<Part | null>((most, part) => (part.count > (most?.count ?? 0) ? part : most), null);
  if (!best) return { count: 0, rim: [] };
  const { label, count } = best;
  const rim: Point[] = [];
  for (let y = 0; y < height; y++) {
    let [first, last] = [-1, -1];
    for (let x = 0; x < width; x++)
      if (labels[y * width + x] === label) {
        if (first < 0) first = x;
        last = x;
      }
    if (first >= 0) rim.push({ x: first, y }, { x: last, y });
  }
  return { count, rim };
}

/** A hull brought down to four corners: again and again the side goes whose neighbors, made longer, add least. */
function fourCorners(hull: readonly Point[]): Point[] | null {
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

function areaOf(points: readonly Point[]): number {
  let twice = 0;
  for (const [i, p] of points.entries()) {
    const q = points[(i + 1) % points.length] as Point;
    twice += p.x * q.y - q.x * p.y;
  }
  return Math.abs(twice / 2);
}

/** The corners clockwise, the one nearest to the picture's top left first. */
function inOrder(corners: Quad): Quad {
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

const PROBES = 60;

/** Each side laid through the strongest steps of light near it, by least squares; its worst steps are left out. */
function refined(picture: Raster, corners: Quad, reach: number): Quad {
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
