import type { BadInput } from './fault';
import { lineFault, quoted } from './fault';

/** A component at the top of a calendar, as its lines stand in the file. */
export interface Block {
  /** in capitals: VEVENT, VTODO, VTIMEZONE … */
  readonly name: string;
  /** the line of its BEGIN, from 1 */
  readonly line: number;
  readonly text: string;
}

export interface Blocks {
  /** the lines of the first calendar that belong to no component */
  readonly properties: string;
  readonly blocks: readonly Block[];
}

const EXPECTED = 'a property as RFC 5545 writes it, NAME:VALUE';
const LINES_A_STEP = 20_000;

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
  let line = 0;
  for (let at = 0, next = 0; at < text.length; at = next) {
    line++;
    const end = text.indexOf('\n', at);
    next = end < 0 ? text.length : end + 1;
    if (line % LINES_A_STEP === 0) yield at / text.length;
    const first = text.charCodeAt(at);
    if (first === 66 || first === 98 || first === 69 || first === 101) {
      const match = /^(BEGIN|END):\s*([\w-]+)\s*$/i.exec(text.slice(at, Math.min(next, at + 200)));
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
        if (open.length === 1) blocks.push({ name, line: last.line, text: text.slice(last.at, next) });
        continue;
      }
    }
    const shown = (): string => quoted(text.slice(at, Math.min(next, at + 80)).trimEnd());
    const blank = first === 10;
    if (open.length === 0 && !blank && text.slice(at, next).trim())
      throw wrong(line, shown(), 'BEGIN:VCALENDAR, the first line of a calendar');
    if (
      !blank &&
      first !== 32 &&
      first !== 9 &&
      !/^[A-Za-z0-9-]+[;:]/.test(text.slice(at, Math.min(next, at + 200))) &&
      text.slice(at, next).trim()
    )
      throw wrong(line, shown(), EXPECTED);
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
  return { properties: properties.join('\r\n'), blocks };
}
