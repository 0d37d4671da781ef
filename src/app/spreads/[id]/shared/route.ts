import { answering } from '../../../../server/answering';
import { sharedPicture } from '../../../../server/share';

/** The spread as a file to be given away: `?as=png&width=2000&texts=blurred`. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ id: string }> }) => {
  const asked = new URL(request.url).searchParams;
  return sharedPicture(Number((await params).id), {
    as: asked.get('as'),
    texts: asked.get('texts'),
    width: asked.get('width'),
  });
});
