import { deflateSync } from 'node:zlib';
import { printFonts } from './fonts';

/** At 6 the demo's print is a twentieth shorter: 1.33 MB for 1.40. */
const LEVEL = 3;

/** What a print is made with here: the shipped fonts, and Node's way to pack, which is quicker than JavaScript's. */
export const printParts = () => ({
  fonts: printFonts(),
  pack: (bytes: Uint8Array): Uint8Array => deflateSync(bytes, { level: LEVEL }),
});
