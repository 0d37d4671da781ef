/** Lays 24 weeks of thin, light and full sorts side by side in docs/eye-weeks.webp, to be looked at: `npm run eye`. */
import { writeFileSync } from 'node:fs';
import type { OverlayOptions } from 'sharp';
import sharp from 'sharp';
import { arrange } from '../src/core/arrange/arrange';
import { whiteOutOf } from '../src/core/bench/white-out';
import { spreadSvg } from '../src/core/format/spread-svg';
import { shippedLetters } from '../src/server/fonts';
import { SCHOOLS, eyeWeek } from '../tests/eye/measure';

/** Six kits and books: a whole mini kit, all of one color, a sampler, two strangers’ own, one of everything. */
const SEEDS = [8, 7, 2, 12, 30, 23];
/** px of a picture and between two */
const [WIDE, HIGH, GAP] = [640, 420, 12];

async function picture(seed: number, manner: string): Promise<Buffer> {
  const context = eyeWeek(seed, manner);
  const placements = arrange(context);
  const svg = spreadSvg(context, placements, whiteOutOf(context, placements), shippedLetters());
  return sharp(Buffer.from(svg), { density: 150, limitInputPixels: false })
    .resize(WIDE, HIGH, { fit: 'contain', background: '#ffffff' })
    .png()
    .toBuffer();
}

async function main(): Promise<void> {
  const tiles: OverlayOptions[] = [];
  for (const [row, seed] of SEEDS.entries())
    for (const [column, manner] of SCHOOLS.entries())
      tiles.push({
        input: await picture(seed, manner),
        left: GAP + column * (WIDE + GAP),
        top: GAP + row * (HIGH + GAP),
      });
  const [width, height] = [GAP + SCHOOLS.length * (WIDE + GAP), GAP + SEEDS.length * (HIGH + GAP)];
  const sheet = sharp({ create: { width, height, channels: 3, background: '#8d877b' } }).composite(tiles);
  writeFileSync('docs/eye-weeks.webp', await sheet.webp({ quality: 78 }).toBuffer());
}

void main();
