import { solved } from './equations';
import { glareAt, glareOver } from './glare';
import type { LabPlanes } from './lab-planes';

/** The bare backing of a sheet: its color at every place, as the light falls on it. */
export interface Backing {
  /** CIELAB at a pixel, or near it: light changes slowly */
  readonly at: Surface;
  /** how far its pixels stray from that, CIELAB (median) */
  readonly grain: number;
  /** its color in the best light on the sheet */
  readonly best: readonly [l: number, a: number, b: number];
  /** by how much a spot of light makes it lighter at a pixel, CIELAB lightness */
  readonly glareAt: (x: number, y: number) => number;
}

/** A small square of the sheet: its middle, its middle color, and how even it is. */
interface Cell {
  readonly x: number;
  readonly y: number;
  readonly lab: readonly [number, number, number];
  readonly uneven: number;
}

const ROUNDS = 4;
/** A cell that differs by more is no backing, CIELAB. */
const NEAR = 7;
const EVEN = 4;
/** What is learned from later must be so near to what the margin taught: white stickers are nearly backing. */
const LIKE = 1.8;

/**
 * Learns the backing from the sheet's margin and, round by round, from all that looks like it: a surface of second
 * degree for each coordinate, by least squares, so that a shadow over the sheet is no part of what lies on it.
 * @param scale pixels a millimeter
 */
export function backingOf(planes: LabPlanes, scale: number): Backing {
  const size = Math.max(4, Math.round(scale));
  const cells = cellsOf(planes, size);
  const margin = scale * 3.2;
  const edge = scale * 0.7;
  const { width, height } = planes;
  const onRim = ({ x, y }: Cell): boolean =>
    Math.min(x, y, width - x, height - y) < margin && Math.min(x, y, width - x, height - y) > edge;
  const rim = cells.filter((c) => onRim(c) && c.uneven < EVEN);
  let chosen = nearest(rim.length >= 12 ? rim : cells);
  let surface = fitted(chosen, planes);
  for (let round = 0; round < ROUNDS; round++) {
    const off = (c: Cell): number => {
      const seen = surface(c.x, c.y);
      return Math.hypot(c.lab[0] - seen[0], c.lab[1] - seen[1], c.lab[2] - seen[2]);
    };
    const like = cells.filter((c) => c.uneven < EVEN && off(c) < LIKE);
    if (like.length < 12) break;
    chosen = like;
    surface = fitted(chosen, planes);
  }
  const grains = chosen.map((c) => c.uneven).sort((p, q) => p - q);
  const lights = chosen.map((c) => surface(c.x, c.y)).sort((p, q) => q[0] - p[0]);
  const spots = glareOver(cells, Math.floor(width / size), (i) => surface(...middleOf(cells[i] as Cell)), LIKE);
  const glare = spots && ((x: number, y: number) => glareAt(spots, x / size, y / size));
  return {
    at: inSquares(glare ? lit(surface, glare) : surface, planes),
    glareAt: (x, y) => glare?.(x, y)[0] ?? 0,
    grain: grains[grains.length >> 1] ?? 1,
    best: lights[Math.floor(lights.length * 0.02)] ?? [95, 0, 2],
  };
}

/** Px of a square over which the backing has one color. */
const SQUARE = 8;

/** A surface worked out once for each small square: it is asked for every pixel. */
function inSquares(surface: Surface, { width, height }: LabPlanes): Surface {
  const columns = Math.floor(width / SQUARE) + 1;
  const rows = Math.floor(height / SQUARE) + 1;
  const squares = Array.from({ length: columns * rows }, (_, i) =>
    surface(((i % columns) + 0.5) * SQUARE, (Math.floor(i / columns) + 0.5) * SQUARE),
  );
  return (x, y) => squares[((y / SQUARE) | 0) * columns + ((x / SQUARE) | 0)] as ReturnType<Surface>;
}

const middleOf = ({ x, y }: Cell): [number, number] => [x, y];

const lit =
  (surface: Surface, glare: Surface): Surface =>
  (x, y) => {
    const [l, a, b] = surface(x, y);
    const [dl, da, db] = glare(x, y);
    return [Math.min(100, l + dl), a + da, b + db];
  };

function cellsOf({ width, height, l, a, b }: LabPlanes, size: number): Cell[] {
  const cells: Cell[] = [];
  for (let y = 0; y + size <= height; y += size)
    for (let x = 0; x + size <= width; x += size) {
      let [n, sl, sa, sb, sll] = [0, 0, 0, 0, 0];
      for (let v = 0; v < size; v += 2)
        for (let u = 0; u < size; u += 2) {
          const i = (y + v) * width + x + u;
          const light = l[i] as number;
          n++;
          sl += light;
          sll += light * light;
          sa += a[i] as number;
          sb += b[i] as number;
        }
      const mean = sl / n;
      cells.push({
        x: x + size / 2,
        y: y + size / 2,
        lab: [mean, sa / n, sb / n],
        uneven: Math.sqrt(Math.max(0, sll / n - mean * mean)),
      });
    }
  return cells;
}

/** The cells that most others are like: what lies on the margin here and there is left out. */
function nearest(cells: readonly Cell[]): Cell[] {
  let best: { cells: Cell[] } = { cells: [] };
  const step = Math.max(1, Math.floor(cells.length / 60));
  for (let i = 0; i < cells.length; i += step) {
    const { lab } = cells[i] as Cell;
    const like = cells.filter(
      (c) => Math.hypot((c.lab[0] - lab[0]) * 0.5, c.lab[1] - lab[1], c.lab[2] - lab[2]) < NEAR * 0.7,
    );
    if (like.length > best.cells.length) best = { cells: like };
  }
  return best.cells;
}

type Surface = (x: number, y: number) => readonly [l: number, a: number, b: number];

function fitted(cells: readonly Cell[], { width, height }: LabPlanes): Surface {
  const wide = spread(cells, width, height);
  const terms = (x: number, y: number): number[] => {
    const u = (2 * x) / width - 1;
    const v = (2 * y) / height - 1;
    return wide ? [1, u, v, u * u, u * v, v * v] : [1];
  };
  const [l, a, b] = [0, 1, 2].map((k) =>
    valueOf(leastSquares(cells.map((c) => [terms(c.x, c.y), c.lab[k] as number] as const))),
  ) as [Term, Term, Term];
  // asked once a pixel: no lists are made on the way
  return (x, y) => {
    const u = (2 * x) / width - 1;
    const v = (2 * y) / height - 1;
    return [l(u, v), a(u, v), b(u, v)];
  };
}

type Term = (u: number, v: number) => number;

const valueOf = ([one = 0, u1 = 0, v1 = 0, uu = 0, uv = 0, vv = 0]: readonly number[]): Term => {
  return (u, v) => one + u1 * u + v1 * v + uu * (u * u) + uv * (u * v) + vv * (v * v);
};

/** A surface can only be laid through places all over the sheet. */
function spread(cells: readonly Cell[], width: number, height: number): boolean {
  const quarters = new Set(cells.map((c) => (c.x > width / 2 ? 1 : 0) + (c.y > height / 2 ? 2 : 0)));
  return cells.length >= 24 && quarters.size === 4;
}

function leastSquares(points: readonly (readonly [readonly number[], number])[]): number[] {
  const n = points[0]?.[0].length ?? 0;
  const rows = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0));
  for (const [terms, value] of points)
    for (let i = 0; i < n; i++) {
      const row = rows[i] as number[];
      for (let j = 0; j < n; j++) row[j] = (row[j] as number) + (terms[i] as number) * (terms[j] as number);
      row[n] = (row[n] as number) + (terms[i] as number) * value;
    }
  for (let i = 0; i < n; i++) (rows[i] as number[])[i] = ((rows[i] as number[])[i] as number) + 1e-6;
  return solved(rows);
}
