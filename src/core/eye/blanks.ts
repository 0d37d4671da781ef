import type { Rect } from '../measure/rect';
import { bottom } from '../measure/rect';
import type { Stretch } from '../spread/free-room';

/** A slice of a column looks bare where less than this share of its width is covered. From memory. */
const BARE = 0.25;

/** The bare runs of a column, top to bottom, mm down the page: where hardly anything of its width is covered. */
export function blanksOf(column: Rect, marks: readonly Rect[]): Stretch[] {
  const foot = bottom(column);
  const edges = [column.y, foot];
  for (const m of marks) {
    if (m.y > column.y && m.y < foot) edges.push(m.y);
    if (bottom(m) > column.y && bottom(m) < foot) edges.push(bottom(m));
  }
  edges.sort((a, b) => a - b);
  const runs: { from: number; to: number }[] = [];
  for (let i = 1; i < edges.length; i++) {
    const [from, to] = [edges[i - 1] as number, edges[i] as number];
    if (to <= from || !isBare(column, marks, (from + to) / 2)) continue;
    const last = runs.at(-1);
    if (last && last.to === from) last.to = to;
    else runs.push({ from, to });
  }
  return runs;
}

/** True where less than that share of a column's width is covered at a height. */
function isBare(column: Rect, marks: readonly Rect[], y: number): boolean {
  const enough = BARE * column.w;
  let sum = 0;
  for (const m of marks) {
    if (m.y >= y || m.y + m.h <= y) continue;
    const w = Math.min(m.x + m.w, column.x + column.w) - Math.max(m.x, column.x);
    if (w >= enough) return false;
    if (w > 0) sum += w;
  }
  // what lies over one another is counted twice till here
  return sum < enough || coveredWidth(column, marks, y) < enough;
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
