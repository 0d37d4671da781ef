import type { Blobs } from './blobs';

/** A sticker's share of a part: all of the part's pixels in a rectangle. Px, the last pixel included. */
export interface Share {
  readonly label: number;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  /** edges that were laid by a cut line rather than by the backing beside it */
  readonly cut: { readonly left: boolean; readonly top: boolean; readonly right: boolean; readonly bottom: boolean };
}

/** Whether an edge of it was laid by a cut rather than by the backing beside it. */
export const isCut = ({ cut }: Share): boolean => cut.left || cut.right || cut.top || cut.bottom;

/** Where a share begins and ends in one of its rows, or of its columns, and how many px of it are there; null: none. */
export function spanAt(
  { label, x0, y0, x1, y1 }: Share,
  { labels, width }: Pick<Blobs, 'labels' | 'width'>,
  upright: boolean,
  at: number,
): { readonly ends: readonly [number, number]; readonly count: number } | null {
  const [from, to] = upright ? [y0, y1] : [x0, x1];
  let [first, last, count] = [-1, -1, 0];
  for (let k = from; k <= to; k++)
    if (labels[upright ? k * width + at : at * width + k] === label) {
      if (first < 0) first = k;
      last = k;
      count++;
    }
  return count ? { ends: [first, last], count } : null;
}
