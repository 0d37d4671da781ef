// Writes src/core/art/letter-widths.ts: advance widths of the shipped fonts, so that the core can fit lettering
// without a browser.
import { readFileSync, writeFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';

const FONTS = {
  Pacifico: 'pacifico/files/pacifico-latin-400-normal.woff',
  Sacramento: 'sacramento/files/sacramento-latin-400-normal.woff',
  Fraunces: 'fraunces/files/fraunces-latin-600-normal.woff',
  Figtree: 'figtree/files/figtree-latin-600-normal.woff',
  Caveat: 'caveat/files/caveat-latin-500-normal.woff',
};
const lines = Object.entries(FONTS).map(([name, file]) => {
  const font = fontkit.create(readFileSync(new URL(`../node_modules/@fontsource/${file}`, import.meta.url)));
  const widths = Array.from({ length: 95 }, (_, i) =>
    Math.round((font.glyphForCodePoint(32 + i).advanceWidth / font.unitsPerEm) * 1000),
  );
  return `  ${name}: [${widths.join(', ')}],`;
});
writeFileSync(
  new URL('../src/core/art/letter-widths.ts', import.meta.url),
  `/** Advance widths in thousandths of the size, from the space to the tilde (U+0020 to U+007E). Measured by scripts/measure-fonts.mjs. */
export const LETTER_WIDTHS = {
${lines.join('\n')}
} as const;

export type FontName = keyof typeof LETTER_WIDTHS;
`,
);
