import { answering } from '../../server/answering';
import { tickSteps } from '../../server/bench-actions';

export const dynamic = 'force-dynamic';

/** Ticks of the bench (TickDto as JSON). A route: server actions wait for each other, and a reload drops those. */
export const POST = answering(async (request: Request) =>
  Response.json(await tickSteps(await request.json().catch(() => null))),
);
