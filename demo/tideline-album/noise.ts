import { hashOf } from '../../src/core/measure/random';

/** A smooth random field over the plane, 0-1, from a seed. Value noise on a unit lattice, from memory. */
export function noiseFrom(seed: string): (x: number, y: number) => number {
  const base = hashOf(seed);
  const at = (x: number, y: number): number => {
    let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ base;
    h = Math.imul(h ^ (h >>> 13), 1274126177);
    return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
  };
  return (x, y) => {
    const [x0, y0] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [smooth(x - x0), smooth(y - y0)];
    const top = at(x0, y0) * (1 - u) + at(x0 + 1, y0) * u;
    const bottom = at(x0, y0 + 1) * (1 - u) + at(x0 + 1, y0 + 1) * u;
    return top * (1 - v) + bottom * v;
  };
}

const smooth = (t: number): number => t * t * (3 - 2 * t);

/** Noise of several sizes, each half as large and half as strong as the one before it, 0-1. */
export function cloudsFrom(seed: string, octaves = 5): (x: number, y: number) => number {
  const layers = Array.from({ length: octaves }, (_, i) => noiseFrom(`${seed} ${i}`));
  return (x, y) => {
    let [sum, weight, total] = [0, 1, 0];
    layers.forEach((layer, i) => {
      sum += weight * layer(x * 2 ** i, y * 2 ** i);
      total += weight;
      weight /= 2;
    });
    return sum / total;
  };
}
