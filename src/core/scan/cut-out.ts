import type { Hex } from '../color/color';
import type { Rect } from '../measure/rect';
import type { Shape } from '../kit/kinds';
import type { Raster } from './raster';
import type { FlatSheet } from './straighten';

/** Over how much the outline fades into nothing, px. */
const FEATHER = 1;

/**
 * A sticker's picture from its sheet, with nothing round it. Rectangles and circles are cut to the line; others are
 * cleared of what looks like the backing, from their rim inward.
 * @param rect mm
 * @param backing the sheet's
 */
export function cutOut(sheet: FlatSheet, rect: Rect, shape: Shape, backing: Hex): Raster {
  const { scale, width, height, data } = sheet;
  const x0 = Math.max(0, Math.round(rect.x * scale));
  const y0 = Math.max(0, Math.round(rect.y * scale));
  const w = Math.max(1, Math.min(width - x0, Math.round(rect.w * scale)));
  const h = Math.max(1, Math.min(height - y0, Math.round(rect.h * scale)));
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++) {
    const from = ((y0 + y) * width + x0) * 4;
    out.set(data.subarray(from, from + w * 4), y * w * 4);
  }
  if (shape === 'circle') clearOutside(out, w, h);
  else if (shape !== 'rect') clearBacking(out, w, h, backing);
  return { width: w, height: h, data: out };
}

function clearOutside(data: Uint8ClampedArray, w: number, h: number): void {
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const far = Math.hypot((x + 0.5 - w / 2) / (w / 2), (y + 0.5 - h / 2) / (h / 2));
      const inside = ((1 - far) * Math.min(w, h)) / 2;
      data[(y * w + x) * 4 + 3] = 255 * Math.max(0, Math.min(1, inside / FEATHER + 0.5));
    }
}

/** Colors nearer to the backing than this are backing, the sum of three channels. */
const LIKE = 36;
/** Where more than this would go, the sticker itself looks as the backing does: it stays whole. */
const MOST = 0.5;

function clearBacking(data: Uint8ClampedArray, w: number, h: number, backing: Hex): void {
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(backing.slice(i, i + 2), 16)) as [number, number, number];
  const like = (i: number): boolean =>
    Math.abs((data[i * 4] as number) - r) +
      Math.abs((data[i * 4 + 1] as number) - g) +
      Math.abs((data[i * 4 + 2] as number) - b) <
    LIKE;
  const gone = new Uint8Array(w * h);
  const queue = new Int32Array(w * h);
  let end = 0;
  const take = (i: number): void => {
    if (gone[i] || !like(i)) return;
    gone[i] = 1;
    queue[end++] = i;
  };
  for (let x = 0; x < w; x++) [x, (h - 1) * w + x].forEach(take);
  for (let y = 0; y < h; y++) [y * w, y * w + w - 1].forEach(take);
  for (let at = 0; at < end; at++) {
    const i = queue[at] as number;
    const x = i % w;
    if (x > 0) take(i - 1);
    if (x < w - 1) take(i + 1);
    if (i >= w) take(i - w);
    if (i < w * (h - 1)) take(i + w);
  }
  if (end > MOST * w * h) return;
  for (let i = 0; i < gone.length; i++) if (gone[i]) data[i * 4 + 3] = 0;
}
