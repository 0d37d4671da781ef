import { findKit } from '../../../../db/kits';
import { answering, nameIn } from '../../../../server/answering';
import { heavily } from '../../../../server/heavy/heavily';
import { store } from '../../../../server/store';

/** A kit's card as a page to print: `?paper=Letter`, else A4. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ name: string }> }) => {
  const kit = await findKit(await store(), nameIn((await params).name));
  if (!kit) return null;
  const size = new URL(request.url).searchParams.get('paper') === 'Letter' ? 'Letter' : 'A4';
  return new Response(new Uint8Array(await heavily('card', { kit, size })), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="kit.pdf"' },
  });
});
