/** A picture: four bytes a pixel (red, green, blue, opacity), row by row from the top left. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/**
 * The picture made smaller by a whole number: each new pixel is the mean of `by` x `by` old ones; what is left over at
 * the right and at the bottom is dropped.
 */
export function shrunk({ width, height, data }: Raster, by: number): Raster {
  if (by <= 1) return { width, height, data };
  const w = Math.floor(width / by);
  const h = Math.floor(height / by);
  const out = new Uint8ClampedArray(w * h * 4);
  const count = by * by;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let v = 0; v < by; v++) {
        let i = ((y * by + v) * width + x * by) * 4;
        for (let u = 0; u < by; u++, i += 4) {
          r += data[i] as number;
          g += data[i + 1] as number;
          b += data[i + 2] as number;
        }
      }
      const o = (y * w + x) * 4;
      out[o] = r / count;
      out[o + 1] = g / count;
      out[o + 2] = b / count;
      out[o + 3] = 255;
    }
  return { width: w, height: h, data: out };
}
