import { blockOf } from './block';
import { lobesOf } from './lobes';
import type { Share } from './share';
import type { Sight } from './sight';

const [WIDTH, HEIGHT, NARROW] = [700, 700, 53];
const NONE = { left: false, top: false, right: false, bottom: false };

/** Discs of 112 px at these places of a grid, whose print runs together. @param pitch px from middle to middle */
function discs(places: readonly (readonly [column: number, row: number])[], pitch: number, uneven = 0) {
  const labels = new Int32Array(WIDTH * HEIGHT);
  const xs: number[] = [];
  const ys: number[] = [];
  for (const [column, row] of places) {
    const [cx, cy] = [80 + column * pitch + (column === 1 ? uneven : 0), 80 + row * pitch];
    for (let y = cy - 56; y < cy + 56; y++)
      for (let x = cx - 56; x < cx + 56; x++)
        if ((x + 0.5 - cx) ** 2 + (y + 0.5 - cy) ** 2 < 56 ** 2) {
          labels[y * WIDTH + x] = 1;
          xs.push(x);
          ys.push(y);
        }
  }
  const at = (of: number[], better: (a: number, b: number) => number) => of.reduce((a, b) => better(a, b));
  const share: Share = {
    label: 1,
    ...{ x0: at(xs, Math.min), x1: at(xs, Math.max), y0: at(ys, Math.min), y1: at(ys, Math.max) },
    cut: NONE,
  };
  const sight = { blobs: { labels, width: WIDTH, height: HEIGHT, parts: [] }, scale: 10 } as unknown as Sight;
  return lobesOf(blockOf(share, sight), share, NARROW);
}
const all = (columns: number, rows: number) =>
  Array.from({ length: columns * rows }, (_, i) => [i % columns, Math.floor(i / columns)] as const);

describe('round stickers whose print runs together', () => {
  it('are parted where it narrows, a place that is empty left out', () => {
    const found = discs(all(5, 3).slice(0, 13), 104)!;
    expect(found).toHaveLength(13);
    for (const { x0, x1, y0, y1 } of found) {
      expect(Math.abs(x1 - x0 + 1 - 106)).toBeLessThan(9);
      expect(y1 - y0 + 1).toBeGreaterThanOrEqual(100);
    }
    expect(found[0]?.cut).toEqual({ ...NONE, right: true, bottom: true });
  });
  it('are one where they hardly narrow, and where there are but two', () => {
    expect(discs(all(4, 1), 70)).toBeNull();
    expect(discs(all(2, 1), 104)).toBeNull();
    expect(discs(all(3, 1), 104)).toHaveLength(3);
  });
  it('are no grid where one is wider than the others', () => {
    expect(discs(all(3, 1), 100, 6)).toHaveLength(3);
    expect(discs(all(3, 1), 90, 22)).toBeNull();
  });
});
