import { randomFrom } from '../measure/random';
import { dilated } from './dilated';

const [WIDTH, HEIGHT] = [24, 18];
const isInside = (i: number) => i % WIDTH > 0 && i % WIDTH < WIDTH - 1 && i >= WIDTH && i < WIDTH * (HEIGHT - 1);
const apart = (i: number, j: number) =>
  Math.hypot((i % WIDTH) - (j % WIDTH), Math.floor(i / WIDTH) - Math.floor(j / WIDTH));

describe('a set that is widened by a disc', () => {
  it.each([0, 1, 2, 2.5, 3.5])('has all that is within %d px of it, and no more, whatever it is (seed 9)', (radius) => {
    const random = randomFrom(9);
    for (let round = 0; round < 5; round++) {
      const set = Uint8Array.from({ length: WIDTH * HEIGHT }, () => (random() < 0.04 ? 1 : 0));
      const from = [...set.keys()].filter((i) => set[i] && isInside(i));
      const expected = [...set.keys()].map((i) =>
        set[i] || (isInside(i) && from.some((j) => apart(i, j) <= radius)) ? 1 : 0,
      );
      expect([...dilated(set, WIDTH, HEIGHT, radius)]).toEqual(expected);
    }
  });

  it('is nothing of nothing, everything of everything, and leaves what it was given', () => {
    const set = new Uint8Array(WIDTH * HEIGHT);
    expect(dilated(set, WIDTH, HEIGHT, 3)).toEqual(set);
    expect(dilated(set.fill(1), WIDTH, HEIGHT, 3)).toEqual(set);
    const one = new Uint8Array(WIDTH * HEIGHT);
    one[5 * WIDTH + 5] = 1;
    dilated(one, WIDTH, HEIGHT, 3);
    expect(one.filter((v) => v === 1)).toHaveLength(1);
  });

  it('does not begin at the outermost pixels, nor reach them', () => {
    const set = new Uint8Array(WIDTH * HEIGHT);
    set.fill(1, 0, WIDTH); // the first row
    set[3 * WIDTH] = 1; // and in the first column
    expect(dilated(set, WIDTH, HEIGHT, 3)).toEqual(set);
    set[WIDTH + 1] = 1;
    const out = dilated(set, WIDTH, HEIGHT, 1);
    expect([out[WIDTH], out[WIDTH + 2], out[2 * WIDTH + 1]]).toEqual([0, 1, 1]);
  });
});
