import type { Sight } from './sight';
import type { Share } from './share';

/** Rows and columns with fewer pixels are what a cut left of the neighbor, px. */
const SLIVER = 4;
/** Beside a cut lies what it left of the longer neighbor, px: it makes no share wider. */
const RAGGED = 12;
/** What hangs together by less was joined by a speck, mm. */
const NECK = 2;
/** And by so much of what is on both sides of it. */
const VALLEY = 0.38;
const FULL = 0.98;
/** A corner that is empty over more is a bend, mm; its sides are seen so far inward, px. */
const BEND = 2;
const INWARD = 10;
/** So much of the empty corner may be filled: that of a circle is more. */
const STRAY = 0.15;

/** Stickers that hang together: how many of their pixels lie in any rectangle is known at once. */
export interface Block {
  readonly share: Share;
  /** px */
  readonly width: number;
  /** over all rows above and all columns left of each pixel. Source: summed-area tables, Crow (1984), from memory */
  readonly sums: Int32Array;
  /** pixels a millimeter */
  readonly scale: number;
}

export function blockOf(share: Share, { blobs: { labels, width }, scale }: Sight): Block {
  const { label, x0, y0 } = share;
  const [w, h] = [share.x1 - x0 + 1, share.y1 - y0 + 1];
  const sums = new Int32Array((w + 1) * (h + 1));
  for (let y = 0; y < h; y++) {
    let row = 0;
    for (let x = 0; x < w; x++) {
      if (labels[(y0 + y) * width + x0 + x] === label) row++;
      sums[(y + 1) * (w + 1) + x + 1] = (sums[y * (w + 1) + x + 1] as number) + row;
    }
  }
  return { share, width: w, sums, scale };
}

/** Pixels of a block in a rectangle within it, its last row and column included. */
export function countIn({ share, width, sums }: Block, x0: number, y0: number, x1: number, y1: number): number {
  if (x1 < x0 || y1 < y0) return 0;
  const [top, bottom] = [(y0 - share.y0) * (width + 1), (y1 + 1 - share.y0) * (width + 1)];
  const [left, right] = [x0 - share.x0, x1 + 1 - share.x0];
  return (
    (sums[bottom + right] as number) -
    (sums[bottom + left] as number) -
    (sums[top + right] as number) +
    (sums[top + left] as number)
  );
}

/** A share's rectangle without empty rim; null when nothing is in it. */
export function tightened(block: Block, share: Share): Share | null {
  const { cut } = share;
  const [long, high] = [share.x1 - share.x0, share.y1 - share.y0];
  const [across, down] = [long > 4 * RAGGED ? RAGGED : 0, high > 4 * RAGGED ? RAGGED : 0];
  const [left, right] = [share.x0 + (cut.left ? across : 0), share.x1 - (cut.right ? across : 0)];
  const [top, bottom] = [share.y0 + (cut.top ? down : 0), share.y1 - (cut.bottom ? down : 0)];
  let { x0, y0, x1, y1 } = share;
  while (x0 <= x1 && countIn(block, x0, top, x0, bottom) < SLIVER) x0++;
  while (x1 >= x0 && countIn(block, x1, top, x1, bottom) < SLIVER) x1--;
  while (y0 <= y1 && countIn(block, left, y0, right, y0) < SLIVER) y0++;
  while (y1 >= y0 && countIn(block, left, y1, right, y1) < SLIVER) y1--;
  if (x1 < x0 || y1 < y0) return null;
  return {
    ...share,
    x0,
    y0,
    x1,
    y1,
    cut: {
      left: cut.left && x0 === share.x0,
      top: cut.top && y0 === share.y0,
      right: cut.right && x1 === share.x1,
      bottom: cut.bottom && y1 === share.y1,
    },
  };
}

/**
 * Where next to nothing of a share hangs together; null: nowhere.
 * @param narrow of the narrowest sticker, px: nearer to the edge it is a tip
 */
export function neckOf(
  block: Block,
  { x0, y0, x1, y1 }: Share,
  narrow: number,
): { upright: boolean; at: number } | null {
  let thinnest = { upright: true, at: -1, depth: 1 };
  // what fills its rectangle has none
  if (countIn(block, x0, y0, x1, y1) > FULL * (x1 - x0 + 1) * (y1 - y0 + 1)) return null;
  for (const upright of [true, false]) {
    const [from, to] = upright ? [x0, x1] : [y0, y1];
    const counts = Array.from({ length: to - from + 1 }, (_, k) =>
      upright ? countIn(block, from + k, y0, from + k, y1) : countIn(block, x0, from + k, x1, from + k),
    );
    const reach = Math.ceil(narrow);
    for (let k = reach; k < counts.length - reach; k++) {
      const count = counts[k] as number;
      // a valley between two broader parts, as where round ones touch
      const beside = Math.min(Math.max(...counts.slice(k - reach, k)), Math.max(...counts.slice(k + 1, k + 1 + reach)));
      const depth = count / Math.max(NECK * block.scale, VALLEY * beside);
      if (depth < thinnest.depth) thinnest = { upright, at: from + k, depth };
    }
  }
  return thinnest.at < 0 ? null : thinnest;
}

/** Whether a corner of a share is empty, as that of an L is and that of no sticker. */
export function hasBend(block: Block, { x0, y0, x1, y1 }: Share): boolean {
  const least = BEND * block.scale;
  for (const [x, dx] of [
    [x0, 1],
    [x1, -1],
  ] as const)
    for (const [y, dy] of [
      [y0, 1],
      [y1, -1],
    ] as const) {
      const [u, v] = [x + dx * INWARD, y + dy * INWARD];
      let [long, high] = [0, 0];
      while (long < x1 - x0 && !countIn(block, x + dx * long, v, x + dx * long, v)) long++;
      while (high < y1 - y0 && !countIn(block, u, y + dy * high, u, y + dy * high)) high++;
      if (long < least || high < least) continue;
      const [right, low] = [dx < 0, dy < 0];
      const filled = countIn(
        block,
        right ? x - long + 1 : x,
        low ? y - high + 1 : y,
        right ? x : x + long - 1,
        low ? y : y + high - 1,
      );
      if (filled < STRAY * long * high) return true;
    }
  return false;
}
