import { blankPicture, frame, paint } from '../../../tests/pictures';
import { backingOf } from './backing';
import { blobsOf } from './blobs';
import { labPlanes } from './lab-planes';
import { marksOf } from './marks';
import { splitAll } from './split';

const SCALE = 10;
const LINE = '#8a857a';
type Draw = (put: (x: number, y: number, w: number, h: number, color: `#${string}`) => void) => void;
/** x, y, width and height in mm */
type Box = readonly [number, number, number, number];

const plain =
  (color: `#${string}` = '#d8e6df') =>
  ([, , w, h]: Box): Draw =>
  (put) =>
    put(0, 0, w, h, color);

/** Bars that are as a picture is: nowhere the same twice. */
const PICTURE =
  ([, , w, h]: Box): Draw =>
  (put) => {
    put(0, 0, w, h, '#d8e6df');
    for (const [x, wide] of [
      [3, 2],
      [9, 1],
      [15, 3],
    ] as const)
      put(x, 0, wide, h, '#2f4a7c');
  };

/** Dots every four millimeters. */
const DOTS =
  ([, , w, h]: Box): Draw =>
  (put) => {
    put(0, 0, w, h, '#f0e3b8');
    for (let y = 1.5; y < h; y += 4) for (let x = 1.5; x < w; x += 4) put(x, y, 1.4, 1.4, '#466b3f');
  };

const framed =
  (inset: number) =>
  ([, , w, h]: Box): Draw =>
  (put) => {
    put(0, 0, w, h, '#f2cfd3');
    for (const [x, y, wide, high] of [
      [inset, inset, w - 2 * inset, 0.4],
      [inset, h - inset - 0.4, w - 2 * inset, 0.4],
      [inset, inset, 0.4, h - 2 * inset],
      [w - inset - 0.4, inset, 0.4, h - 2 * inset],
    ] as const)
      put(x, y, wide, high, '#3d4f7c');
  };

/** Stickers on backing, each with what is printed on it; `cuts`: whether the knife's line shows round it. */
function parted(boxes: readonly (readonly [Box, (box: Box) => Draw])[], cuts = true): number[][] {
  const picture = blankPicture(1200, 1000, '#f4f1ea');
  const px = (mm: number): number => Math.round(mm * SCALE);
  for (const [box, face] of boxes)
    face(box)((x, y, w, h, color) => {
      const right = Math.min(box[0] + x + w, box[0] + box[2]);
      const bottom = Math.min(box[1] + y + h, box[1] + box[3]);
      paint(
        picture,
        { x: px(box[0] + x), y: px(box[1] + y), w: px(right - box[0] - x), h: px(bottom - box[1] - y) },
        color,
      );
    });
  if (cuts) for (const [[x, y, w, h]] of boxes) frame(picture, { x: px(x), y: px(y), w: px(w), h: px(h) }, LINE, 1);
  const planes = labPlanes(picture);
  const backing = backingOf(planes, SCALE);
  const blobs = blobsOf(marksOf(planes, backing), backing.grain, SCALE);
  return splitAll(blobs, planes, SCALE)
    .map((s) => [s.x0, s.y0, s.x1 - s.x0 + 1, s.y1 - s.y0 + 1].map((v) => v / SCALE))
    .sort((p, q) => Math.round(p[1]!) - Math.round(q[1]!) || p[0]! - q[0]!);
}

/** Within what `edges.ts` measures anew afterwards, mm. */
const near = (boxes: readonly (readonly [Box, unknown])[]) =>
  boxes.map(([box]) => box.map((mm) => ({ asymmetricMatch: (v: unknown) => Math.abs((v as number) - mm) < 0.75 })));

const row = (count: number, w: number, h: number, face: (box: Box) => Draw, x = 10, y = 10) =>
  Array.from({ length: count }, (_, i) => [[x + i * w, y, w, h] as Box, face] as const);

describe('stickers that touch', () => {
  it.each([
    ['plain', plain()],
    ['with a picture', PICTURE],
    ['with dots', DOTS],
    ['with frames', framed(1)],
  ] as const)('are parted in a row: %s', (_, face) =>
    expect(parted(row(3, 21, 16, face))).toEqual(near(row(3, 21, 16, face))),
  );

  it('are parted in rows of different heights, of which the next begins below the tallest', () => {
    const sheet = [
      ...row(2, 30, 12, plain('#c2543d')),
      ...row(1, 20, 24, plain('#8a9a5b'), 70),
      ...row(3, 26, 14, plain('#d9a441'), 10, 34),
    ];
    expect(parted(sheet)).toEqual(near(sheet));
  });

  it('are parted where a row ends in the middle of the one below it', () => {
    const sheet = [...row(2, 26, 10, PICTURE), ...row(2, 32, 20, DOTS, 10, 20)];
    expect(parted(sheet)).toEqual(near(sheet));
  });

  it('are parted by a size that the sheet has, where the same is printed on both and no line shows', () => {
    const alone = [...row(1, 20, 12, PICTURE, 10, 40), ...row(1, 20, 12, PICTURE, 50, 40)];
    expect(parted([...row(2, 20, 12, PICTURE), ...alone], false)).toHaveLength(4);
    expect(parted(row(2, 20, 12, PICTURE), false)).toHaveLength(1);
  });
});

describe('one sticker', () => {
  it('stays one with lines that stop short of its edges, as a list has', () => {
    const list =
      ([, , w, h]: Box): Draw =>
      (put) => {
        put(0, 0, w, h, '#ffffff');
        for (let y = 6; y < h - 5; y += 6) put(1.6, y, w - 3.2, 0.2, '#5b7f95');
      };
    expect(parted(row(1, 34, 40, list))).toHaveLength(1);
  });

  it('stays one with a dashed line from edge to edge, and with print that repeats itself', () => {
    const dashed =
      ([, , w, h]: Box): Draw =>
      (put) => {
        put(0, 0, w, h, '#ffffff');
        for (let x = 0; x < w; x += 1.4) put(x, h / 2, 0.8, 0.3, '#5b7f95');
      };
    expect(parted(row(1, 40, 14, dashed))).toHaveLength(1);
    expect(parted(row(1, 46, 40, DOTS))).toHaveLength(1);
  });

  it('stays one though the sheet has half of it more often, where nothing is seen between', () => {
    const halves = [...row(1, 20, 12, plain(), 10, 40), ...row(1, 20, 12, plain(), 50, 40)];
    expect(parted([...row(1, 40, 12, plain()), ...halves])).toHaveLength(3);
  });
});
