import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { EmbeddedFonts } from '../core/format/spread-svg';

const FILES = {
  Pacifico: 'pacifico/files/pacifico-latin-400-normal',
  Sacramento: 'sacramento/files/sacramento-latin-400-normal',
  Fraunces: 'fraunces/files/fraunces-latin-600-normal',
  Figtree: 'figtree/files/figtree-latin-500-normal',
  Caveat: 'caveat/files/caveat-latin-500-normal',
} as const;

/** Where the installed font packages are; the application and the command both run from the project's folder. */
const FOLDER = join(process.cwd(), 'node_modules', '@fontsource');

/** A shipped font's file. */
export const fontBytes = (name: keyof typeof FILES, ending: 'woff' | 'woff2'): Uint8Array => readFileSync(join(FOLDER, `${FILES[name]}.${ending}`));

/** All fonts that a spread's drawing uses. */
export function embeddedFonts(): EmbeddedFonts {
  return Object.fromEntries((Object.keys(FILES) as (keyof typeof FILES)[]).map((name) => [name, Buffer.from(fontBytes(name, 'woff2')).toString('base64')]));
}
