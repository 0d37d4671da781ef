import { contextFrom } from '../../../../core/spread/context';
import { benchOf } from '../../../../core/bench/bench';
import { benchPdf } from '../../../../core/format/bench-pdf';
import { answering } from '../../../../server/answering';
import { printFonts, shippedLetters } from '../../../../server/fonts';
import { picturePng } from '../../../../server/pictures';
import { loadSpread } from '../../../../server/spread-data';

/** The bench sheet for printing at 100 %. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) return null;
  const context = contextFrom(spread.context);
  const pdf = await benchPdf(context, benchOf(context, spread.placements, undefined, spread.work), {
    fonts: printFonts(),
    letters: shippedLetters(),
    pictureOf: picturePng,
    size: new URL(request.url).searchParams.get('paper') === 'Letter' ? 'Letter' : 'A4',
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="bench-${spread.context.week.week}.pdf"`,
    },
  });
});
