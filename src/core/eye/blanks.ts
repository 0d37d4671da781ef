import type { Rect } from '../measure/rect';
import { bottom } from '../measure/rect';
import type { Stretch } from '../spread/free-room';

/** A slice of a column looks bare where less than this share of its width is covered. From memory. */
const BARE = 0.25;

/** The bare runs of a column, top to bottom, mm down the page: where hardly anything of its width is covered. */
export function blanksOf(column: Rect, marks: readonly Rect[]): Stretch[] {
  const edges = [...new Set([column.y, bottom(column), ...marks.flatMap((m) => [m.y, bottom(m)])])]
    .filter((y) => y >= column.y && y <= bottom(column))
    .sort((a, b) => a - b);
  const runs: { from: number; to: number }[] = [];
  edges.slice(1).forEach((to, i) => {
    const from = edges[i] as number;
    if (coveredWidth(column, marks, (from + to) / 2) >= BARE * column.w) return;
    const last = runs.at(-1);
    if (last && last.to === from) last.to = to;
    else runs.push({ from, to });
  });
  return runs;
}

/** mm of a column's width that are covered at a height. */
function coveredWidth(column: Rect, marks: readonly Rect[], y: number): number {
  const parts = marks
    .filter((m) => m.y < y && bottom(m) > y)
    .map((m) => [Math.max(m.x, column.x), Math.min(m.x + m.w, column.x + column.w)] as const)
    .sort((a, b) => a[0] - b[0]);
  let [sum, end] = [0, -Infinity];
  for (const [from, to] of parts) {
    sum += Math.max(0, to - Math.max(from, end));
    end = Math.max(end, to);
  }
  return sum;
}
