import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import type { Letters } from '../core/format/letters';
import { lettersOf } from '../core/format/letters';

const FILES = {
  Pacifico: 'pacifico/files/pacifico-latin-400-normal',
  Sacramento: 'sacramento/files/sacramento-latin-400-normal',
  Fraunces: 'fraunces/files/fraunces-latin-600-normal',
  Figtree: 'figtree/files/figtree-latin-500-normal',
  Caveat: 'caveat/files/caveat-latin-500-normal',
} as const;

/** Where the installed font packages are; the application and the command both run from the project's folder. */
const FOLDER = join(process.cwd(), 'node_modules', '@fontsource');

const fontBytes = (name: keyof typeof FILES): Buffer => readFileSync(join(FOLDER, `${FILES[name]}.woff`));

/** The fonts of the print, unpacked; reading packed ones costs seconds. */
export const printFonts = () => ({
  plain: unpacked(fontBytes('Figtree')),
  heading: unpacked(fontBytes('Fraunces')),
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

/** The lettering of all fonts that a spread's drawing uses; opened once. */
export const shippedLetters = (): Letters =>
  (opened ??= lettersOf(
    new Map((Object.keys(FILES) as (keyof typeof FILES)[]).map((name) => [name, unpacked(fontBytes(name))])),
  ));
