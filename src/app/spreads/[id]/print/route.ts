import { answering } from '../../../../server/answering';
import { heavily } from '../../../../server/heavy/heavily';
import { loadSpread } from '../../../../server/spread-data';

/** The bench sheet for printing at 100 %. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) return null;
  const { context, placements, work } = spread;
  const size = new URL(request.url).searchParams.get('paper') === 'Letter' ? 'Letter' : 'A4';
  const pdf = await heavily('print', { context, placements, work, size });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="bench-${context.week.week}.pdf"`,
    },
  });
});
