import { revalidatePath } from 'next/cache';
import { answering } from '../../server/answering';
import { follow } from '../../server/follow';

export const dynamic = 'force-dynamic';

/** Follows a feed; who leaves before the answer has stopped it. */
export const POST = answering(async (request: Request) => {
  const answer = await follow(await request.json().catch(() => null), request.signal);
  if (answer.ok) revalidatePath('/', 'layout');
  return Response.json(answer);
});
