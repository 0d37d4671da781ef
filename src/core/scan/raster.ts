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
  const pixels = wordsOf(data);
  const count = by * by;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let v = 0; v < by; v++) {
        // red and blue of up to 257 pixels are added up in one word
        let both = 0;
        const first = (y * by + v) * width + x * by;
        for (let i = first; i < first + by; i++) {
          const pixel = pixels[i] as number;
          both += pixel & 0xff00ff;
          g += (pixel >>> 8) & 0xff;
        }
        r += both & 0xffff;
        b += both >>> 16;
      }
      const o = (y * w + x) * 4;
      out[o] = r / count;
      out[o + 1] = g / count;
      out[o + 2] = b / count;
      out[o + 3] = 255;
    }
  return { width: w, height: h, data: out };
}

/** A pixel a word, red in its lowest byte: on what runs JavaScript the lowest byte is the first. */
const wordsOf = (data: Raster['data']): Uint32Array => {
  const { buffer, byteOffset, byteLength } = data.byteOffset % 4 ? Uint8Array.from(data) : data;
  return new Uint32Array(buffer, byteOffset, byteLength >> 2);
};
