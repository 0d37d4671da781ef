import type { IncomingMessage, Server, ServerResponse } from 'node:http';
import { createServer } from 'node:http';
import type { Knobs } from './device';
import { FLATBED, PHONE, scanned } from './device';
import type { PrintedSheet } from './sheet';

/** How the stand-in behaves when it is asked for a picture. */
export const MOODS = ['well', 'fail', 'hang', 'half a picture'] as const;
export type Mood = (typeof MOODS)[number];

/** The knobs that its page has, with the values to choose from. */
const KNOBS = {
  dpi: [200, 300, 600],
  tilt: [0, 0.8, 3],
  shadow: [0, 0.03, 0.14],
  noise: [0, 2, 5],
  jpeg: [0, 70, 92],
  glare: [0, 0.2],
  dust: [0, 10, 60],
  card: [0, 1],
} as const satisfies Partial<Record<keyof Knobs, readonly number[]>>;
type Knob = keyof typeof KNOBS;
const isKnob = (name: string): name is Knob => Object.hasOwn(KNOBS, name);

const HANG_MS = 60_000;

/**
 * A stand-in for the household's scanner: POST /scan gives a picture of the sheet that lies in it, with its name as
 * `x-sheet`; GET /truth tells what was printed on it. POST /next lays the next sheet in, POST /device/NAME and
 * POST /knob/NAME/VALUE change how it sees, POST /mood/NAME makes it fail. Its page at / has a button for each.
 */
export function scannerService(sheets: readonly PrintedSheet[]): Server {
  let lying = 0;
  let mood: Mood = 'well';
  let knobs: Knobs = FLATBED;
  const sheet = (): PrintedSheet => sheets[lying] as PrintedSheet;
  const turn = (path: readonly string[]): boolean => {
    const [what, name = '', value = ''] = path;
    const wanted = MOODS.find((m) => m === name);
    if (what === 'next') lying = (lying + 1) % sheets.length;
    else if (what === 'mood' && wanted) mood = wanted;
    else if (what === 'device') knobs = name === 'phone' ? PHONE : FLATBED;
    else if (what === 'knob' && isKnob(name) && Number.isFinite(Number(value)))
      knobs = { ...knobs, [name]: Number(value) };
    else return false;
    return true;
  };
  return createServer((request, response) => {
    const path = decodeURIComponent(request.url ?? '/')
      .split('/')
      .slice(1);
    if (request.method === 'POST' && path[0] === 'scan')
      return void scan(request, response, sheet(), knobs, mood).catch(() => response.destroy());
    if (request.method === 'POST') {
      if (!turn(path)) return answer(response, 404, 'no such switch');
      return void response.writeHead(303, { location: '/' }).end();
    }
    if (path[0] === 'truth') return answer(response, 200, JSON.stringify(truthOf(sheet())), 'application/json');
    if (path[0] === '') return answer(response, 200, page(sheet(), knobs, mood), 'text/html; charset=utf-8');
    answer(response, 404, 'POST /scan takes a picture');
  });
}

async function scan(_: IncomingMessage, response: ServerResponse, sheet: PrintedSheet, knobs: Knobs, mood: Mood) {
  if (mood === 'fail') return answer(response, 500, 'paper jam');
  if (mood === 'hang') {
    const timer = setTimeout(() => response.end(), HANG_MS);
    return void response.on('close', () => clearTimeout(timer));
  }
  const { bytes, type } = await scanned(sheet, knobs);
  response.writeHead(200, { 'content-type': type, 'content-length': bytes.length, 'x-sheet': sheet.name });
  if (mood !== 'half a picture') return void response.end(bytes);
  response.write(bytes.subarray(0, bytes.length >> 1));
  setTimeout(() => response.destroy(), 50);
}

/** What a reader of the sheet has to find. */
export const truthOf = ({ name, width, height, stickers }: PrintedSheet) => ({
  name,
  width,
  height,
  stickers: stickers.map(({ face: _, outline: __, ...told }) => told),
});

function answer(response: ServerResponse, status: number, body: string, type = 'text/plain; charset=utf-8'): void {
  response.writeHead(status, { 'content-type': type }).end(body);
}

const button = (action: string, label: string): string =>
  `<form method="post" action="${encodeURI(action)}" style="display:inline"><button>${label}</button></form> `;

const page = (sheet: PrintedSheet, knobs: Knobs, mood: Mood): string =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><title>Scanner stand-in</title>
<style>body{font:16px sans-serif;margin:3rem;max-width:46rem;color:#1f2423;background:#f7f5f0}button{font:inherit;padding:.3rem .8rem;margin:.15rem 0}</style>
<h1>Scanner stand-in</h1><p>It plays the scanner on the desk. In it lies: <b>${sheet.name}</b>, ${sheet.stickers.length} stickers. It works: <b>${mood}</b>, as a ${knobs.device}.</p>
${button('/next', 'Lay the next sheet in')}${button('/device/flatbed', 'Be a flatbed')}${button('/device/phone', 'Be a phone')}
${Object.entries(KNOBS)
  .map(
    ([name, values]) =>
      `<p>${name}: <b>${knobs[name as Knob]}</b> ${values.map((v) => button(`/knob/${name}/${v}`, String(v))).join('')}</p>`,
  )
  .join('')}<p>${MOODS.map((m) => button(`/mood/${m}`, `Be: ${m}`)).join('')}</p></html>`;
