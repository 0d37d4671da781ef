import { revalidatePath } from 'next/cache';
import { answering } from '../../server/answering';
import { follow } from '../../server/follow';
import { refreshFeeds } from '../../server/refresh-feeds';

export const dynamic = 'force-dynamic';

/**
 * Asks all feeds for what is new. A route and no server action: those are sent one after the other, and a feed that
 * dawdles would hold every edit up behind it.
 */
export const PUT = answering(async () => {
  const answer = await refreshFeeds();
  if (answer.ok && answer.value.length) revalidatePath('/', 'layout');
  return Response.json(answer);
});

/** Follows a feed; who leaves before the answer has stopped it. */
export const POST = answering(async (request: Request) => {
  const answer = await follow(await request.json().catch(() => null), request.signal);
  if (answer.ok) revalidatePath('/', 'layout');
  return Response.json(answer);
});
