import { BadInput, faultLine } from '../core/format/fault';
import { saidOfError } from './say-trouble';

/**
 * A route that always answers with something a person can read: what it was asked for; a page where there is no such
 * thing (it gives null), where the data file cannot be used, or where it stopped. Nothing of how it works inside is
 * told.
 */
export const answering =
  <A extends readonly unknown[]>(answer: (...args: A) => Promise<Response | null>) =>
  async (...args: A): Promise<Response> => {
    try {
      return (await answer(...args)) ?? page(404, 'There is no such thing here', 'It was given up, or never was.');
    } catch (error) {
      const trouble = saidOfError(error);
      if (trouble) return page(503, trouble.what, trouble.way);
      if (error instanceof BadInput) return page(400, 'This cannot be taken', error.faults.map(faultLine).join(' '));
      console.error(error);
      return page(500, 'This stopped', 'Hobnail could not make it. What happened stands in the log of the server.');
    }
  };

const LETTERS = new Map([
  ['&', '&amp;'],
  ['<', '&lt;'],
  ['>', '&gt;'],
  ['"', '&quot;'],
]);
const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => LETTERS.get(c) as string);

/** A page by itself, which needs neither the data nor a script. */
export const page = (status: number, what: string, way: string): Response =>
  new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escaped(what)}</title>
<body style="margin:0;padding:48px;max-width:640px;font:16px/1.5 sans-serif;background:#F7F5F0;color:#17443F">
<h1 style="font:600 28px/1.2 serif">${escaped(what)}</h1><p style="overflow-wrap:anywhere">${escaped(way)}</p>
<p><a href="/" style="color:#2C4A86">To the shelf</a></p></body></html>`,
    { status, headers: { 'content-type': 'text/html; charset=utf-8', 'x-content-type-options': 'nosniff' } },
  );

/** A name out of an address; one that cannot be read is kept as it stands, and will not be found. */
export function nameIn(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}
