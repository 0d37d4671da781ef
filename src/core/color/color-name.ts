import type { Hex } from './color';
import { oklabOf } from './oklab';

/** Up to which lightness, from 0 to 1, and from which chroma on a name holds, in OKLCH. */
interface Name {
  readonly word: string;
  /** of less chroma another name follows */
  readonly chroma?: number;
  /** darker than this another name follows */
  readonly light?: number;
}

/** Words for one stretch of hues, the first that holds; the last one holds for all. */
interface Hues {
  /** degrees at which it begins */
  readonly from: number;
  readonly names: readonly Name[];
}

/** What people call colors, by hue, then lightness and chroma. Bounds by the colors of CSS, the words from memory. */
const HUES: readonly Hues[] = [
  {
    from: 0,
    names: [{ word: 'pink', light: 0.6 }, { word: 'red', light: 0.4 }, { word: 'burgundy' }],
  },
  {
    from: 14,
    names: [
      { word: 'pink', light: 0.84 },
      { word: 'red', chroma: 0.22 },
      { word: 'coral', light: 0.66, chroma: 0.075 },
      { word: 'red', chroma: 0.11 },
      { word: 'rose', light: 0.55, chroma: 0.045 },
      { word: 'red', chroma: 0.1 },
      { word: 'brown' },
    ],
  },
  {
    from: 34,
    names: [
      { word: 'peach', light: 0.86 },
      { word: 'orange', chroma: 0.2 },
      { word: 'peach', light: 0.8, chroma: 0.05 },
      { word: 'coral', light: 0.6, chroma: 0.12 },
      { word: 'coral', light: 0.64, chroma: 0.08 },
      { word: 'sand', light: 0.66 },
      { word: 'brown' },
    ],
  },
  {
    from: 46,
    names: [
      { word: 'peach', light: 0.88, chroma: 0.04 },
      { word: 'cream', light: 0.88 },
      { word: 'orange', light: 0.66, chroma: 0.13 },
      { word: 'peach', light: 0.8, chroma: 0.065 },
      { word: 'orange', light: 0.66, chroma: 0.145 },
      { word: 'orange', light: 0.72, chroma: 0.1 },
      { word: 'sand', light: 0.72 },
      { word: 'brown' },
    ],
  },
  {
    from: 66,
    names: [
      { word: 'peach', light: 0.88, chroma: 0.055 },
      { word: 'cream', light: 0.88 },
      { word: 'orange', light: 0.66, chroma: 0.1 },
      { word: 'sand', light: 0.66 },
      { word: 'brown' },
    ],
  },
  {
    from: 76,
    names: [
      { word: 'yellow', light: 0.84, chroma: 0.1 },
      { word: 'cream', light: 0.88 },
      { word: 'mustard', light: 0.6, chroma: 0.1 },
      { word: 'sand', light: 0.6 },
      { word: 'brown' },
    ],
  },
  {
    from: 98,
    names: [{ word: 'yellow', light: 0.8, chroma: 0.05 }, { word: 'cream', light: 0.86 }, { word: 'olive' }],
  },
  {
    from: 118,
    names: [{ word: 'lime', light: 0.72, chroma: 0.15 }, { word: 'green', light: 0.72 }, { word: 'olive' }],
  },
  { from: 132, names: [{ word: 'lime', light: 0.82, chroma: 0.22 }, { word: 'green' }] },
  { from: 160, names: [{ word: 'mint', light: 0.75 }, { word: 'green' }] },
  {
    from: 176,
    names: [
      { word: 'aqua', light: 0.85, chroma: 0.03 },
      { word: 'turquoise', light: 0.74, chroma: 0.08 },
      { word: 'mint', light: 0.78 },
      { word: 'teal' },
    ],
  },
  {
    from: 214,
    names: [{ word: 'blue', light: 0.36 }, { word: 'navy' }],
  },
  {
    from: 278,
    names: [{ word: 'lavender', light: 0.84 }, { word: 'violet' }],
  },
  {
    from: 300,
    names: [{ word: 'lilac', light: 0.8 }, { word: 'purple' }],
  },
  {
    from: 318,
    names: [
      { word: 'lilac', light: 0.8 },
      { word: 'magenta', chroma: 0.24 },
      { word: 'orchid', light: 0.6 },
      { word: 'purple', chroma: 0.14 },
      { word: 'plum' },
    ],
  },
  {
    from: 341,
    names: [{ word: 'pink', light: 0.6 }, { word: 'magenta', light: 0.45, chroma: 0.12 }, { word: 'plum' }],
  },
];
/** Of less chroma than this a color is gray, or a white with a hint. */
const GRAY = 0.018;
/** A light color shows its hue sooner. */
const FAINT = 0.012;
/** A darker color needs more, to be more than gray with a hint. */
const TINTED = 0.04;
/** Names that say of themselves that they are light, or dark. */
const LIGHT = new Set(['cream', 'peach', 'mint', 'lavender', 'lilac', 'aqua', 'lime', 'white']);
const DARK = new Set(['navy', 'burgundy', 'black']);

/** A color as one would say it at the table: `pale pink`, `dark teal`, `mustard`, `gray`. */
export function colorName(color: Hex): string {
  const { l, c, h } = oklabOf(color);
  const word = wordOf(l, c, h);
  // yellow is light by nature
  const isPale = l > 0.86 && !LIGHT.has(word) && !(word === 'yellow' && c > 0.13);
  const isDark = l < (word === 'brown' ? 0.36 : 0.45) && !DARK.has(word);
  return `${isPale ? 'pale ' : isDark ? 'dark ' : ''}${word}`;
}

function wordOf(l: number, c: number, h: number): string {
  const isEarth = h > 14 && h < 76 && l < 0.45;
  if (c < (l > 0.85 ? FAINT : GRAY) || (l < 0.8 && c < TINTED && !isEarth))
    return l > 0.94 ? 'white' : l < 0.27 ? 'black' : 'gray';
  if (l > 0.95 && c < 0.02) return 'white';
  const hues = HUES.findLast(({ from }) => h >= from);
  const name = hues?.names.find(({ light = 0, chroma = 0 }) => l >= light && c >= chroma) ?? hues?.names.at(-1);
  return name?.word ?? 'gray';
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
