import Papa from 'papaparse';
import { choiceMeant, colorMeant } from '../kit/other-words';
import { tidy } from '../measure/length';
import { parseLength } from '../measure/parse-length';
import type { Fault } from './fault';
import { BadInput, quoted } from './fault';

/** More than any table of stickers or orders has. */
const MOST_LINES = 50_000;

/** What a spreadsheet would run as a formula, with the signs before it that say it is none. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** A cell that no spreadsheet runs; `plain` gives it back as it was. Source: OWASP, "CSV Injection". */
const guarded = (cell: string | number): string | number =>
  typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell;

const plain = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/** A table as CSV, with its names above; no cell of it is a formula, and all come back as they were. */
export const writeTable = (fields: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: rows.map((r) => r.map(guarded)) }, { newline: '\r\n' })}\r\n`;

/** Which column is meant by what stands above it, and how many mm one of its unit is. */
export type ColumnMeaning = (
  head: string,
  known: ReadonlySet<string>,
) => { readonly column: string; readonly mm: number };

export interface Table {
  readonly rows: readonly Row[];
  /** the line of its names */
  readonly head: number;
  /** what its rows find wrong */
  readonly faults: Fault[];
}

/**
 * Reads a table as a spreadsheet saves it: BOM or none, comma, semicolon or tab, CRLF, quotes, decimal commas where the
 * separator is a semicolon. Columns that are not known are passed over, in any order.
 * @throws BadInput where a column is missing or there twice, or a quote never ends
 */
export function readTable(
  text: string,
  file: string,
  needed: readonly string[],
  optional: readonly string[],
  meaning: ColumnMeaning = (head) => ({ column: head.toLowerCase(), mm: 1 }),
): Table {
  const clean = text.replace(/^\uFEFF/, '');
  let lines = 1;
  for (let at = clean.indexOf('\n'); at >= 0; at = clean.indexOf('\n', at + 1)) lines++;
  if (lines > MOST_LINES)
    throw new BadInput([
      { file, where: 'the whole file', found: `${lines} lines`, expected: `at most ${MOST_LINES} lines` },
    ]);
  const firstLine = clean.split(/\r\n|\r|\n/).find((l) => l.trim() !== '') ?? '';
  const delimiter = [';', '\t', ','].find((d) => firstLine.includes(d)) ?? ',';
  const { data, errors } = Papa.parse<string[]>(clean, { delimiter, skipEmptyLines: false });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken) {
    throw new BadInput([
      {
        file,
        where: `line ${(broken.row ?? 0) + 1}`,
        found: 'a quoted field that never ends',
        expected: 'a closing quotation mark',
      },
    ]);
  }
  let line = 1;
  const rows = data
    .map((cells) => {
      const row = { cells: cells.map((c) => plain(c.trim())), line };
      line += cells.join('').split('\n').length; // a quoted cell may run over several lines
      return row;
    })
    .filter((r) => r.cells.some(Boolean));
  const [head, ...body] = rows;
  if (!head)
    throw new BadInput([
      { file, where: 'line 1', found: 'an empty file', expected: `a first line with the columns ${needed.join(', ')}` },
    ]);
  const known = new Set<string>([...needed, ...optional]);
  const plainly = new Set(head.cells.map((c) => c.toLowerCase()));
  // another word for a column that stands there by its own name means something else
  const meant = head.cells.map((c) => {
    const { column, mm } = meaning(c, known);
    const said = c.toLowerCase();
    return column !== said && plainly.has(column) && known.has(column) ? { column: said, mm: 1 } : { column, mm };
  });
  const columns = meant.map((m) => m.column);
  const scales = new Map(meant.map((m) => [m.column, m.mm]));
  const missing = needed.filter((c) => !columns.includes(c));
  if (missing.length) {
    throw new BadInput(
      missing.map((c) => ({
        file,
        where: `line ${head.line}`,
        found: `the columns ${head.cells.filter(Boolean).join(', ')}`,
        expected: `a column named ${c}`,
      })),
    );
  }
  const twice = columns.find((c, i) => known.has(c) && columns.indexOf(c) !== i);
  if (twice !== undefined)
    throw new BadInput([
      { file, where: `line ${head.line}`, found: `two columns named ${twice}`, expected: 'each column once' },
    ]);
  const faults: Fault[] = [];
  return {
    rows: body.map(({ cells, line }) => {
      const named = new Map(columns.map((c, i) => [c, cells[i] ?? '']));
      return new Row(file, line, named, delimiter === ';', faults, scales);
    }),
    head: head.line,
    faults,
  };
}

/** One line of the file; reading a cell notes what is wrong with it. */
export class Row {
  constructor(
    private readonly file: string,
    readonly line: number,
    private readonly cells: ReadonlyMap<string, string>,
    private readonly decimalComma: boolean,
    private readonly faults: Fault[],
    /** mm of one of a column's unit, where that is no mm */
    private readonly scales: ReadonlyMap<string, number> = new Map(),
  ) {}

  fault(column: string, found: string, expected: string): void {
    this.faults.push({ file: this.file, where: `line ${this.line}, ${column}`, found, expected });
  }

  text = (column: string): string => this.cells.get(column) ?? '';
  has = (column: string): boolean => this.text(column) !== '';

  needed(column: string): string {
    if (!this.has(column)) this.fault(column, 'nothing', 'a value');
    return this.text(column);
  }

  oneOf<T extends string>(column: string, known: readonly T[], usual: T, needed = false): T {
    const text = this.text(column).toLowerCase();
    if (!text && !needed) return usual;
    const match = choiceMeant(text, known);
    if (!match) this.fault(column, text ? quoted(text) : 'nothing', `one of ${known.join(', ')}`);
    return match ?? usual;
  }

  color(column: string, usual: string): string {
    const text = this.text(column).toLowerCase();
    const color = text ? colorMeant(text) : undefined;
    if (text && !color) this.fault(column, quoted(text), 'a color such as #2c7f86 or teal');
    return color ?? usual;
  }

  number(column: string, least: number, most: number, expected = `a number from ${least} to ${most}`): number {
    const text = this.text(column);
    const digits = this.decimalComma ? text.replace(',', '.') : text;
    const value = /^[+-]?\d+(\.\d+)?$/.test(digits) ? Number(digits) : NaN;
    if (!(value >= least && value <= most)) {
      this.fault(column, text ? quoted(text) : 'nothing', expected);
      return Math.max(least, 1);
    }
    return value;
  }

  /** mm; what says its unit itself, `1 1/2 in`, is of that one */
  length(column: string, most: number): number {
    const text = this.text(column);
    const typed = /[a-z"”/]/i.test(text) ? parseLength(text, (this.scales.get(column) ?? 1) > 1 ? 'in' : 'mm') : null;
    if (typed !== null && typed >= 0.1 && typed <= most) return typed;
    const scale = this.scales.get(column) ?? 1;
    return tidy(this.number(column, 0.1 / scale, most / scale, `a length from 0.1 to ${most} mm`) * scale);
  }

  whole(column: string, least: number, most: number): number {
    const value = this.number(column, least, most, `a whole number from ${least} to ${most}`);
    if (!Number.isInteger(value))
      this.fault(column, quoted(this.text(column)), `a whole number from ${least} to ${most}`);
    return Math.round(value);
  }
}
