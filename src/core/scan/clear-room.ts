import { labPlanes } from './lab-planes';
import type { Raster } from './raster';
import type { Rect } from '../measure/rect';

/** Cells a millimeter: half the height of the smallest letter. */
const CELLS = 2;
/** Ground to write on is of one lightness, give or take, and nothing is drawn across it. */
const TONE = 12;
const DRAWN = 9;
/** What covers less is not there to be written on, 0-255. */
const COVERS = 200;
/** Less than this is no room for a word, mm. */
const NARROWEST = 12;
const LOWEST = 4.5;
/** Smaller than so much of the sticker it is a gap in a picture. */
const SHARE = 0.2;

/**
 * The part of a sticker's picture that can be written on: the largest upright rectangle of one even ground, clear of
 * what is printed. In the sticker's own mm.
 * @param width,height of the sticker, mm
 * @returns null where nothing is even enough
 */
export function clearRoom(picture: Raster, width: number, height: number): Rect | null {
  const [columns, rows] = [Math.floor(width * CELLS), Math.floor(height * CELLS)];
  if (columns < 4 || rows < 4) return null;
  const { tone, spread, covered } = cellsOf(picture, columns, rows);
  const ground = median(tone.filter((_, i) => covered[i]));
  const free = Array.from(
    tone,
    (l, i) => covered[i] === 1 && Math.abs(l - ground) < TONE && (spread[i] as number) < DRAWN,
  );
  const best = largestFree(free, columns, rows);
  const room: Rect = {
    x: (best.x * width) / columns,
    y: (best.y * height) / rows,
    w: (best.w * width) / columns,
    h: (best.h * height) / rows,
  };
  const isRoom = room.w >= NARROWEST && room.h >= LOWEST && room.w * room.h >= SHARE * width * height;
  return isRoom ? room : null;
}

/** Of each cell its lightness, how much that varies within it, and whether it is covered. */
function cellsOf(picture: Raster, columns: number, rows: number) {
  const { width, height, data } = picture;
  const { l: lightness } = labPlanes(picture);
  const [tone, spread] = [new Float32Array(columns * rows), new Float32Array(columns * rows)];
  const covered = new Uint8Array(columns * rows);
  for (let v = 0; v < rows; v++)
    for (let u = 0; u < columns; u++) {
      const [x0, x1] = [u, u + 1].map((k) => Math.floor((k * width) / columns)) as [number, number];
      const [y0, y1] = [v, v + 1].map((k) => Math.floor((k * height) / rows)) as [number, number];
      let [sum, n, low, high, cover] = [0, 0, 100, 0, 255];
      for (let y = y0; y < Math.max(y0 + 1, y1); y++)
        for (let x = x0; x < Math.max(x0 + 1, x1); x++) {
          const i = y * width + x;
          const l = lightness[i] as number;
          sum += l;
          n++;
          if (l < low) low = l;
          if (l > high) high = l;
          cover = Math.min(cover, data[4 * i + 3] as number);
        }
      const k = v * columns + u;
      tone[k] = sum / n;
      spread[k] = high - low;
      covered[k] = cover >= COVERS ? 1 : 0;
    }
  return { tone, spread, covered };
}

function median(values: Float32Array): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[sorted.length >> 1] ?? 0;
}

/** The largest rectangle of free cells, row by row over the heights of what is free above. From memory. */
function largestFree(free: readonly boolean[], columns: number, rows: number): Rect {
  const heights = new Int32Array(columns + 1);
  let best: Rect = { x: 0, y: 0, w: 0, h: 0 };
  for (let y = 0; y < rows; y++) {
    for (let x = 0; x < columns; x++) heights[x] = free[y * columns + x] ? (heights[x] as number) + 1 : 0;
    const open: { x: number; h: number }[] = [];
    for (let x = 0; x <= columns; x++) {
      const h = heights[x] as number;
      let from = x;
      while (open.length && (open.at(-1) as { h: number }).h >= h) {
        const { x: begin, h: tall } = open.pop() as { x: number; h: number };
        if (tall * (x - begin) > best.w * best.h) best = { x: begin, y: y - tall + 1, w: x - begin, h: tall };
        from = begin;
      }
      open.push({ x: from, h });
    }
  }
  return best;
}
