import { solved } from './equations';

/** A point in a picture (px) or on a sheet (mm), y downwards. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Four corners in the order top left, top right, bottom right, bottom left. */
export type Quad = readonly [Point, Point, Point, Point];

/** A projective map of the plane: nine numbers by rows, the last one 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/**
 * The projective map that takes four points to four others: eight linear equations, solved by elimination.
 * Source: Hartley and Zisserman, Multiple View Geometry (2nd ed. 2003), 4.1, inhomogeneous solution; from memory.
 * @throws RangeError when three of the points lie on one line
 */
export function homography(from: Quad, to: Quad): Homography {
  const rows: number[][] = [];
  for (let i = 0; i < 4; i++) {
    const { x, y } = from[i] as Point;
    const { x: u, y: v } = to[i] as Point;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  }
  const [a, b, c, d, e, f, g, h] = solved(rows) as [number, number, number, number, number, number, number, number];
  return [a, b, c, d, e, f, g, h, 1];
}

/** Where a point goes. */
export function mapped([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Point): Point {
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}
