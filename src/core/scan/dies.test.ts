import { believed, diesOf, timesIn } from './dies';
import type { Share } from './share';

const NONE = { left: false, top: false, right: false, bottom: false };
const share = (x: number, y: number, w: number, h: number): Share => ({
  label: 1,
  x0: x,
  y0: y,
  x1: x + w - 1,
  y1: y + h - 1,
  cut: NONE,
});

describe('the sizes of a sheet', () => {
  it('are each told once, with how many have it, the larger ones first', () =>
    expect(diesOf([share(0, 0, 381, 64), share(0, 70, 383, 64), share(0, 140, 381, 120)], 10)).toEqual([
      { w: 381, h: 120, count: 1 },
      { w: 382, h: 64, count: 2 },
    ]));

  it('are two where they differ by half a millimeter', () =>
    expect(diesOf([share(0, 0, 381, 64), share(0, 70, 387, 64)], 10)).toHaveLength(2));
});

describe('several of a size side by side', () => {
  const die = { w: 300, h: 60 };

  it('are counted in a row and in a column, give or take half a millimeter each', () => {
    expect(timesIn({ w: 300, h: 60 }, die, 10)).toBe(1);
    expect(timesIn({ w: 889, h: 57 }, die, 10)).toBe(3);
    expect(timesIn({ w: 304, h: 125 }, die, 10)).toBe(2);
  });

  it('are the fewer the more they are off all together', () => {
    const quarter = { w: 333, h: 104 };
    expect(timesIn({ w: 333, h: 422 }, quarter, 10)).toBe(4);
    expect(timesIn({ w: 333, h: 434 }, quarter, 10)).toBe(0);
  });

  it('are none where they leave a rest, or lie in two rows', () => {
    expect(timesIn({ w: 450, h: 60 }, die, 10)).toBe(0);
    expect(timesIn({ w: 300, h: 75 }, die, 10)).toBe(0);
    expect(timesIn({ w: 600, h: 120 }, die, 10)).toBe(0);
  });
});

describe('the sizes that are believed', () => {
  const header = { w: 300, h: 60, count: 5 };
  const pair = { w: 600, h: 60, count: 2 };

  it('are those of more than one sticker', () =>
    expect(believed([header, { w: 380, h: 470, count: 1 }], 10)).toEqual([header]));

  it('are not those of several that are commoner, though they are found twice', () => {
    expect(believed([pair, header], 10)).toEqual([header]);
    expect(believed([{ ...pair, count: 6 }, header], 10)).toEqual([{ ...pair, count: 6 }, header]);
  });
});
