import type { Hex } from './color';
import { oklabOf } from './oklab';

/** Hues by the degree they begin at, in OKLCH. */
const HUES: readonly (readonly [number, string])[] = [
  [0, 'pink'],
  [20, 'coral'],
  [48, 'orange'],
  [72, 'sand'],
  [100, 'yellow'],
  [118, 'olive'],
  [138, 'green'],
  [168, 'teal'],
  [212, 'blue'],
  [278, 'violet'],
  [322, 'plum'],
  [350, 'pink'],
];
const GRAY = 0.018;

/** A color as one would say it at the table: `pale coral`, `dark teal`, `gray`. Words from memory. */
export function colorName(color: Hex): string {
  const { l, c, h } = oklabOf(color);
  if (c < GRAY) return l > 0.93 ? 'white' : l < 0.3 ? 'black' : 'gray';
  const hue = [...HUES].reverse().find(([from]) => h >= from)?.[1] ?? 'pink';
  const shade = l > 0.86 ? 'pale ' : l < 0.45 ? 'dark ' : '';
  return `${shade}${hue}`;
}

/**
 * The names of several colors side by side, no two the same: of those that people call alike the lighter is the light
 * one, the darker the deep one.
 */
export function colorNames(colors: readonly Hex[]): string[] {
  const names = colors.map(colorName);
  return names.map((name, i) => {
    const alike = colors
      .map((color, at) => ({ color, at }))
      .filter(({ at }) => names[at] === name)
      .sort((a, b) => oklabOf(b.color).l - oklabOf(a.color).l);
    const at = alike.findIndex((a) => a.at === i);
    if (alike.length === 1) return name;
    return at === 0 ? `light ${name}` : at === alike.length - 1 ? `deep ${name}` : `${name} ${at}`;
  });
}
