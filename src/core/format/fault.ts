/** One thing wrong with a file: where, what was found, what is expected (docs/formats). */
export interface Fault {
  readonly file: string;
  /** a line number from 1, or the name of a property */
  readonly where: string;
  readonly found: string;
  readonly expected: string;
}

/** Thrown by every reader, with one fault for each thing that is wrong; nothing of the file is kept. */
export class BadInput extends Error {
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map(faultLine).join('\n'));
    this.name = 'BadInput';
  }
}

/** The one fault of a line, counted from 1. */
export const lineFault = (file: string, line: number, found: string, expected: string): BadInput =>
  new BadInput([{ file, where: `line ${line}`, found, expected }]);

/** `rockpool.kit.csv, line 12, width_mm: found "-3", expected a length over 0 mm` */
export const faultLine = (f: Fault): string =>
  `${f.file}, ${clipped(f.where)}: found ${clipped(f.found)}, expected ${clipped(f.expected)}`;

/** Names come from outside, too, and are as long as they like. */
const LONGEST = 400;
const clipped = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text);

/** A value as it is shown in a fault: quoted, and cut when it is long. */
export function quoted(value: unknown): string {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  return `"${text.length > 60 ? `${text.slice(0, 60)}…` : text}"`;
}
