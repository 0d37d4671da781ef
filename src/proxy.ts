import { randomBytes } from 'node:crypto';
import type { NextRequest } from 'next/server';
import { NextResponse } from 'next/server';
import { EVERYWHERE, policyFor, refusalOf } from './server/gate';

const NO_SPREAD = /^\/spreads\/(?!\d+(?:\/|$))/;

/** A calendar of 64 MB with its form around it; the framework cuts off what says less and sends more. */
const MOST_BYTES = 65 * 2 ** 20;

/** Stands before every page and route: who is let in, and what a page may run. */
export function proxy(request: NextRequest): NextResponse {
  const { headers, method } = request;
  const refusal = refusalOf({
    method,
    host: headers.get('host'),
    origin: headers.get('origin'),
    fetchSite: headers.get('sec-fetch-site'),
    fetchMode: headers.get('sec-fetch-mode'),
    fetchDest: headers.get('sec-fetch-dest'),
  });
  if (refusal !== null) return refused(403, refusal);
  if (Number(headers.get('content-length') ?? 0) > MOST_BYTES)
    return refused(413, 'This is larger than anything that is taken here.');
  // by the time a page finds out, its answer has begun as one that is there
  if (NO_SPREAD.test(request.nextUrl.pathname)) return NextResponse.rewrite(new URL('/no-such-page', request.url));
  const policy = policyFor(randomBytes(16).toString('base64'));
  const inward = new Headers(headers);
  inward.set('content-security-policy', policy); // the framework takes its scripts' nonce from here
  const answer = NextResponse.next({ request: { headers: inward } });
  answer.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(EVERYWHERE)) answer.headers.set(name, value);
  return answer;
}

const refused = (status: number, why: string): NextResponse =>
  new NextResponse(why, { status, headers: { ...EVERYWHERE, 'content-type': 'text/plain; charset=utf-8' } });

/** Without exception: an address that only begins as a file’s would run what it names. */
export const config = { matcher: '/:path*' };
