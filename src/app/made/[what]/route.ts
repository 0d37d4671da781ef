import { answering } from '../../../server/answering';
import { cutNow, madeCut, madePrint } from '../../../server/made';
import { outcome } from '../../../server/outcome';

export const dynamic = 'force-dynamic';

/** What is made, from its lines as JSON: `print` gives the page, `cut` the cut file, `send` has the cutter cut it. */
export const POST = answering(async (request: Request, { params }: { params: Promise<{ what: string }> }) => {
  const { what } = await params;
  const input: unknown = await request.json().catch(() => null);
  if (what === 'print') return madePrint(input);
  if (what === 'cut') return madeCut(input);
  if (what === 'send') return Response.json(await outcome(() => cutNow(input, request.signal)));
  return null;
});
