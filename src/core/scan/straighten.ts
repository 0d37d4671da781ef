import type { Homography, Quad } from './homography';
import { homography } from './homography';
import type { Raster } from './raster';
import { shrunk } from './raster';

/** A sheet seen straight from above: `scale` pixels a millimeter. */
export interface FlatSheet extends Raster {
  readonly scale: number;
}

/**
 * Undoes tilt and perspective.
 * @param corners of the sheet in the picture, px
 * @param width,height of the sheet, mm
 * @param scale pixels a millimeter wanted
 */
export function straightened(picture: Raster, corners: Quad, width: number, height: number, scale: number): FlatSheet {
  const w = Math.round(width * scale);
  const h = Math.round(height * scale);
  // finer pictures are averaged first, so that no grain is left and nothing thin is skipped
  const span = Math.hypot(corners[1].x - corners[0].x, corners[1].y - corners[0].y) / w;
  const by = Math.max(1, Math.floor(span + 0.25));
  const source = shrunk(picture, by);
  const seen = corners.map(({ x, y }) => ({ x: x / by - 0.5, y: y / by - 0.5 })) as unknown as Quad;
  const flat: Quad = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ];
  return { ...resampled(source, homography(flat, seen), w, h), scale };
}

/** Each pixel of the new picture from where `back` finds it in the old one, between its four neighbors. */
function resampled({ width, height, data }: Raster, back: Homography, w: number, h: number): Raster {
  const out = new Uint8ClampedArray(w * h * 4);
  const [a, b, c, d, e, f, g, i] = back;
  for (let y = 0, o = 0; y < h; y++)
    for (let x = 0; x < w; x++, o += 4) {
      const px = x + 0.5;
      const py = y + 0.5;
      const depth = g * px + i * py + 1;
      const u = Math.min(width - 1.001, Math.max(0, (a * px + b * py + c) / depth));
      const v = Math.min(height - 1.001, Math.max(0, (d * px + e * py + f) / depth));
      const x0 = u | 0;
      const y0 = v | 0;
      const fx = u - x0;
      const fy = v - y0;
      const p = (y0 * width + x0) * 4;
      const q = p + width * 4;
      for (let k = 0; k < 3; k++) {
        const above = (data[p + k] as number) * (1 - fx) + (data[p + 4 + k] as number) * fx;
        const below = (data[q + k] as number) * (1 - fx) + (data[q + 4 + k] as number) * fx;
        out[o + k] = above * (1 - fy) + below * fy;
      }
      out[o + 3] = 255;
    }
  return { width: w, height: h, data: out };
}
