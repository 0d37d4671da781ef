import { parse } from 'jsonc-parser';
import { cleanText } from '../measure/clean-text';
import { lineFault, quoted } from './fault';

/** Nothing of ours is nested deeper; a file that is would exhaust the readers after this one. */
const DEEPEST = 60;

/**
 * Parses JSON text (RFC 8259).
 * @throws BadInput with the line where it stops making sense, or is nested deeper than any file of ours
 * @example parseJson('{"gap": 2}', 'options.json')
 */
export function parseJson(text: string, file: string): unknown {
  const clean = text.replace(/^\uFEFF/, '');
  const deep = tooDeepAt(clean);
  if (deep !== null)
    throw lineFault(file, lineAt(clean, deep), `more than ${DEEPEST} levels, one in another`, 'a file of fewer');
  try {
    return JSON.parse(clean, (_, value: unknown) => (typeof value === 'string' ? cleanText(value) : value));
  } catch {
    const at = faultAt(clean);
    throw lineFault(file, lineAt(clean, at), quoted(clean.slice(at, at + 20) || 'the end of the file'), 'JSON');
  }
}

/** Where the text stops being JSON, as a place in it. */
function faultAt(text: string): number {
  const errors: { offset: number }[] = [];
  parse(text, errors as never, { disallowComments: true });
  return Math.min(text.length, ...errors.map((e) => e.offset));
}

const lineAt = (text: string, at: number): number => text.slice(0, at).split('\n').length;

/** Where brackets open deeper than they may; null where they never do. */
function tooDeepAt(text: string): number | null {
  let depth = 0;
  for (const { 0: token, index } of text.matchAll(/"(?:[^"\\]|\\.)*"|[[\]{}]/g)) {
    if (token === '[' || token === '{') depth++;
    else if (token === ']' || token === '}') depth--;
    if (depth > DEEPEST) return index;
  }
  return null;
}
