import type { Block } from './block';
import { blockOf, countIn, hasBend, neckOf, tightened } from './block';
import type { Share } from './share';
import type { Sight } from './sight';

const NONE = { left: false, top: false, right: false, bottom: false };
const SCALE = 10;
type Box = readonly [x: number, y: number, w: number, h: number];

/** A block that is filled in some rectangles, px, on a sheet of 400 x 300. */
function filled(...boxes: Box[]): { block: Block; share: Share } {
  const [width, height] = [400, 300];
  const labels = new Int32Array(width * height);
  for (const [x, y, w, h] of boxes) for (let v = y; v < y + h; v++) labels.fill(1, v * width + x, v * width + x + w);
  const [x0, y0] = [Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1]))];
  const [x1, y1] = [Math.max(...boxes.map((b) => b[0] + b[2])) - 1, Math.max(...boxes.map((b) => b[1] + b[3])) - 1];
  const share: Share = { label: 1, x0, y0, x1, y1, cut: NONE };
  return {
    share,
    block: blockOf(share, { blobs: { labels, width, height, parts: [] }, scale: SCALE } as unknown as Sight),
  };
}

describe('a block of stickers', () => {
  it('knows how many of its pixels lie in a rectangle, none in one that ends before it begins', () => {
    const { block } = filled([100, 50, 200, 100], [100, 150, 50, 50]);
    expect(countIn(block, 100, 50, 299, 199)).toBe(200 * 100 + 50 * 50);
    expect(countIn(block, 140, 140, 159, 159)).toBe(20 * 10 + 10 * 10);
    expect(countIn(block, 200, 160, 299, 199)).toBe(0);
    expect(countIn(block, 200, 60, 199, 70)).toBe(0);
  });

  it('loses its empty rim, and what a cut left of a longer neighbor', () => {
    const { block, share } = filled([100, 50, 200, 100], [110, 150, 2, 30], [300, 60, 40, 8]);
    expect(tightened(block, share)).toMatchObject({ x0: 100, y0: 50, x1: 339, y1: 149 });
    const below: Share = { ...share, y0: 60, cut: { ...NONE, top: true } };
    expect(tightened(block, below)).toMatchObject({ x1: 299, cut: { ...NONE, top: true } });
    expect(tightened(block, { ...share, x0: 200, y0: 160 })).toBeNull();
  });

  it('hangs together by a neck where less than two millimeters join it', () => {
    const joined = filled([100, 50, 100, 100], [200, 90, 20, 12], [220, 50, 100, 100]);
    const neck = neckOf(joined.block, joined.share, 50)!;
    expect(neck.upright).toBe(true);
    expect(neck.at).toBeGreaterThanOrEqual(200);
    expect(neck.at).toBeLessThan(220);
    const wide = filled([100, 50, 100, 100], [200, 80, 20, 40], [220, 50, 100, 100]);
    expect(neckOf(wide.block, wide.share, 50)).toBeNull();
    const tip = filled([100, 50, 100, 100], [200, 90, 30, 12]);
    expect(neckOf(tip.block, tip.share, 50)).toBeNull();
    const apart = filled([100, 50, 100, 60], [100, 150, 100, 60]);
    expect(neckOf(apart.block, apart.share, 50)).toMatchObject({ upright: false });
  });

  it.each([
    ['a right lower corner', [100, 50, 200, 60], [100, 110, 120, 60]],
    ['a left upper one', [180, 50, 120, 60], [100, 110, 200, 60]],
  ] as [string, Box, Box][])('has a bend where %s is empty', (_, one, other) => {
    const { block, share } = filled(one, other);
    expect(hasBend(block, share)).toBe(true);
  });

  it('has none as a rectangle, nor with rounded corners, nor as a circle', () => {
    const box = filled([100, 50, 200, 100]);
    expect(hasBend(box.block, box.share)).toBe(false);
    const round = filled(
      ...Array.from({ length: 200 }, (_, i): Box => {
        const half = Math.round(Math.sqrt(100 ** 2 - (i - 99.5) ** 2));
        return [200 - half, 50 + i, 2 * half, 1];
      }),
    );
    expect(hasBend(round.block, round.share)).toBe(false);
    const rounded = filled([130, 50, 140, 30], [110, 60, 180, 20], [100, 80, 200, 70]);
    expect(hasBend(rounded.block, rounded.share)).toBe(false);
  });
});
