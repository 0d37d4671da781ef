import { blankPicture, frame, paint } from '../../../tests/pictures';
import { areAlike } from './alike';
import { backingOf } from './backing';
import { blobsOf } from './blobs';
import type { Sight } from './chord';
import { labPlanes } from './lab-planes';
import { marksOf } from './marks';
import { partedEvenly } from './rows-of-copies';
import type { Share } from './share';

const SCALE = 10;
const BACKING = '#f4f1ea';
const GROUND = '#d8e6df';
const LINE = '#8a857a';

/** Stickers of 20 x 10 mm in a row without a gap: `draw` puts what is printed on the one that begins at x mm. */
function row(count: number, draw: (put: (x: number, w: number) => void, at: number) => void, cuts = true) {
  const picture = blankPicture(1000, 300, BACKING);
  paint(picture, { x: 80, y: 100, w: count * 200, h: 100 }, GROUND);
  for (let i = 0; i < count; i++) {
    const put = (x: number, w: number) =>
      paint(picture, { x: 80 + i * 200 + x * SCALE, y: 100, w: w * SCALE, h: 100 }, '#2f4a7c');
    draw(put, i);
    if (cuts && i) paint(picture, { x: 79 + i * 200, y: 100, w: 2, h: 100 }, LINE);
  }
  frame(picture, { x: 80, y: 100, w: count * 200, h: 100 }, LINE, 1);
  const planes = labPlanes(picture);
  const backing = backingOf(planes, SCALE);
  const marks = marksOf(planes, backing);
  const blobs = blobsOf(marks, backing.grain, SCALE);
  const sight: Sight = { blobs, marks, planes, grain: backing.grain, least: 1.3, scale: SCALE, narrow: 58 };
  const part = blobs.parts[0]!;
  const share: Share = { ...part, cut: { left: false, right: false, top: false, bottom: false } };
  return { share, sight, parted: (dies: Parameters<typeof partedEvenly>[1] = []) => partedEvenly(share, dies, sight) };
}

const COPY = (put: (x: number, w: number) => void): void => {
  put(3, 2);
  put(9, 1);
  put(15, 3);
};

describe('a row that shows the same again and again', () => {
  it.each([2, 3, 4])('is %d stickers where a cut shows between them, though their size is found nowhere else', (n) => {
    const parts = row(n, COPY).parted()!;
    expect(parts).toHaveLength(n);
    expect(parts.map((p) => Math.round((p.x1 - p.x0 + 1) / SCALE))).toEqual(Array.from({ length: n }, () => 20));
    expect(parts.map((p) => [p.cut.left, p.cut.right])).toEqual(parts.map((_, i) => [i > 0, i < n - 1]));
  });

  it('is one where no cut shows, and where it shows something else each time', () => {
    expect(row(3, COPY, false).parted()).toBeNull();
    const another = row(2, (put, i) => (i ? put(2, 9) : put(14, 3)));
    expect(another.parted()).toBeNull();
  });

  it('is told by a size that the sheet has, even where less of the cut shows', () => {
    const die = { w: 200, h: 100, count: 2 };
    expect(row(2, COPY).parted([die])).toHaveLength(2);
    expect(row(2, COPY).parted([{ ...die, w: 150 }])).toHaveLength(2);
    expect(row(2, COPY, false).parted([die])).toBeNull();
  });
});

it('two places are alike where they show the same, give or take two pixels', () => {
  const { share, sight } = row(2, COPY);
  const half: Share = { ...share, x1: share.x0 + 199 };
  const next: Share = { ...half, x0: half.x0 + 200, x1: half.x1 + 200 };
  const { l } = sight.planes;
  const { width } = sight.blobs;
  expect(areAlike(half, next, l, width)).toBe(true);
  expect(areAlike(half, { ...next, x0: next.x0 + 2, x1: next.x1 + 2 }, l, width)).toBe(true);
  expect(areAlike(half, { ...next, x0: next.x0 - 60, x1: next.x1 - 60 }, l, width)).toBe(false);
});
