import { answering } from '../../../server/answering';
import { readPicture } from '../../../server/pictures';

export const dynamic = 'force-dynamic';

/** A scanned sticker's picture; under its hash it is always the same. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ hash: string }> }) => {
  const bytes = readPicture((await params).hash);
  return (
    bytes &&
    new Response(bytes, {
      headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
    })
  );
});
