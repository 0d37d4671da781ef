import { difference } from './color';
import { mainColors } from './main-colors';
import { labPlanes } from '../scan/lab-planes';

/** A picture of stripes: of each color so many columns. */
function stripes(parts: readonly (readonly [color: string, columns: number])[]) {
  const colors = parts.flatMap(([color, n]) => Array.from({ length: n }, () => color));
  const data = new Uint8ClampedArray(
    Array.from({ length: 4 }, () => colors)
      .flat()
      .flatMap((c) => [1, 3, 5].map((i) => parseInt(c.slice(i, i + 2), 16)).concat(255)),
  );
  return labPlanes({ width: colors.length, height: 4, data });
}
const isNear = (a: string | undefined, b: string) => a !== undefined && difference(a, b) < 2;

it('are what one sees in a picture, each another one, what is colorful before what is gray', () => {
  const found = mainColors(
    stripes([
      ['#8a8a8a', 44],
      ['#c8452f', 20],
      ['#cc4a35', 15],
      ['#23305a', 20],
      ['#3fa04a', 1],
    ]),
    4,
  );
  expect(found).toHaveLength(3);
  expect(isNear(found[0], '#c8452f') || isNear(found[0], '#cc4a35')).toBe(true);
  expect(isNear(found[1], '#23305a')).toBe(true);
  expect(isNear(found[2], '#8a8a8a')).toBe(true);
});

it('are no more than are wanted, and none where there is no picture', () => {
  const many = ['#c8452f', '#23305a', '#3fa04a', '#e8c040', '#7a3fa0'].map((c) => [c, 20] as const);
  expect(mainColors(stripes(many), 4)).toHaveLength(4);
  expect(mainColors({ l: [], a: [], b: [] }, 4)).toEqual([]);
});
