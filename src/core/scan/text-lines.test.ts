import { partsOf } from './parts';
import { textLines } from './text-lines';

const SCALE = 10;
const [WIDTH, HEIGHT] = [600, 200];
type Box = readonly [x: number, y: number, w: number, h: number];

/** How many of the parts that some boxes make are said to be letters; mm. */
const letters = (boxes: readonly Box[]): number => {
  const set = new Uint8Array(WIDTH * HEIGHT);
  for (const [x, y, w, h] of boxes)
    for (let v = Math.round(y * SCALE); v < (y + h) * SCALE; v++)
      for (let u = Math.round(x * SCALE); u < (x + w) * SCALE; u++) set[v * WIDTH + u] = 1;
  const { labels, parts } = partsOf(set, WIDTH, HEIGHT);
  return textLines(parts, { labels, width: WIDTH }, SCALE).size;
};
/** A letter: a stem with a bow of its own width. */
const letter = (x: number, bow: number): Box[] => [
  [x, 5, 0.6, 4],
  [x, 6.5, bow, 0.6],
];
const word = [1.5, 2.6, 1.2, 3, 2.2].flatMap((bow, i) => letter(5 + 3.6 * i, bow));

it('letters of uneven width in a line are print on the paper', () => expect(letters(word)).toBe(5));

it('a row of small stickers of one width is none', () =>
  expect(letters([0, 1, 2, 3, 4, 5].map((i) => [5 + 6 * i, 5, 5, 5]))).toBe(0));

it('nor is a low strip, nor a single letter, nor a word that is higher than letters are', () => {
  expect(letters([[5, 5, 40, 4]])).toBe(0);
  expect(letters(letter(5, 2))).toBe(0);
  expect(letters(word.map(([x, y, w, h]): Box => [x, y - 4, w, h > 1 ? 8 : h]))).toBe(0);
});
