import type { Block } from './block';
import { countIn, tightened } from './block';
import type { Share } from './share';

/** Between two lobes lies less than so much of the fuller side beside it: discs whose print runs over two thirds. */
const WAIST = 0.7;
/** Lobes are as long as each other but for this share. */
const UNEVEN = 0.12;
/** So many of the waists of an even row are seen; the others lie where the pitch says. */
const SEEN = 0.5;
/** Fewer lobes that hang together may be one sticker with a waist. */
const FEWEST = 3;

/** Where a row of lobes narrows, from its own beginning, px; nothing where it has no waist. */
function waists(counts: readonly number[], reach: number): number[] {
  const found: number[] = [];
  for (let k = reach; k < counts.length - reach; k++) {
    const count = counts[k] as number;
    const [before, after] = [counts.slice(k - reach, k), counts.slice(k + 1, k + 1 + reach)];
    if (count > Math.min(...before, ...after)) continue;
    if (count >= WAIST * Math.min(Math.max(...before), Math.max(...after))) continue;
    // of a floor that is flat the first one stands
    if (k - (found.at(-1) ?? -reach) >= reach) found.push(k);
  }
  return found;
}

/** The stretches of an even row, some of whose waists are seen; null where they do not fit one pitch. */
function stretches(counts: readonly number[], at: readonly number[]): (readonly [from: number, to: number])[] | null {
  const ends = [0, ...at.map((k) => k + 1), counts.length];
  const gaps = ends.slice(1).map((to, i) => to - (ends[i] as number));
  const shortest = Math.min(...gaps);
  const times = gaps.map((gap) => Math.round(gap / shortest));
  const lobes = times.reduce((sum, n) => sum + n, 0);
  const isEven = gaps.every((gap, i) => Math.abs(gap / (times[i] as number) - shortest) <= UNEVEN * shortest);
  if (!isEven || at.length < SEEN * (lobes - 1)) return null;
  const cuts = gaps.flatMap((gap, i) => {
    const [from, n] = [ends[i] as number, times[i] as number];
    return Array.from({ length: n }, (_, k) => from + Math.round((gap * k) / n));
  });
  return cuts.map((from, i) => [from, (cuts[i + 1] ?? counts.length) - 1]);
}

/**
 * The stickers of a block that is an even grid of lobes: round ones whose print runs together over half their width.
 * Null for any other block. Its cells are cut where it narrows, from edge to edge.
 * @param narrow of the narrowest sticker, px
 */
export function lobesOf(block: Block, tight: Share, narrow: number): Share[] | null {
  const { x0, y0, x1, y1 } = tight;
  const reach = Math.ceil(narrow);
  const columns = Array.from({ length: x1 - x0 + 1 }, (_, k) => countIn(block, x0 + k, y0, x0 + k, y1));
  const rows = Array.from({ length: y1 - y0 + 1 }, (_, k) => countIn(block, x0, y0 + k, x1, y0 + k));
  const [across, down] = [stretches(columns, waists(columns, reach)), stretches(rows, waists(rows, reach))];
  if (!across || !down || across.length * down.length < FEWEST) return null;
  return down.flatMap(([top, bottom]) =>
    across.flatMap(([left, right]) => {
      const cell = tightened(block, {
        ...tight,
        x0: x0 + left,
        x1: x0 + right,
        y0: y0 + top,
        y1: y0 + bottom,
        cut: {
          left: left > 0 || tight.cut.left,
          right: right < columns.length - 1 || tight.cut.right,
          top: top > 0 || tight.cut.top,
          bottom: bottom < rows.length - 1 || tight.cut.bottom,
        },
      });
      return cell ? [cell] : [];
    }),
  );
}
