import { readFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';

interface Font {
  readonly unitsPerEm: number;
  layout(text: string): {
    readonly glyphs: readonly { readonly path: { toSVG(): string } }[];
    readonly positions: readonly { readonly xAdvance: number }[];
  };
}

const FILES = {
  plain: 'figtree/files/figtree-latin-600-normal.woff',
  bold: 'fraunces/files/fraunces-latin-700-normal.woff',
  script: 'pacifico/files/pacifico-latin-400-normal.woff',
} as const;
export type Hand = keyof typeof FILES;

const opened = new Map<Hand, Font>();
const fontOf = (hand: Hand): Font => {
  const font = opened.get(hand) ?? fontkit.create(readFileSync(`node_modules/@fontsource/${FILES[hand]}`));
  opened.set(hand, font);
  return font;
};

/** How wide a word is, mm. @param size of the letters' em, mm */
export const widthOf = (text: string, hand: Hand, size: number): number => {
  const font = fontOf(hand);
  return (font.layout(text).positions.reduce((sum, p) => sum + p.xAdvance, 0) * size) / font.unitsPerEm;
};

/** A word as outlines, so that no font of the machine takes part: its base line begins at x, y, mm. */
export function word(text: string, x: number, y: number, size: number, color: string, hand: Hand = 'plain'): string {
  const font = fontOf(hand);
  const { glyphs, positions } = font.layout(text);
  const k = size / font.unitsPerEm;
  let at = 0;
  const paths = glyphs.map((glyph, i) => {
    const path = `<path transform="translate(${at})" d="${glyph.path.toSVG()}"/>`;
    at += positions[i]?.xAdvance ?? 0;
    return path;
  });
  return `<g transform="translate(${x} ${y}) scale(${k} ${-k})" fill="${color}">${paths.join('')}</g>`;
}

/** A word in the middle of a rectangle, as large as goes in. */
export function wordIn(
  text: string,
  w: number,
  h: number,
  color: string,
  hand: Hand = 'plain',
  most = Number.POSITIVE_INFINITY,
): string {
  const size = Math.min(most, h * 0.62, ((w - 3) / widthOf(text, hand, 1)) * 0.98);
  return word(text, (w - widthOf(text, hand, size)) / 2, h / 2 + size * 0.32, size, color, hand);
}
