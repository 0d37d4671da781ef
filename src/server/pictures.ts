import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { BadInput } from '../core/format/fault';
import type { Piece } from '../core/kit/kit';
import type { Raster } from '../core/scan/raster';
import { passingFile } from './backup/passing';
import { dataFile } from './store';

/** A sticker's picture is no larger, px a side and bytes. */
const LONGEST = 4000;
const MOST_BYTES = 3_000_000;
/** One that comes in a kit that was given away, px in all: it is made as small as the others. */
const MOST_GIVEN = 40_000_000;
const TYPES: ReadonlySet<string> = new Set(['png', 'jpeg', 'webp']);
const QUALITY = 86;
const HASH = /^[0-9a-f]{64}$/;

/** Pictures lie in a folder beside the database. */
const folder = (): string => join(dirname(dataFile()), 'pictures');

const fileOf = (hash: string): string => join(folder(), `${hash}.webp`);

/**
 * Makes a picture one of the house: decoded and written anew, so that nothing is kept of where and with what it was
 * taken. It is on the disk, under the hash of its bytes, when this returns.
 * @throws BadInput for what is no picture, or too large
 */
export async function keepPicture(bytes: Uint8Array, name: string): Promise<string> {
  const fail = (found: string): never => {
    throw new BadInput([
      { file: name, where: 'picture', found, expected: `a picture of at most ${LONGEST} pixels a side and 3 MB` },
    ]);
  };
  if (bytes.byteLength > MOST_BYTES) fail(`${Math.round(bytes.byteLength / 1e6)} MB`);
  const picture = sharp(bytes, { limitInputPixels: LONGEST * LONGEST, failOn: 'error' });
  const { format, width = 0, height = 0 } = await picture.metadata().catch(() => fail('no picture'));
  // a drawing (SVG) is read here, too, and may point to other files
  if (!TYPES.has(format)) fail('no picture');
  if (width > LONGEST || height > LONGEST) fail(`${width} × ${height} pixels`);
  const kept = await picture
    .webp({ quality: QUALITY, alphaQuality: 100 })
    .toBuffer()
    .catch(() => fail('a picture that breaks off'));
  return written(kept);
}

/**
 * The same for a picture out of a kit that was given away, which may be larger; one that the house has stays as it is.
 * @throws BadInput for what is no picture, or of more than 40 megapixels
 */
export async function keepGivenPicture(bytes: Uint8Array, name: string): Promise<string> {
  const hash = createHash('sha256').update(bytes).digest('hex');
  if (hasPicture(hash)) return hash;
  const fail = (found: string): never => {
    throw new BadInput([
      { file: name, where: 'picture', found, expected: 'a picture (PNG or WebP) of at most 40 megapixels' },
    ]);
  };
  const picture = sharp(bytes, { limitInputPixels: MOST_GIVEN, failOn: 'error' });
  const { format, width = 0, height = 0 } = await picture.metadata().catch(() => fail('no picture'));
  if (!TYPES.has(format)) fail('no picture');
  if (width * height > MOST_GIVEN) fail(`${width} × ${height} pixels`);
  return written(
    await picture
      .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: QUALITY, alphaQuality: 100 })
      .toBuffer()
      .catch(() => fail('a picture that breaks off')),
  );
}

/** A photo of a page as it is kept, px of its longer side; and as it comes, px and bytes. */
const PHOTO = 2400;
const LARGEST_PHOTO = 60_000_000;
const MOST_OF_PHOTO = 40_000_000;

/**
 * Makes a photo one of the house: turned as it was taken, no larger than a page needs, and without anything of where
 * and with what it was taken.
 * @throws BadInput for what is no photo, or too large
 */
export async function keepPhoto(bytes: Uint8Array, name: string): Promise<string> {
  const fail = (found: string): never => {
    throw new BadInput([
      { file: name, where: 'photo', found, expected: 'a photo (JPEG, PNG, WebP) of at most 60 megapixels and 40 MB' },
    ]);
  };
  if (bytes.byteLength > MOST_OF_PHOTO) fail(`${Math.round(bytes.byteLength / 1e6)} MB`);
  const photo = sharp(bytes, { limitInputPixels: LARGEST_PHOTO, failOn: 'error' });
  const { format } = await photo.metadata().catch(() => fail('no photo'));
  if (!TYPES.has(format)) fail('no photo');
  const kept = await photo
    .rotate()
    .resize(PHOTO, PHOTO, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: QUALITY })
    .toBuffer()
    .catch(() => fail('a photo that breaks off, or is too large'));
  return written(kept);
}

/** A picture's pixels; null: there is none of that name. */
export async function rasterOf(hash: string): Promise<Raster | null> {
  const bytes = readPicture(hash);
  if (!bytes) return null;
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
}

/** Keeps pixels as a photo. */
export const keepRaster = async ({ width, height, data }: Raster): Promise<string> =>
  written(
    await sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), { raw: { width, height, channels: 4 } })
      .removeAlpha()
      .webp({ quality: QUALITY })
      .toBuffer(),
  );

/** Puts a picture under the hash of its bytes; it is on the disk when this returns. */
function written(kept: Buffer): string {
  const hash = createHash('sha256').update(kept).digest('hex');
  if (!existsSync(fileOf(hash))) {
    mkdirSync(folder(), { recursive: true });
    const unfinished = passingFile(folder());
    writeFileSync(unfinished, kept, { flush: true });
    renameSync(unfinished, fileOf(hash));
  }
  return hash;
}

/** Whether there is a picture of that name. */
export const hasPicture = (hash: string): boolean => HASH.test(hash) && existsSync(fileOf(hash));

/** A picture's bytes (WebP); null: there is none of that name. */
export const readPicture = (hash: string): Uint8Array<ArrayBuffer> | null =>
  hasPicture(hash) ? new Uint8Array(readFileSync(fileOf(hash))) : null;

/** A picture as an address that holds it, for files that must show it wherever they go. */
export function pictureData(hash: string): string {
  const bytes = readPicture(hash);
  return bytes ? `data:image/webp;base64,${Buffer.from(bytes).toString('base64')}` : '';
}

/** px of a picture's longer side in a drawing that is made a picture */
const DRAWN = 700;

/**
 * The pictures of some stickers as addresses that hold them as PNG: what makes a picture of a drawing here reads no
 * WebP within it, and would leave those stickers out.
 */
export async function picturesToDraw(pieces: Iterable<Pick<Piece, 'picture'>>): Promise<(hash: string) => string> {
  const hashes = new Set([...pieces].flatMap((p) => (p.picture ? [p.picture] : [])));
  const made = await Promise.all(
    [...hashes].map(async (hash) => {
      const bytes = readPicture(hash);
      if (!bytes) return [hash, ''] as const;
      const png = await sharp(bytes).resize(DRAWN, DRAWN, { fit: 'inside', withoutEnlargement: true }).png().toBuffer();
      return [hash, `data:image/png;base64,${png.toString('base64')}`] as const;
    }),
  );
  const known = new Map(made);
  return (hash) => known.get(hash) ?? '';
}

/** A picture as PNG, for a print; null: there is none of that name. */
export async function picturePng(hash: string): Promise<Uint8Array | null> {
  const bytes = readPicture(hash);
  return bytes && new Uint8Array(await sharp(bytes).png({ compressionLevel: 9 }).toBuffer());
}
