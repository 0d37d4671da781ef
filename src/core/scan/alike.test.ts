import { blankPicture, paint } from '../../../tests/pictures';
import { areAlike } from './alike';
import { labPlanes } from './lab-planes';
import type { Share } from './share';

const NONE = { left: false, top: false, right: false, bottom: false };

it('two places are alike where they show the same, give or take two pixels', () => {
  const picture = blankPicture(600, 200, '#d8e6df');
  for (const x of [50, 250])
    for (const bar of [30, 90, 150]) paint(picture, { x: x + bar, y: 50, w: 20, h: 100 }, '#2f4a7c');
  const { l, width } = labPlanes(picture);
  const half: Share = { label: 1, x0: 50, y0: 50, x1: 249, y1: 149, cut: NONE };
  const from = (x: number): Share => ({ ...half, x0: x, x1: x + 199 });
  expect(areAlike(half, from(250), l, width)).toBe(true);
  expect(areAlike(half, from(252), l, width)).toBe(true);
  expect(areAlike(half, from(220), l, width)).toBe(false);
});
