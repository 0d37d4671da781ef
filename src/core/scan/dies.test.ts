import { diesOf, healed } from './dies';
import type { Share } from './share';

const NONE = { left: false, top: false, right: false, bottom: false };
const share = (x: number, y: number, w: number, h: number, cut: Partial<Share['cut']> = {}): Share => ({
  label: 1,
  x0: x,
  y0: y,
  x1: x + w - 1,
  y1: y + h - 1,
  cut: { ...NONE, ...cut },
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

describe('neighbors that a cut has parted by mistake', () => {
  const header = [share(0, 300, 300, 60), share(0, 400, 300, 60)];
  const [left, right] = [share(0, 0, 220, 60, { right: true }), share(221, 0, 80, 60, { left: true })];

  it('are joined where both together have a size that the sheet has more than once', () => {
    const all = [...header, left, right];
    expect(healed(all, diesOf(all, 10), 10)).toEqual([[left, right]]);
  });

  it('stay two where no such size is, where each has a size of its own, and where they do not meet', () => {
    const one = [header[0]!, left, right];
    expect(healed(one, diesOf(one, 10), 10)).toEqual([]);
    const known = [...header, left, right, share(0, 500, 220, 60), share(300, 500, 80, 60)];
    expect(healed(known, diesOf(known, 10), 10)).toEqual([]);
    const apart = [...header, left, share(260, 0, 40, 60, { left: true })];
    expect(healed(apart, diesOf(apart, 10), 10)).toEqual([]);
    const uncut = [...header, share(0, 0, 220, 60), share(221, 0, 80, 60)];
    expect(healed(uncut, diesOf(uncut, 10), 10)).toEqual([]);
  });
});
