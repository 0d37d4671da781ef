import type { Hex } from '../src/core/color/color';
import type { Rect } from '../src/core/measure/rect';

/** A picture to be drawn on by a test. */
export interface Drawn {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

const rgb = (color: Hex): [number, number, number] =>
  [1, 3, 5].map((i) => parseInt(color.slice(i, i + 2), 16)) as [number, number, number];

export function blankPicture(width: number, height: number, color: Hex): Drawn {
  const picture = { width, height, data: new Uint8ClampedArray(width * height * 4).fill(255) };
  paint(picture, { x: 0, y: 0, w: width, h: height }, color);
  return picture;
}

/** A rectangle of one color, px. */
export function paint({ width, data }: Drawn, { x, y, w, h }: Rect, color: Hex): void {
  const [r, g, b] = rgb(color);
  for (let v = y; v < y + h; v++) for (let u = x; u < x + w; u++) data.set([r, g, b], (v * width + u) * 4);
}

/** Only the rim of a rectangle, `thick` px. */
export function frame(picture: Drawn, { x, y, w, h }: Rect, color: Hex, thick = 1): void {
  paint(picture, { x, y, w, h: thick }, color);
  paint(picture, { x, y: y + h - thick, w, h: thick }, color);
  paint(picture, { x, y, w: thick, h }, color);
  paint(picture, { x: x + w - thick, y, w: thick, h }, color);
}
