import { PLAIN } from '../kit/blank-piece';
import type { Kind } from '../kit/kinds';
import type { Kit, Piece } from '../kit/kit';
import { FACES, FINISHES, KIND_NAMES, SHAPES, WRITABLE, traits } from '../kit/kinds';
import type { Row } from './csv-table';
import { readTable, writeTable } from './csv-table';
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
 * Reads a kit (docs/formats/kit.md) as a spreadsheet saves it: BOM or none, comma, semicolon or tab, CRLF, quotes,
 * decimal commas where the separator is a semicolon. Unknown columns are passed over.
 * @param name the kit's name, its file's name without endings
 * @throws BadInput with a fault for each thing wrong, by line and column
 * @example readKit('code,kind,count\nQB-1,quarter-box,8\n', 'mist.kit.csv', 'mist').pieces
 */
export function readKit(text: string, file: string, name: string): Kit {
  const { rows, head, faults } = readTable(text, file, NEEDED, OPTIONAL);
  if (rows.length > MOST_DESIGNS)
    throw new BadInput([
      { file, where: 'the whole file', found: `${rows.length} designs`, expected: `at most ${MOST_DESIGNS}` },
    ]);
  const firstLineOf = new Map<string, number>();
  const pieces = rows.map((row) => {
    const piece = toPiece(row, name);
    const before = firstLineOf.get(piece.code);
    if (piece.code && before !== undefined)
      row.fault('code', quoted(piece.code), `a code of its own; line ${before} has this one`);
    else firstLineOf.set(piece.code, row.line);
    return piece;
  });
  if (rows.length === 0)
    faults.push({
      file,
      where: `line ${head}`,
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
    p.rows || (usualRows(p.kind) ? 0 : ''),
    p.faces,
  ]);
  return writeTable(fields, data);
}

/** Rows of a piece of which none are told. Common practice. */
const usualRows = (kind: Kind): number => (kind === 'checklist' ? 6 : 0);

function toPiece(row: Row, kit: string): Piece {
  const kind = row.oneOf('kind', KIND_NAMES, 'deco', true);
  const usual = traits(kind);
  const color = row.color('color', PLAIN.color);
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
    rows: row.has('rows') ? row.whole('rows', 0, 60) : usualRows(kind),
    faces: row.oneOf('faces', FACES, 'none'),
  };
}
