import type { Hex } from '../../src/core/color/color';
import { hashOf } from '../../src/core/measure/random';
import type { Ink } from './ink';
import { along, blend, ink, lit } from './ink';
import { cloudsFrom, noiseFrom } from './noise';
import type { Painter } from './photographs';

const METALS: Readonly<Record<'gold' | 'silver' | 'rose-gold', readonly [Hex, Hex, Hex]>> = {
  gold: ['#8f6a1f', '#f8e7a6', '#c69b3c'],
  silver: ['#7c8086', '#f6f7f8', '#b3b7bc'],
  'rose-gold': ['#9c5a4a', '#ffe3d8', '#d39a88'],
};
export type Metal = keyof typeof METALS;

/** Hot foil: it shines where it lies aslant to the lamp. */
export function foil(metal: Metal): Painter {
  const [deep, light, middle] = METALS[metal].map((c) => ink(c)) as [Ink, Ink, Ink];
  const [sheen, grain] = [cloudsFrom(`foil ${metal}`, 2), noiseFrom('crease')];
  return (x, y, w, h) => {
    const t = 0.5 + 0.5 * Math.sin((x / w) * 7 + (y / h) * 1.4 + 4 * sheen(x / 9, y / 9));
    const shown = lit(along([deep, middle, light, middle], t), 0.96 + 0.08 * grain(x * 3, y * 3));
    const rim = Math.min(y, h - y);
    return rim > 0.6 && rim < 0.85 ? lit(shown, 0.72) : shown;
  };
}

/** Watercolor that ran out towards the rim, to be written on in its middle. */
export function wash(color: Hex): Painter {
  const [flow, paper] = [cloudsFrom(`wash ${color}`, 4), noiseFrom('paper')];
  return (x, y, w, h) => {
    const rim = Math.min(x, y, w - x, h - y) + 1.6 * (flow(x / 4, y / 4) - 0.5);
    const pool = Math.max(0, 1 - rim / 2.2);
    const tone = blend(ink('#fffdf8'), ink(color), 0.16 + 0.66 * pool ** 1.4 + 0.12 * flow(x / 6, y / 6));
    return lit(tone, 0.985 + 0.03 * paper(x * 8, y * 8));
  };
}

/** A sheet torn from a squared notebook, with a box to tick in each row. */
export function list(color: Hex, rows: number): Painter {
  const ground = wash(color);
  return (x, y, w, h) => {
    const pitch = h / rows;
    const within = y % pitch;
    const [bx, by] = [x - 1.6, within - (pitch / 2 - 1.2)];
    const inBox = bx >= 0 && bx <= 2.4 && by >= 0 && by <= 2.4;
    const onRim = inBox && Math.min(bx, by, 2.4 - bx, 2.4 - by) < 0.28;
    const line = Math.abs(within - (pitch - 0.9)) < 0.1 && x > 5.4 && x < w - 1.6;
    if (onRim || line) return blend(ink(color), ink('#2b2b2b'), 0.45);
    return inBox ? ink('#fffefb') : ground(x, y, w, h);
  };
}

/** Washi: the paper is seen through it, more where its fibers are thin. */
export function washi(color: Hex, second: Hex): Painter {
  const fibers = cloudsFrom(`fibers ${color}`, 5);
  const seed = hashOf(color) % 7;
  return (x, y, _, h) => {
    const leaf = Math.hypot(((x + seed) % 9) - 4.5, (y - h / 2) * 1.3 + 2 * Math.sin((x + seed) / 3));
    const shown = leaf < 2.6 ? ink(second) : leaf < 2.9 ? lit(ink(second), 0.8) : ink(color);
    const cover = 0.5 + 0.3 * fibers(x / 2, y * 2) + (leaf < 2.9 ? 0.15 : 0);
    return [shown[0], shown[1], shown[2], Math.min(0.95, cover)];
  };
}
