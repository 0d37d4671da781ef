// Paints the third demo kit: its list and its pictures, which ship with the demo. `tsx demo/tideline-album/paint.ts`
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { writeKit } from '../../src/core/format/kit-csv';
import type { Painted } from './kit';
import { kitOf, tidelineAlbum } from './kit';

/** Px a millimeter: as a sheet is read (0015). */
const SCALE = 10;
const QUALITY = 86;

/** A design's picture (WebP, transparent where it covers less). */
export async function painted({ piece: { width: w, height: h }, paint }: Painted): Promise<Uint8Array> {
  const [width, height] = [Math.round(w * SCALE), Math.round(h * SCALE)];
  const data = Buffer.alloc(width * height * 4);
  if (paint)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [r, g, b, cover] = paint((x + 0.5) / SCALE, (y + 0.5) / SCALE, w, h);
        data.set(
          [r, g, b, cover * 255].map((n) => Math.max(0, Math.min(255, Math.round(n)))),
          (y * width + x) * 4,
        );
      }
  return sharp(data, { raw: { width, height, channels: 4 } })
    .webp({ quality: QUALITY })
    .toBuffer();
}

async function main(): Promise<void> {
  const designs = tidelineAlbum();
  const folder = join(__dirname, 'pictures');
  mkdirSync(folder, { recursive: true });
  for (const d of designs) if (d.paint) writeFileSync(join(folder, `${d.piece.code}.webp`), await painted(d));
  writeFileSync(join(__dirname, '..', 'kits', 'tideline-album.kit.csv'), writeKit(kitOf(designs)));
}

if (process.argv[1]?.endsWith('paint.ts'))
  main().catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
