import { blankPicture, paint } from '../../../tests/pictures';
import { apartBy } from './alike';
import { labPlanes } from './lab-planes';
import type { Share } from './share';

const NONE = { left: false, top: false, right: false, bottom: false };

describe('by how much two places differ', () => {
  const picture = blankPicture(600, 200, '#d8e6df');
  for (const x of [50, 250])
    for (const bar of [30, 90, 150]) paint(picture, { x: x + bar, y: 50, w: 20, h: 100 }, '#2f4a7c');
  const { l, width } = labPlanes(picture);
  const half: Share = { label: 1, x0: 50, y0: 50, x1: 249, y1: 149, cut: NONE };
  const from = (x: number): Share => ({ ...half, x0: x, x1: x + 199 });

  it('is nothing where they show the same, give or take two pixels', () => {
    expect(apartBy(half, from(250), l, width)).toBe(0);
    expect(apartBy(half, from(252), l, width)).toBe(0);
  });

  it('is the more the less they have in common', () => {
    const [near, far] = [apartBy(half, from(256), l, width), apartBy(half, from(270), l, width)];
    expect(near).toBeGreaterThan(2);
    expect(far).toBeGreaterThan(2 * near);
  });

  it('is nothing where they are too small to be compared', () =>
    expect(apartBy({ ...half, x1: 60, y1: 60 }, { ...half, x0: 100, x1: 110, y1: 60 }, l, width)).toBe(0));
});
