import type { Edges } from './edges';
import type { Look } from './same-design';
import { CELLS } from './same-design';
import type { Seen } from './seen';
import { relit } from './seen';
import type { Share } from './share';
import { isCut } from './share';

/** The sticker in cells: each the mean of a window twice as wide, so that it does not matter where they begin. */
export function lookOf(share: Share, edges: Edges, seen: Seen): Look {
  const { scale } = seen;
  const [w, h] = [edges.right - edges.left, edges.bottom - edges.top];
  const [columns, rows] = [w, h].map((px) => Math.max(1, Math.round((px / scale) * CELLS))) as [number, number];
  const sums = new Float32Array((columns + 1) * (rows + 1) * 3);
  const counts = new Float32Array((columns + 1) * (rows + 1));
  const left = Math.ceil(edges.left);
  const columnOf = Uint16Array.from({ length: Math.max(0, Math.ceil(edges.right) - left) }, (_, i) =>
    Math.min(columns - 1, Math.floor(((left + i - edges.left) / w) * columns)),
  );
  for (let y = Math.ceil(edges.top); y < edges.bottom; y++) {
    const v = Math.min(rows - 1, Math.floor(((y - edges.top) / h) * rows));
    for (let i = 0; i < columnOf.length; i++) {
      const k = v * (columns + 1) + (columnOf[i] as number);
      const [l, a, b] = relit(seen, left + i, y);
      counts[k] = (counts[k] as number) + 1;
      sums[3 * k] = (sums[3 * k] as number) + l;
      sums[3 * k + 1] = (sums[3 * k + 1] as number) + a;
      sums[3 * k + 2] = (sums[3 * k + 2] as number) + b;
    }
  }
  const cells = new Float32Array(columns * rows * 3);
  for (let v = 0; v < rows; v++)
    for (let u = 0; u < columns; u++) {
      const k = v * (columns + 1) + u;
      const n = fourOf(counts, k, columns + 1, 1);
      for (let c = 0; c < 3; c++)
        cells[3 * (v * columns + u) + c] = fourOf(sums, 3 * k + c, 3 * (columns + 1), 3) / Math.max(1, n);
    }
  return { w: w / scale, h: h / scale, cut: isCut(share), columns, rows, cells };
}

/** A value and those to its right, below it and between these. */
const fourOf = (of: Float32Array, i: number, row: number, column: number): number =>
  (of[i] as number) + (of[i + column] as number) + (of[i + row] as number) + (of[i + row + column] as number);
