import type { Hex } from '../../src/core/color/color';

/** Red, green, blue, each 0-255, and how much it covers, 0-1. */
export type Ink = readonly [red: number, green: number, blue: number, cover: number];

export const ink = (hex: Hex, cover = 1): Ink => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
  cover,
];

/** @param t 0: one, 1: the other; beyond, its end */
export function blend(one: Ink, other: Ink, t: number): Ink {
  const k = Math.max(0, Math.min(1, t));
  const at = (i: number): number => (one[i] as number) * (1 - k) + (other[i] as number) * k;
  return [at(0), at(1), at(2), at(3)];
}

/** A color from stops that lie evenly between 0 and 1. */
export function along(stops: readonly Ink[], t: number): Ink {
  const k = Math.max(0, Math.min(0.9999, t)) * (stops.length - 1);
  const i = Math.floor(k);
  return blend(stops[i] as Ink, stops[i + 1] as Ink, k - i);
}

export const lit = ([r, g, b, a]: Ink, by: number): Ink => [r * by, g * by, b * by, a];
