import { blankPicture, frame, paint } from '../../../tests/pictures';
import { bleedOf } from './bleed';
import type { Edges } from './edges';
import { labPlanes } from './lab-planes';

const SCALE = 10;
/** Four prints of 300 × 120 px, each with a thin line so far within its sides. */
const PRINTS: readonly Edges[] = [0, 1, 2, 3].map((i) => ({
  left: 40,
  right: 340,
  top: 40 + 160 * i,
  bottom: 160 + 160 * i,
}));
function sheet(lined: readonly (readonly [left: number, top: number, right: number, bottom: number] | null)[]) {
  const picture = blankPicture(380, 700, '#fdfdfb');
  PRINTS.forEach(({ left, top, right, bottom }, i) => {
    paint(picture, { x: left, y: top, w: right - left, h: bottom - top }, '#6fa0a0');
    const line = lined[i];
    if (line)
      frame(
        picture,
        {
          x: left + line[0],
          y: top + line[1],
          w: right - left - line[0] - line[2],
          h: bottom - top - line[1] - line[3],
        },
        '#4f7878',
      );
  });
  return labPlanes(picture);
}
const KNIFE = [6, 13, 12, 5] as const;
const near = (found: ReturnType<typeof bleedOf>): boolean =>
  found !== null &&
  [found.left, found.top, found.right, found.bottom].every((n, i) => Math.abs(n - (KNIFE[i] as number)) <= 1);

it('a line as far within the print of all stickers is the knife’s, wherever the print slipped to', () =>
  expect(near(bleedOf(PRINTS, sheet([KNIFE, KNIFE, KNIFE, KNIFE]), SCALE))).toBe(true));

it('it is told by half of them', () =>
  expect(near(bleedOf(PRINTS, sheet([KNIFE, null, KNIFE, null]), SCALE))).toBe(true));

it('what one alone shows is a printed frame; so is what is wider across than down', () => {
  expect(bleedOf(PRINTS, sheet([KNIFE, null, null, null]), SCALE)).toBeNull();
  const uneven = [4, 13, 4, 13] as const;
  expect(bleedOf(PRINTS, sheet([uneven, uneven, uneven, uneven]), SCALE)).toBeNull();
});

it('a print without a line ends where the knife went, and two stickers tell nothing', () => {
  expect(bleedOf(PRINTS, sheet([null, null, null, null]), SCALE)).toBeNull();
  expect(bleedOf(PRINTS.slice(0, 2), sheet([KNIFE, KNIFE, null, null]), SCALE)).toBeNull();
});
