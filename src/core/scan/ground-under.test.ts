import { blankPicture, paint } from '../../../tests/pictures';
import { piece } from '../../../tests/fixtures';
import { inkFor, showsOn, BLACK, WHITE } from '../spread/ink';
import { groundUnder, middleOf } from './ground-under';

const [W, H, SCALE] = [30, 20, 10];
const mm = (x: number, y: number, w: number, h: number) => ({ x: x * SCALE, y: y * SCALE, w: w * SCALE, h: h * SCALE });
const dark = blankPicture(W * SCALE, H * SCALE, '#1c1f4a');
paint(dark, mm(6, 4, 18, 12), '#faf6ea');

it('a dark sticker with a pale field is written on in black, by what its picture shows there', () => {
  const ground = groundUnder(dark, middleOf(W, H), W, H);
  const [darkest, lightest] = ground;
  expect([darkest, lightest]).toEqual(['#1c1f4a', '#faf6ea']);
  const field = groundUnder(dark, { x: 7, y: 5, w: 16, h: 10 }, W, H);
  expect(field).toEqual(['#faf6ea']);
  const scanned = piece({ kind: 'date-cover', color: '#1c1f4a', picture: 'f'.repeat(64) });
  expect(inkFor(scanned)).toBe('white gel pen');
  expect(inkFor({ ...scanned, ground: field })).toBe('black gel pen');
  // where both are under the letters neither pen shows: the review says so (P2)
  expect(Math.max(showsOn({ ...scanned, ground }, BLACK), showsOn({ ...scanned, ground }, WHITE))).toBeLessThan(2);
});

it('a speck is no ground, and what is clear shows the paper', () => {
  const page = blankPicture(W * SCALE, H * SCALE, '#faf6ea');
  paint(page, mm(10, 8, 4, 4), '#1c1f4a');
  expect(groundUnder(page, middleOf(W, H), W, H)).toEqual(['#faf6ea']);
  paint(page, mm(6, 4, 9, 9), '#1c1f4a');
  expect(groundUnder(page, middleOf(W, H), W, H)).toEqual(['#1c1f4a', '#faf6ea']);
  for (let i = 3; i < page.data.length; i += 4) page.data[i] = 0;
  expect(groundUnder(page, middleOf(W, H), W, H)).toEqual(['#fffdf9']);
});
