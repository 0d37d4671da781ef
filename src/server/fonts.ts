import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import type { Letters } from '../core/format/letters';
import { lettersOf } from '../core/format/letters';

/** The faces of each font, in the order in which they are asked for a letter. */
const FAMILIES = {
  Pacifico: ['pacifico-latin-400', 'pacifico-latin-ext-400', 'pacifico-cyrillic-400'],
  Sacramento: ['sacramento-latin-400', 'sacramento-latin-ext-400'],
  Fraunces: ['fraunces-latin-600', 'fraunces-latin-ext-600'],
  Figtree: ['figtree-latin-500', 'figtree-latin-ext-500'],
  Caveat: ['caveat-latin-500', 'caveat-latin-ext-500', 'caveat-cyrillic-500', 'caveat-cyrillic-ext-500'],
} as const;
/** What stands in where they have no letter (`scripts/pick-fonts.mjs`), the commonest first. */
const OTHERS = [
  'greek', 'greek-ext', 'vietnamese', 'hebrew', 'arabic', 'emoji', 'symbols', 'math', 'japanese', 'korean',
] as const; // prettier-ignore

/** The application and the command both run from the project's folder. */
const packaged = (file: string): Buffer =>
  readFileSync(
    join(process.cwd(), 'node_modules', '@fontsource', file.split('-')[0] as string, 'files', `${file}-normal.woff`),
  );
const picked = (file: string): Buffer => readFileSync(join(process.cwd(), 'fonts', `${file}.woff`));

/** The fonts of the print, unpacked; reading packed ones costs seconds. */
export const printFonts = () => ({
  plain: unpacked(packaged(FAMILIES.Figtree[0])),
  heading: unpacked(packaged(FAMILIES.Fraunces[0])),
  letters: shippedLetters(),
});

/** A WOFF file as the plain font it holds. Source: W3C, WOFF File Format 1.0, sections 4 and 5. */
function unpacked(woff: Buffer): Uint8Array {
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + i * 20;
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const data = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.subarray(at + 16, at + 20),
      length,
      data: packed < length ? inflateSync(data) : data,
    };
  });
  const directory = 12 + count * 16;
  const font = Buffer.alloc(directory + tables.reduce((sum, t) => sum + Math.ceil(t.length / 4) * 4, 0));
  const power = Math.floor(Math.log2(count));
  woff.copy(font, 0, 4, 8);
  [count, 2 ** power * 16, power, count * 16 - 2 ** power * 16].forEach((value, i) =>
    font.writeUInt16BE(value, 4 + i * 2),
  );
  let at = directory;
  tables.forEach((t, i) => {
    t.tag.copy(font, 12 + i * 16);
    t.checksum.copy(font, 16 + i * 16);
    font.writeUInt32BE(at, 20 + i * 16);
    font.writeUInt32BE(t.length, 24 + i * 16);
    t.data.copy(font, at);
    at += Math.ceil(t.length / 4) * 4;
  });
  return font;
}

let opened: Letters | null = null;

/** The lettering of all fonts that a spread's drawing uses; opened once, each face when a letter of it is wanted. */
export const shippedLetters = (): Letters =>
  (opened ??= lettersOf(
    new Map(Object.entries(FAMILIES).map(([name, files]) => [name, files.map((f) => () => unpacked(packaged(f)))])),
    OTHERS.map((f) => () => unpacked(picked(f))),
  ));
