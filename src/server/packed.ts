import { deflateSync } from 'node:zlib';

/** At 6 the demo's print is a twentieth shorter: 1.33 MB for 1.40. */
const LEVEL = 3;

/** Bytes as a print's forms hold them; with Node, which is quicker at it than JavaScript. */
export const packed = (bytes: Uint8Array): Uint8Array => deflateSync(bytes, { level: LEVEL });
