import { homography, mapped } from './homography';
import type { Quad } from './homography';

const SQUARE: Quad = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

describe('the map that four points give', () => {
  /**
   * Worked out by hand after Heckbert, Fundamentals of Texture Mapping and Image Warping (1989), 2.2.3, square to
   * quadrilateral, for (0,0) (4,0) (3,2) (1,2): sums of x: 0-4+3-1 = -2, of y: 0-0+2-2 = 0; differences
   * dx1 = 4-3 = 1, dx2 = 1-3 = -2, dy1 = 0-2 = -2, dy2 = 2-2 = 0; their determinant 1*0 - (-2)(-2) = -4;
   * g = (-2*0 - (-2)*0) / -4 = 0, h = (1*0 - (-2)(-2)) / -4 = 1; a = 4-0+0*4 = 4, b = 1-0+1*1 = 2, d = 0,
   * e = 2-0+1*2 = 4. From memory.
   */
  it('is the one worked out by hand', () => {
    const trapeze: Quad = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 3, y: 2 },
      { x: 1, y: 2 },
    ];
    const map = homography(SQUARE, trapeze);
    [4, 2, 0, 0, 4, 0, 0, 1, 1].forEach((value, i) => expect(map[i]).toBeCloseTo(value, 9));
    // the diagonals of the square meet where those of the trapeze do: at two thirds of its height
    const middle = mapped(map, { x: 0.5, y: 0.5 });
    expect([middle.x, middle.y]).toEqual([expect.closeTo(2, 9), expect.closeTo(4 / 3, 9)]);
  });

  it('takes each point where it shall go, and back', () => {
    const seen: Quad = [
      { x: 112, y: 40 },
      { x: 902, y: 71 },
      { x: 960, y: 1210 },
      { x: 60, y: 1184 },
    ];
    const there = homography(SQUARE, seen);
    const back = homography(seen, SQUARE);
    SQUARE.forEach((p, i) => {
      const q = mapped(there, p);
      expect([q.x, q.y]).toEqual([expect.closeTo(seen[i]!.x, 6), expect.closeTo(seen[i]!.y, 6)]);
      const r = mapped(back, q);
      expect([r.x, r.y]).toEqual([expect.closeTo(p.x, 6), expect.closeTo(p.y, 6)]);
    });
  });

  it('refuses corners on one line', () => {
    const flat: Quad = [SQUARE[0], { x: 1, y: 1 }, { x: 2, y: 2 }, { x: 3, y: 3 }];
    expect(() => homography(flat, SQUARE)).toThrow(RangeError);
  });
});
