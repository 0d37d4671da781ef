import { contextFrom } from '../../../../core/spread/context';
import { whiteOutOf } from '../../../../core/bench/white-out';
import { spreadSvg } from '../../../../core/format/spread-svg';
import { answering } from '../../../../server/answering';
import { shippedLetters } from '../../../../server/fonts';
import { pictureData } from '../../../../server/pictures';
import { loadSpread } from '../../../../server/spread-data';

/** The spread as a picture, for small views of it. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) return null;
  const context = contextFrom(spread.context);
  const svg = spreadSvg(
    context,
    spread.placements,
    whiteOutOf(context, spread.placements),
    shippedLetters(),
    pictureData,
  );
  return new Response(svg, {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
