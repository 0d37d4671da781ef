import Papa from 'papaparse';
import { isHex } from '../color/color';
import type { Kit, Piece } from '../kit/kit';
import { FACES, FINISHES, KIND_NAMES, SHAPES, WRITABLE, traits } from '../kit/kinds';
import type { Fault } from './fault';
import { BadInput, quoted } from './fault';

const NEEDED = ['code', 'kind', 'count', 'width_mm', 'height_mm'] as const;
const OPTIONAL = [
  'sheet',
  'shape',
  'color',
  'accent',
  'motif',
  'words',
  'icon',
  'writable',
  'opacity',
  'finish',
  'foil',
  'rows',
  'faces',
] as const;
/** A roll of washi may be long; nothing else is. mm */
const LONGEST_ROLL = 100_000;
/** A sticker larger than a sheet of A2 is a slip of the unit. mm */
const LARGEST = 600;
const MOST_COPIES = 10_000;
/** More designs than any table of stickers holds. */
const MOST_DESIGNS = 20_000;
/** More faults than these help nobody. */
const MOST_FAULTS = 40;

/**
 * Reads a kit (formats.md, Kit) as a spreadsheet saves it: BOM or none, comma, semicolon or tab, CRLF, quotes,
 * decimal commas where the separator is a semicolon. Unknown columns are passed over.
 * @param name the kit's name, its file's name without endings
 * @throws BadInput with a fault for each thing wrong, by line and column
 * @example readKit('code,kind,count\nQB-1,quarter-box,8\n', 'mist.kit.csv', 'mist').pieces
 */
export function readKit(text: string, file: string, name: string): Kit {
  const clean = text.replace(/^\uFEFF/, '');
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
      const row = { cells: cells.map((c) => c.trim()), line };
      line += cells.join('').split('\n').length; // a quoted cell may run over several lines
      return row;
    })
    .filter((r) => r.cells.some(Boolean));
  const [head, ...body] = rows;
  if (!head)
    throw new BadInput([
      { file, where: 'line 1', found: 'an empty file', expected: `a first line with the columns ${NEEDED.join(', ')}` },
    ]);
  const columns = head.cells.map((c) => c.toLowerCase());
  const missing = NEEDED.filter((c) => !columns.includes(c));
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
  const known = new Set<string>([...NEEDED, ...OPTIONAL]);
  const twice = columns.find((c, i) => known.has(c) && columns.indexOf(c) !== i);
  if (twice !== undefined)
    throw new BadInput([
      { file, where: `line ${head.line}`, found: `two columns named ${twice}`, expected: 'each column once' },
    ]);
  if (body.length > MOST_DESIGNS)
    throw new BadInput([
      { file, where: 'the whole file', found: `${body.length} designs`, expected: `at most ${MOST_DESIGNS}` },
    ]);
  const faults: Fault[] = [];
  const firstLineOf = new Map<string, number>();
  const pieces = body.map(({ cells, line }) => {
    const row = new Row(file, line, new Map(columns.map((c, i) => [c, cells[i] ?? ''])), delimiter === ';', faults);
    const piece = toPiece(row, name);
    const before = firstLineOf.get(piece.code);
    if (piece.code && before !== undefined)
      row.fault('code', quoted(piece.code), `a code of its own; line ${before} has this one`);
    else firstLineOf.set(piece.code, line);
    return piece;
  });
  if (body.length === 0)
    faults.push({
      file,
      where: `line ${head.line}`,
      found: 'no piece',
      expected: 'at least one line under the column names',
    });
  if (faults.length) throw new BadInput(faults.slice(0, MOST_FAULTS));
  return { name, pieces };
}

/** The kit as CSV, with all columns; cells that a spreadsheet would run as a formula are quoted as text. */
export function writeKit(kit: Kit): string {
  const fields = [...NEEDED, ...OPTIONAL];
  const data = kit.pieces.map((p) => [
    p.code,
    p.kind,
    p.count,
    p.width,
    p.height,
    p.sheet,
    p.shape,
    p.color,
    p.accent,
    p.motif,
    p.words,
    p.icon,
    p.writable,
    p.opacity,
    p.finish,
    p.foil,
    p.rows || '',
    p.faces,
  ]);
  return `${Papa.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}

function toPiece(row: Row, kit: string): Piece {
  const kind = row.oneOf('kind', KIND_NAMES, 'deco', true);
  const usual = traits(kind);
  const color = row.color('color', '#d9d4c7');
  const rolls = kind === 'washi' || kind === 'bottom-washi';
  return {
    kit,
    code: row.needed('code'),
    kind,
    count: row.whole('count', 0, MOST_COPIES),
    width: row.length('width_mm', rolls ? LONGEST_ROLL : LARGEST),
    height: row.length('height_mm', LARGEST),
    sheet: row.has('sheet') ? row.whole('sheet', 1, 1000) : 1,
    shape: row.oneOf('shape', SHAPES, usual.shape),
    color,
    accent: row.color('accent', color),
    motif: row.text('motif'),
    words: row.text('words'),
    icon: row.text('icon').toLowerCase(),
    writable: row.oneOf('writable', WRITABLE, usual.writable),
    opacity: row.has('opacity') ? row.number('opacity', 0, 1) : usual.opacity,
    finish: row.oneOf('finish', FINISHES, 'matte-removable'),
    foil: row.text('foil') || 'none',
    rows: row.has('rows') ? row.whole('rows', 0, 60) : kind === 'checklist' ? 6 : 0,
    faces: row.oneOf('faces', FACES, 'none'),
  };
}

/** One line of the file; reading a cell notes what is wrong with it. */
class Row {
  constructor(
    private readonly file: string,
    private readonly line: number,
    private readonly cells: ReadonlyMap<string, string>,
    private readonly decimalComma: boolean,
    private readonly faults: Fault[],
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
    const match = known.find((k) => k === text);
    if (!match) this.fault(column, text ? quoted(text) : 'nothing', `one of ${known.join(', ')}`);
    return match ?? usual;
  }

  color(column: string, usual: string): string {
    const text = this.text(column).toLowerCase();
    if (text && !isHex(text)) this.fault(column, quoted(text), 'a color such as #2c7f86');
    return text && isHex(text) ? text : usual;
  }

  number(column: string, least: number, most: number, expected = `a number from ${least} to ${most}`): number {
    const text = this.text(column);
    const plain = this.decimalComma ? text.replace(',', '.') : text;
    const value = /^[+-]?\d+(\.\d+)?$/.test(plain) ? Number(plain) : NaN;
    if (!(value >= least && value <= most)) {
      this.fault(column, text ? quoted(text) : 'nothing', expected);
      return Math.max(least, 1);
    }
    return value;
  }

  length = (column: string, most: number): number => this.number(column, 0.1, most, `a length from 0.1 to ${most} mm`);

  whole(column: string, least: number, most: number): number {
    const value = this.number(column, least, most, `a whole number from ${least} to ${most}`);
    if (!Number.isInteger(value))
      this.fault(column, quoted(this.text(column)), `a whole number from ${least} to ${most}`);
    return Math.round(value);
  }
}
