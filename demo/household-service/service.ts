import type { IncomingMessage, Server, ServerResponse } from 'node:http';
import { createServer } from 'node:http';
import { householdFeed } from './feed';

/** How the stand-in behaves when it is asked for its feed. */
export const MOODS = ['well', 'fail', 'slow', 'rubbish', 'cut off'] as const;
export type Mood = (typeof MOODS)[number];

const SLOW_MS = 30_000;

/**
 * A stand-in for a household's shared calendar: GET /household.ics with an ETag, POST /change makes its household
 * change something, POST /mood/NAME makes it fail, delay, or serve rubbish. Its page at / has a button for each.
 */
export function householdService(today: string): Server {
  let revision = 0;
  let mood: Mood = 'well';
  return createServer((request, response) => {
    const path = decodeURIComponent(request.url ?? '/');
    if (request.method === 'POST') {
      const wanted = MOODS.find((m) => path === `/mood/${m}`);
      if (wanted) mood = wanted;
      else if (path === '/change') revision++;
      else return answer(response, 404, 'no such switch');
      response.writeHead(303, { location: '/' }).end();
      return;
    }
    if (path === '/household.ics')
      return serveFeed(request, response, mood, householdFeed(today, revision), `"${revision}"`);
    if (path === '/') return answer(response, 200, page(mood, revision), 'text/html; charset=utf-8');
    answer(response, 404, 'only /household.ics is here');
  });
}

function serveFeed(request: IncomingMessage, response: ServerResponse, mood: Mood, ics: string, etag: string): void {
  switch (mood) {
    case 'fail':
      return answer(response, 500, 'the household is out');
    case 'slow': {
      const timer = setTimeout(() => answer(response, 200, ics, 'text/calendar; charset=utf-8'), SLOW_MS);
      response.on('close', () => clearTimeout(timer));
      return;
    }
    case 'rubbish':
      return answer(response, 200, '<!doctype html><title>Please sign in</title>', 'text/html');
    case 'cut off':
      return answer(response, 200, ics.slice(0, ics.length * 0.6), 'text/calendar; charset=utf-8');
    case 'well':
      if (request.headers['if-none-match'] === etag) {
        response.writeHead(304, { etag }).end();
        return;
      }
      response.setHeader('etag', etag);
      return answer(response, 200, ics, 'text/calendar; charset=utf-8');
  }
}

function answer(response: ServerResponse, status: number, body: string, type = 'text/plain; charset=utf-8'): void {
  response.writeHead(status, { 'content-type': type }).end(body);
}

const button = (action: string, label: string): string =>
  `<form method="post" action="${encodeURI(action)}"><button>${label}</button></form>`;

const page = (
  mood: Mood,
  revision: number,
): string => `<!doctype html><html lang="en"><meta charset="utf-8"><title>Household stand-in</title>
<style>body{font:16px sans-serif;margin:3rem;max-width:32rem;color:#1f2423;background:#f7f5f0}button{font:inherit;padding:.4rem 1rem;margin:.2rem 0}</style>
<h1>Household stand-in</h1><p>It plays the shared calendar that Hobnail reads: <code>/household.ics</code>. It has changed ${revision} times; it is now: <b>${mood}</b>.</p>
${button('/change', 'Let the household change something')}${MOODS.map((m) => button(`/mood/${m}`, `Be: ${m}`)).join('')}</html>`;
