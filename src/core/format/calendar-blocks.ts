import type { BadInput } from './fault';
import { lineFault, quoted } from './fault';

/** A component at the top of a calendar, as its lines stand in the file. */
export interface Block {
  /** in capitals: VEVENT, VTODO, VTIMEZONE … */
  readonly name: string;
  /** the line of its BEGIN, from 1 */
  readonly line: number;
  /** where its text begins in that of the calendar */
  readonly at: number;
  readonly text: string;
}

/** Time zones serve all items; everything else is an item. */
export const isZone = (block: Block): boolean => block.name === 'VTIMEZONE';

export interface Blocks {
  /** the lines of the first calendar that belong to no component */
  readonly properties: string;
  readonly blocks: readonly Block[];
  /** where the last calendar of the text ends: where its END begins */
  readonly end: number;
}

const EXPECTED = 'a property as RFC 5545 writes it, NAME:VALUE';
const LINES_A_STEP = 20_000;
const FRAME = /(BEGIN|END):\s*([\w-]+)[^\S\n]*(?=\n|$)/iy;
const PROPERTY = /[A-Za-z0-9-]+[;:]/y;

/** A match that begins just there; cutting the line out for it would take longer than looking. */
function matchAt(text: string, at: number): RegExpExecArray | null {
  FRAME.lastIndex = at;
  return FRAME.exec(text);
}

const shownAt = (text: string, at: number, next: number): string =>
  quoted(text.slice(at, Math.min(next, at + 80)).trimEnd());

function isProperty(text: string, at: number): boolean {
  PROPERTY.lastIndex = at;
  return PROPERTY.test(text);
}

/**
 * Cuts a calendar's text into its components, so that each is read by itself and a fault has its line.
 * Yields the share that is done.
 * @param text with LF at line ends
 * @throws BadInput where BEGIN and END do not match or a line is no property
 */
export function* blocksOf(text: string, file: string): Generator<number, Blocks> {
  const wrong = (line: number, found: string, expected: string): BadInput => lineFault(file, line, found, expected);
  const open: { name: string; line: number; at: number }[] = [];
  const properties: string[] = [];
  const blocks: Block[] = [];
  let calendars = 0;
  let ends = text.length;
  let line = 0;
  for (let at = 0, next = 0; at < text.length; at = next) {
    line++;
    const end = text.indexOf('\n', at);
    next = end < 0 ? text.length : end + 1;
    if (line % LINES_A_STEP === 0) yield at / text.length;
    const first = text.charCodeAt(at);
    if (first === 66 || first === 98 || first === 69 || first === 101) {
      const match = matchAt(text, at);
      if (match) {
        const name = (match[2] as string).toUpperCase();
        if (open.length === 0 && !(name === 'VCALENDAR' && /^B/i.test(match[1] as string)))
          throw wrong(line, quoted(match[0].trim()), 'BEGIN:VCALENDAR, the first line of a calendar');
        if ((match[1] as string).toUpperCase() === 'BEGIN') {
          if (open.length === 0) calendars++;
          open.push({ name, line, at });
          continue;
        }
        const last = open.pop();
        if (last?.name !== name)
          throw wrong(
            line,
            quoted(match[0].trim()),
            last ? `END:${last.name}, for the BEGIN on line ${last.line}` : 'no END without its BEGIN',
          );
        if (open.length === 1) blocks.push({ name, line: last.line, at: last.at, text: text.slice(last.at, next) });
        if (open.length === 0) ends = at;
        continue;
      }
    }
    const blank = first === 10;
    if (open.length === 0 && !blank && text.slice(at, next).trim())
      throw wrong(line, shownAt(text, at, next), 'BEGIN:VCALENDAR, the first line of a calendar');
    if (!blank && first !== 32 && first !== 9 && !isProperty(text, at) && text.slice(at, next).trim())
      throw wrong(line, shownAt(text, at, next), EXPECTED);
    if (open.length === 1 && calendars === 1 && !blank) properties.push(text.slice(at, next).trimEnd());
  }
  if (!calendars) throw wrong(1, quoted(''), 'BEGIN:VCALENDAR, the first line of a calendar');
  const last = open.at(-1);
  if (last)
    throw wrong(
      line,
      'the end of the file',
      `END:${last.name}, for the BEGIN on line ${last.line}; the file seems cut off`,
    );
  return { properties: properties.join('\r\n'), blocks, end: ends };
}
