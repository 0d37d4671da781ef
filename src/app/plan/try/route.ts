import { outcome } from '../../../server/outcome';
import { tryWeek } from '../../../server/plan-week';

/** A week as it would be laid out: `?week=2027-W08&bookId=…&kitId=…&manner=…`. */
export const GET = async (request: Request): Promise<Response> => {
  const asked = new URL(request.url).searchParams;
  const of = (name: string): string => asked.get(name) ?? '';
  return Response.json(
    await outcome(() =>
      tryWeek({ week: of('week'), bookId: of('bookId'), kitId: of('kitId'), manner: of('manner') }, request.signal),
    ),
  );
};
