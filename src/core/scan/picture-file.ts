import { BadInput } from '../format/fault';

/** What is known of a picture file before it is decoded. */
export interface PictureFile {
  readonly type: 'image/jpeg' | 'image/png' | 'image/webp';
  /** dots per inch that the file names; null: none */
  readonly dpi: number | null;
}

/** A side longer than this is no sheet, px: 600 dpi of a legal sheet are under 9,000. */
export const LONGEST_SIDE = 14_000;
/** So many pixels are read, no more: a sheet of letter size at 600 dpi has 34 million. */
const MOST_PIXELS = 80e6;

/**
 * Looks a picture file over: PNG, JPEG or WebP, whole, still, in RGB or gray, not too large.
 * Sources: PNG (ISO/IEC 15948) chunks, JPEG (ITU-T T.81) markers, JFIF 1.02, Exif 2.3 tags 0x011A and 0x0128, WebP
 * container; from memory.
 * @throws BadInput naming what was found
 */
export function pictureFile(bytes: Uint8Array, file: string): PictureFile {
  const fail = (found: string, expected: string): never => {
    throw new BadInput([{ file, where: 'picture', found, expected }]);
  };
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const is = (at: number, text: string): boolean =>
    at + text.length <= bytes.length && [...text].every((c, i) => bytes[at + i] === c.charCodeAt(0));
  const size = (width: number, height: number): void => {
    if (width > LONGEST_SIDE || height > LONGEST_SIDE || width * height > MOST_PIXELS)
      fail(`a picture of ${width} × ${height} pixels`, `one of at most ${LONGEST_SIDE} pixels a side: 600 dpi will do`);
    if (width < 100 || height < 100) fail(`a picture of ${width} × ${height} pixels`, 'a sheet at 100 dpi or more');
  };
  if (is(1, 'PNG') && bytes[0] === 0x89) return { type: 'image/png', dpi: readPng() };
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return { type: 'image/jpeg', dpi: readJpeg() };
  if (is(0, 'RIFF') && is(8, 'WEBP')) return { type: 'image/webp', dpi: readWebp() };
  return fail(
    is(0, '%PDF')
      ? 'a PDF'
      : is(0, 'GIF8')
        ? 'a GIF'
        : /^\s*(<\?xml|<svg|<!doctype)/i.test(ascii(bytes, 0, 200))
          ? 'a drawing (SVG)'
          : 'something else',
    'a picture of a sheet as PNG, JPEG or WebP',
  );

  function readPng(): number | null {
    let dpi: number | null = null;
    let ended = false;
    for (let at = 8; at + 12 <= bytes.length;) {
      const length = view.getUint32(at);
      if (is(at + 4, 'IHDR') && length >= 8) size(view.getUint32(at + 8), view.getUint32(at + 12));
      if (is(at + 4, 'acTL')) fail('a moving picture', 'a still one');
      if (is(at + 4, 'pHYs') && length >= 9 && bytes[at + 16] === 1) dpi = Math.round(view.getUint32(at + 8) * 0.0254);
      if (is(at + 4, 'IEND')) ended = true;
      at += 12 + length;
    }
    if (!ended) fail('a file that breaks off', 'the whole picture');
    return usable(dpi);
  }

  function readJpeg(): number | null {
    let dpi: number | null = null;
    let at = 2;
    let seen = false;
    while (at + 4 <= bytes.length && bytes[at] === 0xff) {
      const marker = bytes[at + 1] as number;
      if (marker === 0xda) break;
      const length = view.getUint16(at + 2);
      if (marker === 0xe0 && is(at + 4, 'JFIF') && length >= 14) {
        const unit = bytes[at + 11];
        const density = view.getUint16(at + 12);
        if (unit === 1) dpi = density;
        else if (unit === 2) dpi = Math.round(density * 2.54);
      }
      if (marker === 0xe1 && is(at + 4, 'Exif') && dpi === null) dpi = exifDpi(at + 10, length - 8);
      if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker) && at + 10 <= bytes.length) {
        seen = true;
        size(view.getUint16(at + 7), view.getUint16(at + 5));
        if (bytes[at + 9] === 4)
          fail('a picture in printing colors (CMYK)', 'one in RGB, as scanners and phones give it');
      }
      at += 2 + length;
    }
    let end = bytes.length - 1;
    while (end > 1 && bytes.length - end < 2048 && !(bytes[end] === 0xd9 && bytes[end - 1] === 0xff)) end--;
    if (!seen || !(bytes[end] === 0xd9 && bytes[end - 1] === 0xff)) fail('a file that breaks off', 'the whole picture');
    return usable(dpi);
  }

  function exifDpi(start: number, length: number): number | null {
    if (start + 8 > bytes.length || length < 14) return null;
    const little = bytes[start] === 0x49;
    const table = start + view.getUint32(start + 4, little);
    if (table + 2 > bytes.length) return null;
    let [density, unit] = [0, 2];
    for (let i = 0, n = view.getUint16(table, little); i < n && table + 14 + 12 * i <= bytes.length; i++) {
      const entry = table + 2 + 12 * i;
      const tag = view.getUint16(entry, little);
      if (tag === 0x0128) unit = view.getUint16(entry + 8, little);
      if (tag === 0x011a) {
        const value = start + view.getUint32(entry + 8, little);
        if (value + 8 <= bytes.length)
          density = view.getUint32(value, little) / Math.max(1, view.getUint32(value + 4, little));
      }
    }
    return density ? Math.round(unit === 3 ? density * 2.54 : density) : null;
  }

  function readWebp(): number | null {
    if (view.getUint32(4, true) + 8 > bytes.length) fail('a file that breaks off', 'the whole picture');
    if (is(12, 'VP8X') && bytes.length >= 30) {
      if ((bytes[20] as number) & 2) fail('a moving picture', 'a still one');
      const three = (at: number): number =>
        (bytes[at] as number) | ((bytes[at + 1] as number) << 8) | ((bytes[at + 2] as number) << 16);
      size(three(24) + 1, three(27) + 1);
    }
    return null;
  }
}

/** Screens say 72 or 96 of pictures that nobody measured. */
const usable = (dpi: number | null): number | null => (dpi !== null && dpi >= 100 && dpi <= 2400 ? dpi : null);

const ascii = (bytes: Uint8Array, from: number, to: number): string =>
  String.fromCharCode(...bytes.subarray(from, Math.min(to, bytes.length)));
