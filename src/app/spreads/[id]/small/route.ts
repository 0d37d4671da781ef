import { answering } from '../../../../server/answering';
import { thumbnail } from '../../../../server/thumbnails';

/** The spread as a small picture: `?v=` its revision or its photo, so that a browser may keep it. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ id: string }> }) => {
  const picture = await thumbnail(Number((await params).id));
  return (
    picture &&
    new Response(picture, {
      headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
    })
  );
});
