import type { Look } from './same-design';
import { usedPlaces } from './used-places';

/** A look of one color, CIELAB, with a stroke of another lightness in its middle. */
const look = (lab: readonly [number, number, number], stroke = lab[0], w = 20, h = 10): Look => {
  const [columns, rows] = [w * 4, h * 4];
  const cells = new Float32Array(columns * rows * 3);
  for (let i = 0; i < columns * rows; i++) {
    const inStroke = Math.abs(Math.floor(i / columns) - rows / 2) < 3;
    cells.set([inStroke ? stroke : lab[0], lab[1], lab[2]], 3 * i);
  }
  return { w, h, cut: false, columns, rows, cells };
};
const printed = look([70, 20, 10], 30);

it('a light bare place of a printed one’s size may be used up', () =>
  expect([...usedPlaces([printed, look([93, 0, 6])])]).toEqual([1]));

it('but none that is printed, dark, colored, or of a size of its own', () => {
  const others = [look([93, 0, 6], 60), look([70, 0, 6]), look([90, 10, 30]), look([93, 0, 6], 93, 24, 10)];
  expect([...usedPlaces([printed, ...others])]).toEqual([]);
});

it('where all of a size are bare they are white stickers', () =>
  expect([...usedPlaces([look([93, 0, 6]), look([93, 0, 6])])]).toEqual([]));
