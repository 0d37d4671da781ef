import type { Edges } from './edges';
import type { LabPlanes } from './lab-planes';

/** How far the print of a sheet reaches beyond the knife's line, on each side of its stickers, px. */
export type Bleed = Readonly<Record<keyof Edges, number>>;

/** Print reaches no farther, and hardly ever on one side only, mm. From memory. */
const FARTHEST = 2.2;
const LEAST = 0.8;
const MOST = 3.2;
/** Across and down it is laid off, not stretched: both ways it is as wide, mm. */
const ALIKE = 0.5;
/** A knife's line is so thin, px to each side of its middle; it is looked for over stretches, px. */
const THIN = 2;
const STRETCH = 20;
/** A line stands out from its surroundings by so much in the mean, lightness; on so many stickers' sides. */
const STANDS_OUT = 0.5;
const OFTEN = 0.5;
/** On one side the line may stray so far, px. */
const STRAY = 2;
/** Sides are told by no fewer stickers. */
const FEWEST = 3;

const SIDES = ['left', 'top', 'right', 'bottom'] as const;

/**
 * Looks for a thin line that runs inside of the print's edge all around, as far in on each sticker of the sheet: the
 * knife's. Print that was laid beyond it stays on the sheet. What one sticker alone shows is a printed frame.
 * @param printed edges of the print of stickers, px
 * @param scale pixels a millimeter
 * @returns null: the print ends where the knife went
 */
export function bleedOf(printed: readonly Edges[], planes: LabPlanes, scale: number): Bleed | null {
  if (printed.length < FEWEST) return null;
  const reach = Math.round(FARTHEST * scale);
  const sides = SIDES.map((side) => {
    const all = printed.map((edges) => lines(edges, side, planes, reach));
    return { all, sum: sumOf(all, reach) };
  });
  const [left, top, right, bottom] = sides as unknown as readonly [Looked, Looked, Looked, Looked];
  const [least, most] = [Math.round(LEAST * scale), Math.round(MOST * scale)];
  const across = bestPairs(left.sum, right.sum, most);
  const down = bestPairs(top.sum, bottom.sum, most);
  let best: { places: readonly number[]; sum: number } | null = null;
  for (let wide = least; wide <= most; wide++)
    for (let high = least; high <= most; high++) {
      const [p, q] = [across[wide], down[high]];
      if (!p || !q || Math.abs(wide - high) > ALIKE * scale) continue;
      if (!best || p.sum + q.sum > best.sum)
        best = { places: [p.first, q.first, wide - p.first, high - q.first], sum: p.sum + q.sum };
    }
  if (!best) return null;
  const { places } = best;
  const often = sides.map(({ all }, i) => {
    const at = places[i] as number;
    return (
      all.filter((z) => z.slice(Math.max(0, at - STRAY), at + STRAY + 1).some((n) => n > STANDS_OUT)).length /
      all.length
    );
  });
  const mean = often.reduce((n, o) => n + o, 0) / SIDES.length;
  if (mean < OFTEN || often.some((o) => o < OFTEN / 2)) return null;
  const [l, t, r, b] = places as [number, number, number, number];
  return { left: l, top: t, right: r, bottom: b };
}

interface Looked {
  readonly all: readonly (readonly number[])[];
  readonly sum: readonly number[];
}

/** What speaks for each distance over all stickers: a single clear line no more than a few faint ones. */
const sumOf = (all: readonly (readonly number[])[], reach: number): number[] =>
  Array.from({ length: reach + 1 }, (_, d) => all.reduce((n, z) => n + Math.min(2, z[d] as number), 0));

/** For each sum of two distances, on opposite sides, the first of them for which most speaks. */
function bestPairs(
  one: readonly number[],
  other: readonly number[],
  most: number,
): ({ first: number; sum: number } | undefined)[] {
  const best: ({ first: number; sum: number } | undefined)[] = Array.from({ length: most + 1 });
  one.forEach((p, first) =>
    other.forEach((q, second) => {
      const known = best[first + second];
      if (first + second <= most && (!known || p + q > known.sum)) best[first + second] = { first, sum: p + q };
    }),
  );
  return best;
}

/** By how much a line stands out at each distance within an edge, lightness; 0 at the edge itself. */
function lines(edges: Edges, side: keyof Edges, { width, height, l }: LabPlanes, reach: number): number[] {
  const upright = side === 'left' || side === 'right';
  const inward = side === 'left' || side === 'top' ? 1 : -1;
  const edge = Math.round(edges[side]) + (inward > 0 ? 0 : -1);
  const [from, to] = upright ? [edges.top, edges.bottom] : [edges.left, edges.right];
  // the corners are round, and beyond the knife there is bleed on the other sides, too
  const [first, last] = [Math.round(from) + reach, Math.round(to) - reach];
  const count = Math.max(1, Math.floor((last - first) / STRETCH));
  const found = new Array<number>(reach + 1).fill(0);
  if (last - first < STRETCH) return found;
  const mean = (s: number, d: number): number => {
    let sum = 0;
    for (let k = 0; k < STRETCH; k++) {
      const [along, across] = [first + s * STRETCH + k, edge + d * inward];
      const [x, y] = upright ? [across, along] : [along, across];
      sum += l[Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))] as number;
    }
    return sum / STRETCH;
  };
  for (let s = 0; s < count; s++) {
    const light = Array.from({ length: reach + 2 * THIN + 1 }, (_, i) => mean(s, i - THIN));
    for (let d = 2; d <= reach; d++) {
      const [one, own, other] = [light[d], light[d + THIN], light[d + 2 * THIN]] as [number, number, number];
      const ridge = own < Math.min(one, other) ? Math.min(one, other) - own : Math.max(0, own - Math.max(one, other));
      found[d] = (found[d] as number) + Math.min(6, ridge) / count;
    }
  }
  const usual = [...found.slice(2)].sort((p, q) => p - q)[Math.floor((reach - 1) / 2)] as number;
  return found.map((n) => n - usual);
}
