import { shrunk } from './raster';

/** Four pixels of 2 x 2, opaque. */
const COLORS = [
  [200, 10, 30],
  [100, 20, 50],
  [0, 30, 70],
  [100, 40, 250],
];
const PIXELS = COLORS.flatMap((color) => [...color, 255]);

describe('a picture made smaller', () => {
  it('has the mean of the pixels, and drops what is left over', () => {
    const wide = [...PIXELS.slice(0, 8), 9, 9, 9, 255, ...PIXELS.slice(8), 9, 9, 9, 255];
    const small = shrunk({ width: 3, height: 2, data: Uint8Array.from(wide) }, 2);
    expect(small).toEqual({ width: 1, height: 1, data: Uint8ClampedArray.from([100, 25, 100, 255]) });
  });

  it('is the same wherever its bytes lie in memory', () => {
    const bytes = new Uint8Array(PIXELS.length + 3);
    for (const offset of [0, 1, 2, 3]) {
      bytes.set(PIXELS, offset);
      const data = new Uint8Array(bytes.buffer, offset, PIXELS.length);
      expect([...shrunk({ width: 2, height: 2, data }, 2).data]).toEqual([100, 25, 100, 255]);
    }
  });

  it('adds up as many of the brightest pixels as a side may have', () => {
    const side = 257;
    const white = { width: side, height: 2 * side, data: new Uint8Array(4 * 2 * side * side).fill(255) };
    expect([...shrunk(white, side).data]).toEqual([255, 255, 255, 255, 255, 255, 255, 255]);
  });
});
