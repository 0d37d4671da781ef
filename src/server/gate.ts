/** What of a request tells where it comes from. */
export interface Comer {
  readonly method: string;
  /** as the browser names the house: host and port */
  readonly host: string | null;
  readonly origin: string | null;
  /** `same-origin`, `cross-site` …; old browsers do not say */
  readonly fetchSite: string | null;
  /** `navigate`, `no-cors` …, and what for: `document`, `image`, `iframe` … */
  readonly fetchMode: string | null;
  readonly fetchDest: string | null;
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];
/** Methods that change nothing. */
const READING = ['GET', 'HEAD', 'OPTIONS'];

const hostOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Why a request is not let in; null where it is. Only who calls this house by its own name is answered, which keeps
 * out pages that point their name at this machine; what changes something must come from a page of this house. What is
 * only looked at, too, but for a link that is followed: another page could learn what is here, or have it made over and
 * over.
 */
export function refusalOf({ method, host, origin, fetchSite, fetchMode, fetchDest }: Comer): string | null {
  if (host === null || !LOOPBACK.includes(hostOf(host)))
    return 'This house answers only to 127.0.0.1 and localhost, on this machine.';
  const elsewhere = fetchSite !== null && fetchSite !== 'same-origin' && fetchSite !== 'none';
  if (READING.includes(method)) {
    const follows = fetchMode === 'navigate' && fetchDest === 'document';
    return elsewhere && !follows
      ? 'Another page asked for this: what is in this house is shown in its own windows only.'
      : null;
  }
  if (elsewhere) return 'Another page asked for this: only the pages of this house may change something in it.';
  if (origin !== null && hostWithPort(origin) !== host.toLowerCase())
    return 'Another page asked for this: only the pages of this house may change something in it.';
  return null;
}

/** Host and port of an origin; an empty text for what is none, such as `null`. */
function hostWithPort(origin: string): string {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return '';
  }
}

/** What stands on every answer, whatever it is. */
export const EVERYWHERE: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
};

/** What a page may load and run: only what comes from this house, and no script that stands in the page itself. */
export const policyFor = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
