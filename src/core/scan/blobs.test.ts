import { randomFrom } from '../measure/random';
import { blobsOf, isLargeEnough } from './blobs';
import type { Marks } from './marks';
import { leastUnlike } from './marks';
import { partsOf } from './parts';
import { isCut } from './share';

/** A picture of letters: `#` is set. */
const setOf = (...rows: readonly string[]) => ({
  set: Uint8Array.from(rows.join('').split(''), (c) => (c === '#' ? 1 : 0)),
  width: rows[0]!.length,
  height: rows.length,
});

describe('parts that hang together', () => {
  it('are told by their four neighbors, with their boxes', () => {
    const { set, width, height } = setOf('##..#', '#...#', '...#.');
    const { parts, labels } = partsOf(set, width, height);
    expect(parts.map(({ count, x0, y0, x1, y1 }) => [count, x0, y0, x1, y1])).toEqual([
      [3, 0, 0, 1, 1],
      [2, 4, 0, 4, 1],
      [1, 3, 2, 3, 2],
    ]);
    expect([...labels]).toEqual([1, 1, 0, 0, 2, 1, 0, 0, 0, 2, 0, 0, 0, 3, 0]);
  });
  it('of nothing are none, and of everything one', () => {
    expect(partsOf(new Uint8Array(12), 4, 3).parts).toEqual([]);
    expect(partsOf(new Uint8Array(12).fill(1), 4, 3).parts).toMatchObject([{ count: 12, x1: 3, y1: 2 }]);
  });
  it('count every pixel once, whatever the picture (seed 5)', () => {
    const random = randomFrom(5);
    for (let n = 0; n < 60; n++) {
      const set = Uint8Array.from({ length: 20 * 15 }, () => (random() < 0.55 ? 1 : 0));
      const { parts, labels } = partsOf(set, 20, 15);
      expect(parts.reduce((sum, p) => sum + p.count, 0)).toBe(set.reduce((a, b) => a + b, 0));
      for (let i = 0; i < set.length; i++) expect(labels[i]! > 0).toBe(set[i] === 1);
      for (let i = 0; i < set.length - 1; i++)
        if (i % 20 < 19 && set[i] && set[i + 1]) expect(labels[i]).toBe(labels[i + 1]);
    }
  });
});

/** A sheet of bare backing with rectangles on it; px, ten a millimeter. */
function sheet(
  width: number,
  height: number,
  ...stickers: readonly (readonly [number, number, number, number])[]
): Marks {
  const plane = () => new Float32Array(width * height);
  const marks = { width, height, unlike: plane(), line: plane() };
  for (const [x0, y0, w, h] of stickers)
    for (let y = y0; y < y0 + h; y++) for (let x = x0; x < x0 + w; x++) marks.unlike[y * width + x] = 30;
  return marks;
}

describe('stickers are told from the backing', () => {
  const boxes = (marks: Marks) =>
    blobsOf(marks, 1, 10).parts.map((p) => [p.x0, p.y0, p.x1 - p.x0 + 1, p.y1 - p.y0 + 1]);
  it('where they differ from it, to a pixel or two', () => {
    const found = boxes(sheet(300, 200, [40, 40, 80, 60], [160, 50, 90, 100]));
    expect(found).toHaveLength(2);
    for (const [i, wanted] of [[40, 40, 80, 60], [160, 50, 90, 100]].entries())
      found[i]!.forEach((v, k) => expect(Math.abs(v - wanted[k]!)).toBeLessThanOrEqual(2));
  }); // prettier-ignore
  it('also a white one on white, by the line of the knife round it', () => {
    const marks = sheet(200, 160);
    for (let x = 50; x <= 140; x++) marks.line[40 * 200 + x] = marks.line[110 * 200 + x] = 9;
    for (let y = 40; y <= 110; y++) marks.line[y * 200 + 50] = marks.line[y * 200 + 140] = 9;
    expect(boxes(marks)).toHaveLength(1);
  });
  it('but no dust, no thin line, no punched hole, and nothing of the sheet’s own rim', () => {
    expect(boxes(sheet(200, 160, [60, 60, 8, 8]))).toEqual([]);
    expect(boxes(sheet(200, 160, [40, 60, 120, 4]))).toEqual([]);
    expect(boxes(sheet(200, 160, [60, 60, 22, 22]))).toEqual([]);
    expect(boxes(sheet(200, 160, [0, 0, 200, 5]))).toEqual([]);
  });
  it('those that touch are one part, to be cut later', () => {
    expect(boxes(sheet(300, 160, [40, 40, 80, 60], [120, 40, 80, 60]))).toHaveLength(1);
  });
});

it.each([
  [35, 25, true],
  [34, 25, false],
  [35, 24, false],
  [24, 40, false],
  [400, 24, false],
])('of %d by %d tenths of a millimeter it is large enough: %j', (w, h, enough) => {
  expect(isLargeEnough({ x0: 0, y0: 0, x1: w - 1, y1: h - 1 }, 10)).toBe(enough);
});

it('grain raises what counts as different, and never under what the eye sees', () => {
  expect([leastUnlike(0), leastUnlike(1), leastUnlike(4)]).toEqual([2.6, 2.6, 8.8]);
});

it('a share is cut where one of its edges was laid by a cut', () => {
  const cut = { left: false, top: false, right: false, bottom: false };
  const share = { label: 1, x0: 0, y0: 0, x1: 4, y1: 2, cut };
  expect([isCut(share), isCut({ ...share, cut: { ...cut, top: true } })]).toEqual([false, true]);
});
