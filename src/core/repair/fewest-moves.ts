/** Something in a column with its place; `null` for what is let in and has none yet. */
export interface Standing {
  readonly y: number | null;
  readonly h: number;
  readonly fixed: boolean;
}

export interface Column {
  readonly from: number;
  readonly to: number;
  /** mm to keep between two neighbors, by the number of the upper one; -1 is the column's top */
  readonly gap: (upper: number) => number;
}

export interface Moves {
  /** the new top of each, in order */
  readonly tops: readonly number[];
  /** how many that had a place were moved */
  readonly moved: number;
}

/**
 * Stands a column's pieces in the given order with the fewest moves of those that have a place already. Exact: the
 * shortest path over those that stay, each step asking whether what is moved between two of them fits there.
 * @returns null when it cannot be done
 */
export function fewestMoves(standing: readonly Standing[], column: Column): Moves | null {
  const n = standing.length;
  // best[i + 1]: fewest moves when the i-th stays (i = -1: the top of the column, i = n: its foot), and which stayed
  // before it
  const best: ({ moved: number; before: number } | null)[] = new Array<null>(n + 2).fill(null);
  best[0] = { moved: 0, before: -2 };
  for (let i = 0; i <= n; i++) {
    const self = standing[i];
    if (self && self.y === null) continue;
    for (let j = -1; j < i; j++) {
      const from = best[j + 1];
      if (!from || (j >= 0 && standing[j]?.y === null)) continue;
      const between = standing.slice(j + 1, i);
      if (between.some((s) => s.fixed) || !fits(standing, column, j, i)) continue;
      const moved = from.moved + between.filter((s) => s.y !== null).length;
      const known = best[i + 1];
      if (!known || moved < known.moved) best[i + 1] = { moved, before: j };
    }
  }
  const end = best[n + 1];
  if (!end) return null;
  const tops = standing.map((s) => s.y ?? 0);
  for (let i = n; i >= 0; i = (best[i + 1] as { before: number }).before)
    spread(standing, column, (best[i + 1] as { before: number }).before, i, tops);
  return { tops, moved: end.moved };
}

const footOf = (standing: readonly Standing[], column: Column, j: number): number =>
  j < 0 ? column.from : ((standing[j] as Standing).y as number) + (standing[j] as Standing).h;
const topOf = (standing: readonly Standing[], column: Column, i: number): number =>
  i >= standing.length ? column.to : ((standing[i] as Standing).y as number);

/**
 * mm over when all that is moved stands between the j-th and the i-th, gaps kept; under nothing when it does not fit.
 */
function slack(standing: readonly Standing[], column: Column, j: number, i: number): number {
  const room = topOf(standing, column, i) - footOf(standing, column, j);
  const between = standing.slice(j + 1, i);
  if (!between.length) return j < 0 || i >= standing.length ? room : room + 1e-6;
  const gaps = between.reduce((mm, _, k) => mm + column.gap(j + k), 0) + (i < standing.length ? column.gap(i - 1) : 0);
  return room - gaps - between.reduce((mm, s) => mm + s.h, 0);
}

const fits = (standing: readonly Standing[], column: Column, j: number, i: number): boolean =>
  slack(standing, column, j, i) >= -1e-6;

/**
 * Stands what is moved between two that stay with equal gaps; what is over widens them by half at most, the rest
 * stays one open place below.
 */
function spread(standing: readonly Standing[], column: Column, j: number, i: number, tops: number[]): void {
  const between = standing.slice(j + 1, i);
  if (!between.length) return;
  const over = Math.max(0, slack(standing, column, j, i));
  const each = Math.min(over / (between.length + 1), 1);
  let y = footOf(standing, column, j);
  between.forEach((s, k) => {
    y += column.gap(j + k) + each;
    tops[j + 1 + k] = y;
    y += s.h;
  });
}
