import type { Glare, LightCell } from './glare';
import { glareAt, glareOver } from './glare';

const COLUMNS = 30;
const ROWS = 20;
const BACKING = [92, 0, 3] as const;

/** Cells of bare backing; what a test lays on them is told as lightness, color and unevenness by column and row. */
function cellsWith(laid: (x: number, y: number) => Partial<{ l: number; b: number; uneven: number }>): LightCell[] {
  return Array.from({ length: COLUMNS * ROWS }, (_, i) => {
    const { l = BACKING[0], b = BACKING[2], uneven = 0.5 } = laid(i % COLUMNS, Math.floor(i / COLUMNS));
    return { lab: [l, 0, b], uneven };
  });
}

const spot = (x: number, y: number): number => Math.max(0, 8 - Math.hypot(x - 15, y - 10));
const lighterAt = (glare: Glare, x: number, y: number): number => glareAt(glare, x, y)[0];
const read = (cells: readonly LightCell[]) => glareOver(cells, COLUMNS, () => BACKING, 1.8);

describe('a spot of light on the backing', () => {
  it('is followed from cell to cell to its middle', () => {
    const glare = read(cellsWith((x, y) => ({ l: BACKING[0] + spot(x, y) })))!;
    expect(lighterAt(glare, 15.5, 10.5)).toBeCloseTo(8, 5);
    expect(lighterAt(glare, 12.5, 10.5)).toBeCloseTo(5, 5);
    expect(lighterAt(glare, 13, 10.5)).toBeCloseTo(5.5, 5);
    expect(lighterAt(glare, 3, 3)).toBe(0);
  });

  it('takes the backing’s color away where it is strong', () => {
    const glare = read(
      cellsWith((x, y) => ({ l: Math.min(100, BACKING[0] + spot(x, y)), b: 3 - (3 * spot(x, y)) / 8 })),
    )!;
    expect(glareAt(glare, 15.5, 10.5)[2]).toBeCloseTo(-3, 5);
    expect(glareAt(glare, 3, 3)).toEqual([0, 0, 0]);
  });

  it('is laid over stickers from what is seen round them', () => {
    const onSticker = (x: number, y: number): boolean => Math.abs(x - 15) <= 1 && Math.abs(y - 13) <= 1;
    const glare = read(
      cellsWith((x, y) => (onSticker(x, y) ? { l: 40, b: 30, uneven: 6 } : { l: BACKING[0] + spot(x, y) })),
    )!;
    expect(Math.abs(lighterAt(glare, 15.5, 13.5) - spot(15, 13))).toBeLessThan(1);
  });

  it('is none where a lighter sticker has an edge, where it has more color, and where it is hardly lighter', () => {
    const inside = (x: number, y: number): boolean => x > 10 && x < 20 && y > 5 && y < 15;
    expect(read(cellsWith((x, y) => (inside(x, y) ? { l: 99 } : {})))).toBeNull();
    expect(read(cellsWith((x, y) => ({ l: BACKING[0] + spot(x, y), b: BACKING[2] + spot(x, y) })))).toBeNull();
    expect(read(cellsWith((x, y) => ({ l: BACKING[0] + spot(x, y) / 4 })))).toBeNull();
    expect(read(cellsWith(() => ({})))).toBeNull();
  });
});
