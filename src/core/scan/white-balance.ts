import type { Raster } from './raster';
import { shrunk } from './raster';
import type { FlatSheet } from './straighten';

/** Px of the small picture in which the lightest things are looked for, of the sheet's px. */
const CELL = 8;
/** The lightest share of a sheet is its paper, or white stickers on it; what is lighter still is a spot of light. */
const LIGHTEST = 0.02;
const GLARE = 0.002;
/** Light is no more colored than this, largest channel over least; what is more so is a colored paper without white. */
const COLORED = 2.2;
/** Paper is no darker in a picture that can be read, linear light. */
const DIM = 0.18;
/** What white paper sends back, linear light. From memory. */
const PAPER = 0.93;

const linear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const coded = (t: number): number => (t <= 0.0031308 ? 12.92 * t : 1.055 * t ** (1 / 2.4) - 0.055);

/**
 * A photo in the light of a table, as it would be in white light: each channel is made so much stronger that the
 * lightest paper on it is white. A scanner's light is white; its pictures are not for this. A colored paper on which
 * nothing is white stays as it is. Source: von Kries (1902), the white patch, from memory.
 */
export function whitened(flat: FlatSheet): FlatSheet {
  const white = lightest(shrunk(flat, CELL));
  if (!white || Math.max(...white) > COLORED * Math.min(...white) || Math.max(...white) < DIM) return flat;
  const tables = white.map((w) =>
    Uint8ClampedArray.from({ length: 256 }, (_, v) =>
      Math.round(255 * coded(Math.min(1, (linear(v / 255) * PAPER) / w))),
    ),
  ) as [Uint8ClampedArray, Uint8ClampedArray, Uint8ClampedArray];
  const data = new Uint8ClampedArray(flat.data);
  for (let i = 0; i < data.length; i += 4)
    for (let c = 0; c < 3; c++) data[i + c] = (tables[c] as Uint8ClampedArray)[data[i + c] as number] as number;
  return { ...flat, data };
}

/** The color of the lightest places, linear light. */
function lightest({ data }: Raster): [number, number, number] | null {
  const places = Array.from({ length: data.length / 4 }, (_, i) => {
    const rgb = [0, 1, 2].map((c) => linear((data[4 * i + c] as number) / 255)) as [number, number, number];
    return { rgb, light: 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2] };
  }).sort((p, q) => q.light - p.light);
  const some = places.slice(Math.floor(GLARE * places.length), Math.max(1, Math.floor(LIGHTEST * places.length)));
  if (!some.length) return null;
  return [0, 1, 2].map((c) => some.reduce((sum, { rgb }) => sum + (rgb[c] as number), 0) / some.length) as [
    number,
    number,
    number,
  ];
}
