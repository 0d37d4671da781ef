import type { Point, Quad } from './homography';
import { homography, mapped } from './homography';

/** A length in a picture that is known, in the plane of the sheet: px from and to, mm. */
export interface KnownLength {
  readonly from: Point;
  readonly to: Point;
  readonly mm: number;
}

const UNIT: Quad = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
/** Below this share the lengths all run one way, and tell of the other side of the sheet nothing. */
const LEAST_TOLD = 0.02;

/**
 * How large a sheet is, mm, by lengths that are known beside it. Seen through its own corners it is a square of side 1,
 * and a length that runs dx, dy there is sqrt(dx² w² + dy² h²): linear in w² and h², so least squares give both, each
 * equation weighed by its own length. Lengths that run one way tell one side; the other is as the picture shows it.
 * @returns null when nothing can be told
 */
export function sizeByLengths(
  corners: Quad,
  lengths: readonly KnownLength[],
): { readonly width: number; readonly height: number } | null {
  const flat = homography(corners, UNIT);
  const told = lengths
    .map(({ from, to, mm }) => {
      const [p, q] = [mapped(flat, from), mapped(flat, to)];
      return { x: (q.x - p.x) ** 2, y: (q.y - p.y) ** 2, mm };
    })
    .filter(({ x, y, mm }) => mm > 0 && x + y > 1e-9);
  const sum = (of: (t: (typeof told)[number]) => number): number => told.reduce((s, t) => s + of(t) / t.mm ** 2, 0);
  const [xx, xy, yy] = [sum((t) => t.x * t.x), sum((t) => t.x * t.y), sum((t) => t.y * t.y)];
  const [xl, yl] = [sum((t) => t.x * t.mm ** 2), sum((t) => t.y * t.mm ** 2)];
  const det = xx * yy - xy * xy;
  const [w2, h2] = [(xl * yy - yl * xy) / det, (yl * xx - xl * xy) / det];
  if (det > LEAST_TOLD * xx * yy && w2 > 0 && h2 > 0) return { width: Math.sqrt(w2), height: Math.sqrt(h2) };
  const ratio = asSeen(corners);
  const [qq, ql] = [sum((t) => (t.x + ratio ** 2 * t.y) ** 2), sum((t) => (t.x + ratio ** 2 * t.y) * t.mm ** 2)];
  if (!(qq > 0)) return null;
  const width = Math.sqrt(ql / qq);
  return { width, height: width * ratio };
}

/** Height over width of the sheet, by its sides in the picture. */
function asSeen([a, b, c, d]: Quad): number {
  const long = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
  return (long(a, d) + long(b, c)) / (long(a, b) + long(d, c));
}
