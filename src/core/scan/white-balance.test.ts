import { blankPicture, paint } from '../../../tests/pictures';
import { whitened } from './white-balance';

const sheet = (paper: string, sticker: string) => {
  const picture = blankPicture(400, 400, paper);
  paint(picture, { x: 100, y: 100, w: 150, h: 150 }, sticker);
  return { ...picture, scale: 10 };
};
const at = ({ data, width }: ReturnType<typeof whitened>, x: number, y: number): number[] => [
  ...data.slice((y * width + x) * 4, (y * width + x) * 4 + 3),
];

it('paper in the light of a lamp is white, and what lies on it is so much bluer', () => {
  const lit = whitened(sheet('#f0dcb4', '#806030'));
  expect(Math.max(...at(lit, 20, 20)) - Math.min(...at(lit, 20, 20))).toBeLessThanOrEqual(2);
  expect(at(lit, 20, 20)[0]).toBeGreaterThan(240);
  const [r = 0, , b = 0] = at(lit, 150, 150);
  expect(b / r).toBeGreaterThan(0x30 / 0x80 + 0.05);
});

it('brown paper on which nothing is white stays brown; with a white sticker that one is the white', () => {
  expect(at(whitened(sheet('#c19a6b', '#3a5a40')), 20, 20)).toEqual([0xc1, 0x9a, 0x6b]);
  const [r = 0, , b = 0] = at(whitened(sheet('#c19a6b', '#f4ead2')), 20, 20);
  expect(r - b).toBeGreaterThan(60);
});

it('a picture in which nothing is light is not made so', () =>
  expect(at(whitened(sheet('#404040', '#202020')), 20, 20)).toEqual([0x40, 0x40, 0x40]));
