import { answering } from '../../../../server/answering';
import { heavily } from '../../../../server/heavy/heavily';
import { loadSpread } from '../../../../server/spread-data';

/** The spread as a picture, for small views of it. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) return null;
  const { context, placements } = spread;
  return new Response(await heavily('drawing', { context, placements }), {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
