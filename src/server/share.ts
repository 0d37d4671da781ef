import sharp from 'sharp';
import { whiteOutOf } from '../core/bench/white-out';
import type { SharedTexts } from '../core/format/share-svg';
import { SHARED_TEXTS, shareSvg } from '../core/format/share-svg';
import { contextFrom } from '../core/spread/context';
import { piecesOn } from '../core/spread/placement';
import { shippedLetters } from './fonts';
import { pictureData, picturesToDraw } from './pictures';
import { loadSpread } from './spread-data';

/** Widths of a shared picture, px. */
export const SHARED_WIDTHS = [1080, 2000, 3600] as const;
/** Millimeters to px at 96 dpi, by which a drawing is taken (CSS Values 4: 1 in = 96 px). */
const PX_A_MM = 96 / 25.4;
const MOST_DENSITY = 600;

/** @returns the spread as a file to be given away; null: there is no such spread */
export async function sharedPicture(
  id: number,
  asked: { readonly as: string | null; readonly texts: string | null; readonly width: string | null },
): Promise<Response | null> {
  const spread = await loadSpread(id);
  if (!spread) return null;
  const context = contextFrom(spread.context);
  const texts: SharedTexts = SHARED_TEXTS.find((t) => t === asked.texts) ?? 'left out';
  const { placements } = spread;
  const width = SHARED_WIDTHS.find((w) => String(w) === asked.width) ?? SHARED_WIDTHS[1];
  const isPng = asked.as === 'png';
  const pictures = isPng ? await picturesToDraw(piecesOn(context, placements)) : pictureData;
  const svg = shareSvg(context, placements, whiteOutOf(context, placements), texts, shippedLetters(), pictures);
  const body = isPng ? new Uint8Array(await pngOf(svg, width, widthOf(context.book.pages))) : svg;
  return new Response(body, {
    headers: {
      'content-type': isPng ? 'image/png' : 'image/svg+xml',
      // the name says nothing of the week
      'content-disposition': `attachment; filename="spread.${isPng ? 'png' : 'svg'}"`,
      'cache-control': 'no-store',
    },
  });
}

const widthOf = (pages: readonly { readonly width: number }[]): number => pages.reduce((sum, p) => sum + p.width, 0);

/** A drawing of so many mm as a picture so many px wide, without anything of where it comes from. */
export const pngOf = (svg: string, width: number, mm: number): Promise<Buffer> =>
  sharp(Buffer.from(svg), { density: Math.min(MOST_DENSITY, (72 * width) / (mm * PX_A_MM) + 1) })
    .resize({ width })
    .png({ compressionLevel: 9 })
    .toBuffer();
