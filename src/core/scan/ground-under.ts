import type { Hex } from '../color/color';
import { luminance, mix } from '../color/color';
import type { Rect } from '../measure/rect';
import { PAPER } from '../spread/ink';
import type { Raster } from './raster';

/** Cells a millimeter: a stroke of a pen. */
const CELLS = 2;
/** One cell in so many may be a speck, and is no ground. */
const SPECK = 10;
/** What a frame takes of a side. */
const BORDER = 0.15;

/**
 * What a picture shows under letters, over the paper where it lets that through: its darkest and its lightest ground,
 * specks left out.
 * @param room where the letters go, and the size of the sticker, mm
 */
export function groundUnder(picture: Raster, room: Rect, width: number, height: number): readonly Hex[] {
  const cells: Hex[] = [];
  for (let y = room.y; y < room.y + room.h; y += 1 / CELLS)
    for (let x = room.x; x < room.x + room.w; x += 1 / CELLS) cells.push(colorAt(picture, x / width, y / height));
  const byLight = cells.sort((a, b) => luminance(a) - luminance(b));
  const speck = Math.floor(byLight.length / SPECK);
  const ends = [byLight[speck], byLight[byLight.length - 1 - speck]].filter((c) => c !== undefined);
  return [...new Set(ends)];
}

/** @param u,v shares of the picture's width and height */
function colorAt({ width, height, data }: Raster, u: number, v: number): Hex {
  const at = (share: number, n: number): number => Math.min(n - 1, Math.max(0, Math.floor(share * n)));
  const i = 4 * (at(v, height) * width + at(u, width));
  const hex = [0, 1, 2].map((c) => (data[i + c] as number).toString(16).padStart(2, '0')).join('');
  return mix(PAPER.color, `#${hex}`, (data[i + 3] as number) / 255);
}

/** Where letters go on a sticker whose picture leaves no even ground, mm. */
export const middleOf = (width: number, height: number): Rect => ({
  x: width * BORDER,
  y: height * BORDER,
  w: width * (1 - 2 * BORDER),
  h: height * (1 - 2 * BORDER),
});
