import type { SharedTexts } from '../core/format/share-svg';
import { SHARED_TEXTS } from '../core/format/share-svg';
import { heavily } from './heavy/heavily';
import { loadSpread } from './spread-data';

/** Widths of a shared picture, px. */
export const SHARED_WIDTHS = [1080, 2000, 3600] as const;

/** @returns the spread as a file to be given away; null: there is no such spread */
export async function sharedPicture(
  id: number,
  asked: { readonly as: string | null; readonly texts: string | null; readonly width: string | null },
): Promise<Response | null> {
  const spread = await loadSpread(id);
  if (!spread) return null;
  const texts: SharedTexts = SHARED_TEXTS.find((t) => t === asked.texts) ?? 'left out';
  const { context, placements } = spread;
  const isPng = asked.as === 'png';
  const width = isPng ? (SHARED_WIDTHS.find((w) => String(w) === asked.width) ?? SHARED_WIDTHS[1]) : null;
  const made = await heavily('shared', { context, placements, texts, width });
  return new Response(typeof made === 'string' ? made : new Uint8Array(made), {
    headers: {
      'content-type': isPng ? 'image/png' : 'image/svg+xml',
      // the name says nothing of the week
      'content-disposition': `attachment; filename="spread.${isPng ? 'png' : 'svg'}"`,
      'cache-control': 'no-store',
    },
  });
}
