import type { IncomingMessage, OutgoingHttpHeaders, Server, ServerResponse } from 'node:http';
import { createServer, request as ask } from 'node:http';
import { EVERYWHERE } from '../gate';
import { Attempts } from './attempts';
import { doorPage, leavePage } from './door-page';
import type { KeptPassphrase } from './passphrase';
import { isPassphrase } from './passphrase';
import { Sessions } from './sessions';

export interface DoorPlan {
  /** where the house itself listens, on this machine alone */
  readonly inner: number;
  readonly passphrase: KeptPassphrase;
  /** names by which the door may be called */
  readonly names: () => readonly string[];
  readonly now?: () => number;
}

const COOKIE = 'hobnail_door';
const MOST_FORM = 2000;
const SLOWEST_HEADERS = 10_000;

/**
 * The door to the house's network: who says the passphrase is let through to the house, which goes on listening to
 * this machine alone and keeps its own checks.
 */
export function doorOf({ inner, passphrase, names, now = Date.now }: DoorPlan): Server {
  const sessions = new Sessions();
  const attempts = new Attempts();

  const answer = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const host = request.headers.host?.toLowerCase() ?? '';
    const { origin } = request.headers;
    if (!names().includes(host.replace(/:\d+$/, '')))
      return send(response, 403, doorPage('This door does not go by that name', null));
    if (origin !== undefined && origin.toLowerCase() !== `http://${host}`)
      return send(response, 403, doorPage('Only the pages of this house may ask for that', null));
    const token = tokenOf(request);
    if (request.url === '/door' && request.method === 'POST')
      return sessions.holds(token, now()) ? send(response, 303, '', { location: '/' }) : letIn(request, response);
    if (request.url === '/door/out') {
      if (request.method !== 'POST') return send(response, 200, leavePage());
      sessions.end(token);
      return send(response, 303, '', { location: '/', 'set-cookie': `${COOKIE}=; Path=/; Max-Age=0` });
    }
    if (!sessions.holds(token, now())) return send(response, 401, doorPage('Hobnail is closed', ''));
    return through(request, response, host, inner);
  };

  const letIn = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const who = request.socket.remoteAddress ?? 'unknown';
    const wait = attempts.begin(who, now());
    if (wait > 0) {
      const seconds = Math.ceil(wait / 1000);
      const said = doorPage('Too many tries', `Wait ${seconds} s, then try again.`);
      return send(response, 429, said, { 'retry-after': String(seconds) });
    }
    const form = await bodyOf(request);
    const given = form === null ? null : new URLSearchParams(form).get('passphrase');
    if (given === null || !(await isPassphrase(given, passphrase)))
      return send(response, 401, doorPage('Hobnail is closed', 'That was not the passphrase.'));
    attempts.succeeded(who);
    const cookie = `${COOKIE}=${sessions.begin(now())}; Path=/; HttpOnly; SameSite=Strict`;
    return send(response, 303, '', { location: '/', 'set-cookie': cookie });
  };

  const server = createServer({ headersTimeout: SLOWEST_HEADERS }, (request, response) => {
    answer(request, response).catch((error: unknown) => {
      console.error(error);
      if (response.headersSent) response.destroy();
      else send(response, 500, doorPage('The door is stuck', null));
    });
  });
  server.on('close', () => sessions.endAll());
  return server;
}

/** Hands a request on as the house's own, and its answer back. */
function through(request: IncomingMessage, response: ServerResponse, host: string, inner: number): Promise<void> {
  const house = `127.0.0.1:${inner}`;
  const headers: OutgoingHttpHeaders & { cookie?: string } = { ...request.headers, host: house };
  if (headers.origin !== undefined) headers.origin = `http://${house}`;
  delete headers['x-forwarded-host'];
  headers.cookie = (headers.cookie ?? '')
    .split(/;\s*/)
    .filter((c) => c && !c.startsWith(`${COOKIE}=`))
    .join('; ');
  return new Promise((done) => {
    const onward = ask(
      { host: '127.0.0.1', port: inner, method: request.method, path: request.url, headers },
      (back) => {
        const { location } = back.headers;
        const outward = location?.replace(`http://${house}`, `http://${host}`);
        response.writeHead(back.statusCode ?? 502, { ...back.headers, ...(outward ? { location: outward } : {}) });
        back.pipe(response);
        back.on('close', done);
      },
    );
    onward.on('error', () => {
      if (response.headersSent) response.destroy();
      else send(response, 502, doorPage('The house does not answer', null));
      done();
    });
    response.on('close', () => onward.destroy());
    request.pipe(onward);
  });
}

/** @returns null for what is too long or was cut off */
async function bodyOf(request: IncomingMessage): Promise<string | null> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST_FORM) return null;
  }
  return text;
}

const tokenOf = ({ headers }: IncomingMessage): string | null =>
  new RegExp(`(?:^|;\\s*)${COOKIE}=([\\w-]{43})(?:;|$)`).exec(headers.cookie ?? '')?.[1] ?? null;

function send(response: ServerResponse, status: number, text: string, more: Record<string, string> = {}): void {
  response
    .writeHead(status, {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy':
        "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'",
      ...EVERYWHERE,
      'cache-control': 'no-store',
      ...more,
    })
    .end(text);
}
