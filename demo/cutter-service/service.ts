import type { IncomingMessage, Server, ServerResponse } from 'node:http';
import { createServer } from 'node:http';
import type { Verdict } from './judge';
import { judge } from './judge';
import type { CutJob } from './read-cut-file';
import { readCutFile } from './read-cut-file';

/** How the stand-in behaves when it is given a job. */
export const MOODS = ['well', 'jam', 'hang'] as const;
export type Mood = (typeof MOODS)[number];

const MOST_BYTES = 4_000_000;
const HANG_MS = 60_000;

/**
 * A stand-in for a desktop cutter: POST /cut takes a cut file (SVG in mm) and answers with JSON: what it would spoil
 * (422), or that it was cut, how long the blade travelled and how many minutes that takes. GET /last draws what it cut.
 * POST /mood/NAME makes it jam or hang. Its page at / has a button for each.
 */
export function cutterService(): Server {
  let mood: Mood = 'well';
  let last: { job: CutJob; verdict: Verdict } | null = null;
  const take = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    if (mood === 'hang') {
      const timer = setTimeout(() => response.end(), HANG_MS);
      return void response.on('close', () => clearTimeout(timer));
    }
    const svg = await bodyOf(request);
    if (svg === null) return answer(response, 413, { said: 'the job is too long' });
    let job: CutJob;
    try {
      job = readCutFile(svg);
    } catch {
      return answer(response, 400, { said: 'this is no cut file: an SVG in mm is expected' });
    }
    const verdict = judge(job);
    if (verdict.faults.length) return answer(response, 422, { said: 'it would spoil the sheet', ...verdict });
    if (mood === 'jam') return answer(response, 503, { said: 'the sheet jammed under the rollers', ...verdict });
    last = { job, verdict };
    answer(response, 200, { said: 'cut', ...verdict });
  };
  return createServer((request, response) => {
    const [what = '', name = ''] = decodeURIComponent(request.url ?? '/')
      .split('/')
      .slice(1);
    if (request.method === 'POST' && what === 'cut')
      return void take(request, response).catch(() => response.destroy());
    const wanted = MOODS.find((m) => m === name);
    if (request.method === 'POST' && what === 'mood' && wanted) {
      mood = wanted;
      return void response.writeHead(303, { location: '/' }).end();
    }
    if (request.method === 'GET' && what === 'last')
      return void response
        .writeHead(last ? 200 : 404, { 'content-type': 'image/svg+xml' })
        .end(last ? drawn(last.job) : '');
    if (request.method === 'GET' && what === '')
      return void response
        .writeHead(200, { 'content-type': 'text/html; charset=utf-8' })
        .end(page(mood, last?.verdict ?? null));
    answer(response, 404, { said: 'POST /cut takes a cut file' });
  });
}

async function bodyOf(request: IncomingMessage): Promise<string | null> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    bytes += part.length;
    if (bytes > MOST_BYTES) return null;
    parts.push(part);
  }
  return Buffer.concat(parts).toString('utf8');
}

const answer = (response: ServerResponse, status: number, body: object): void =>
  void response.writeHead(status, { 'content-type': 'application/json; charset=utf-8' }).end(JSON.stringify(body));

const COLORS = new Map([
  ['kiss-cut', '#9b2743'],
  ['through-cut', '#17443f'],
  ['score', '#2c4a86'],
]);

/** What the blade did, as a drawing. */
const drawn = ({ width, height, strokes }: CutJob): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="#fffdf9"/>${strokes
    .filter((s) => COLORS.has(s.layer))
    .map(
      (s) =>
        `<polyline points="${s.points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ')}" fill="none" stroke="${COLORS.get(s.layer)}" stroke-width=".4"/>`,
    )
    .join('')}</svg>`;

const button = (action: string, label: string): string =>
  `<form method="post" action="${encodeURI(action)}" style="display:inline"><button>${label}</button></form> `;

const page = (mood: Mood, verdict: Verdict | null): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><title>Cutter stand-in</title>
<style>body{font:16px sans-serif;margin:3rem;max-width:46rem;color:#1f2423;background:#f7f5f0}button{font:inherit;padding:.3rem .8rem;margin:.15rem 0}img{max-width:100%;border:1px solid #ded9cc}</style>
<h1>Cutter stand-in</h1><p>It plays the cutter on the desk. It works: <b>${mood}</b>.</p>
<p>${MOODS.map((m) => button(`/mood/${m}`, `Be: ${m}`)).join('')}</p>
${verdict ? `<p>Last: ${Math.round(verdict.length)} mm cut in ${verdict.minutes.toFixed(1)} minutes.</p><img src="/last" alt="what it cut">` : '<p>Nothing was cut yet.</p>'}</html>`;
