import { diesOf } from './dies';
import { healed } from './mend';
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
    const away = [...header, left, share(260, 0, 40, 60, { left: true })];
    expect(healed(away, diesOf(away, 10), 10)).toEqual([]);
    const uncut = [...header, share(0, 0, 220, 60), share(221, 0, 80, 60)];
    expect(healed(uncut, diesOf(uncut, 10), 10)).toEqual([]);
  });

  it('are joined by threes, too, also where they lie round a corner', () => {
    const row = [
      share(0, 0, 90, 60, { right: true }),
      share(91, 0, 90, 60, { left: true, right: true }),
      share(182, 0, 118, 60, { left: true }),
    ];
    const inRow = [...header, ...row];
    expect(healed(inRow, diesOf(inRow, 10), 10)).toEqual([row]);
    const box = [share(0, 0, 370, 470), share(400, 0, 370, 470)];
    const corner = [
      share(0, 500, 370, 400, { bottom: true }),
      share(0, 901, 30, 70, { top: true, right: true }),
      share(31, 901, 339, 70, { top: true, left: true }),
    ];
    const all = [...box, ...corner];
    expect(healed(all, diesOf(all, 10), 10)).toEqual([corner]);
  });

  it('stay what they are where together they leave a hole, or stand out', () => {
    const box = [share(0, 0, 370, 470), share(400, 0, 370, 470)];
    const hole = [...box, share(0, 500, 370, 300, { bottom: true }), share(0, 900, 370, 70, { top: true })];
    expect(healed(hole, diesOf(hole, 10), 10)).toEqual([]);
    const out = [...box, share(0, 500, 370, 400, { bottom: true }), share(0, 901, 420, 70, { top: true })];
    expect(healed(out, diesOf(out, 10), 10)).toEqual([]);
  });
});
