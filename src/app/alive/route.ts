export const dynamic = 'force-dynamic';

/** Answers as soon as requests are answered, and says which start of the application it is. */
export function GET(): Response {
  return new Response(null, { status: 204, headers: { 'x-hobnail-start': process.env.HOBNAIL_START ?? '' } });
}
