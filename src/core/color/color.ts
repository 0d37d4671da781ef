import {
  converter,
  differenceCiede2000,
  formatHex,
  interpolate,
  modeLab65,
  modeLrgb,
  modeOklab,
  modeRgb,
  modeXyz65,
  parse,
  useMode,
  wcagLuminance,
} from 'culori/fn';

useMode(modeRgb);
useMode(modeLrgb);
useMode(modeXyz65);
useMode(modeLab65);
useMode(modeOklab);

const ciede2000 = differenceCiede2000();
const toLab = converter('lab65');

/** A color as `#rrggbb`. */
export type Hex = string;

export const isHex = (text: string): boolean => /^#[0-9a-f]{6}$/i.test(text);

/**
 * Perceived difference (CIEDE2000). Under 2 is hardly seen, over 20 is another color.
 * Checked against the 34 pairs of Sharma, Wu and Dalal (2005).
 */
export function difference(a: Hex, b: Hex): number {
  const pair = a + b;
  let distance = measured.get(pair);
  if (distance === undefined) {
    distance = differenceOfLab(labOf(a), labOf(b));
    if (measured.size >= MOST_MEASURED) measured.clear();
    measured.set(pair, distance);
  }
  return distance;
}

/** A color in CIELAB under D65. */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

/**
 * Perceived difference of two colors in CIELAB, by the formula of Sharma, Wu and Dalal (2005).
 * @example differenceOfLab({ l: 50, a: 2.5, b: 0 }, { l: 50, a: 3.1736, b: 0.5854 }) // 1
 */
export const differenceOfLab = (one: Lab, other: Lab): number =>
  ciede2000({ mode: 'lab65', ...one }, { mode: 'lab65', ...other });

/** The nearest color that a screen can show. */
export const hexOfLab = ({ l, a, b }: Lab): Hex => formatHex({ mode: 'lab65', l, a, b });

/** Colors nearer than this look like one (CIEDE2000). From memory. */
export const ONE_COLOR = 12;

/** Each color is brought into Lab once: a search for substitutes compares thousands. */
function labOf(color: Hex) {
  const known = labs.get(color);
  if (known) return known;
  const lab = toLab(read(color));
  if (labs.size >= MOST_LABS) labs.clear();
  labs.set(color, lab);
  return lab;
}

const labs = new Map<Hex, ReturnType<typeof toLab>>();
const MOST_LABS = 50_000;

/** A kit has few colors and the arranging compares them over and over. */
const measured = new Map<string, number>();
const MOST_MEASURED = 20_000;

/** `a` moved `share` (0-1) of the way to `b`, evenly to the eye (OKLab). */
export function mix(a: Hex, b: Hex, share: number): Hex {
  return formatHex(interpolate([read(a), read(b)], 'oklab')(share)) ?? a;
}

/** Contrast ratio 1-21. Source: WCAG 2.2, definition of contrast ratio. */
export function contrast(a: Hex, b: Hex): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** Lightness by relative luminance, 0 (black) to 1 (white). Source: WCAG 2.2, relative luminance. */
export function luminance(color: Hex): number {
  const known = lights.get(color) ?? wcagLuminance(read(color));
  if (lights.size >= MOST_LABS) lights.clear();
  lights.set(color, known);
  return known;
}

const lights = new Map<Hex, number>();

function read(color: Hex) {
  const read = parse(color);
  if (!read) throw new RangeError(`not a color: ${color}`);
  return read;
}
