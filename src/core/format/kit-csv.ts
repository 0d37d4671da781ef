import type { Field } from '../kit/fields';
import { FIELDS, PLAIN } from '../kit/fields';
import { KIND_NAMES } from '../kit/kinds';
import type { Kit, Piece } from '../kit/kit';
import { choiceMeant, colorMeant, columnMeant } from '../kit/other-words';
import { TOLERANCE } from '../measure/length';
import type { Rect } from '../measure/rect';
import type { Row } from './csv-table';
import { readTable, writeTable } from './csv-table';
import { BadInput, quoted } from './fault';

const NEEDED = FIELDS.filter((f) => !f.usual).map((f) => f.column);
const OPTIONAL = FIELDS.filter((f) => f.usual).map((f) => f.column);
/** What a kit with its pictures has beside: a file of each, and the part that can be written on. */
const PICTURED = ['picture', 'clear'];
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
export const readKit = (text: string, file: string, name: string): Kit => read(text, file, name, OPTIONAL, toPiece);

/**
 * Reads a kit whose designs name their pictures, as it is given away: `picture` of a piece is a file's name then.
 * @param isThere whether there is a picture of that name
 * @throws BadInput as `readKit`, and for a picture that is not there, or a `clear` that is none
 */
export const readPicturedKit = (text: string, file: string, name: string, isThere: (picture: string) => boolean): Kit =>
  read(text, file, name, [...OPTIONAL, ...PICTURED], (row, kit) => pictured(toPiece(row, kit), row, isThere));

function read(
  text: string,
  file: string,
  name: string,
  optional: readonly string[],
  pieceOf: (row: Row, kit: string) => Piece,
): Kit {
  const { rows, head, faults } = readTable(text, file, NEEDED, optional, columnMeant);
  if (rows.length > MOST_DESIGNS)
    throw new BadInput([
      { file, where: 'the whole file', found: `${rows.length} designs`, expected: `at most ${MOST_DESIGNS}` },
    ]);
  const firstLineOf = new Map<string, number>();
  const pieces = rows.map((row) => {
    const piece = pieceOf(row, name);
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
export const writeKit = (kit: Kit): string =>
  writeTable(
    FIELDS.map((f) => f.column),
    kit.pieces.map((p) => FIELDS.map((f) => written(f, p))),
  );

/** The same with the pictures that it names and the parts that can be written on. */
export const writePicturedKit = (kit: Kit, fileOf: (picture: string) => string): string =>
  writeTable(
    [...FIELDS.map((f) => f.column), ...PICTURED],
    kit.pieces.map((p) => [
      ...FIELDS.map((f) => written(f, p)),
      p.picture ? fileOf(p.picture) : '',
      p.clear ? [p.clear.x, p.clear.y, p.clear.w, p.clear.h].join(' ') : '',
    ]),
  );

/** A number of 0 that is meant anyway is not written: most stickers have no rows. */
const written = ({ name, usual }: Field, piece: Piece): string | number =>
  piece[name] === 0 && usual?.(piece) === 0 ? '' : piece[name];

function toPiece(row: Row, kit: string): Piece {
  const [kind, color] = [choiceMeant(row.text('kind'), KIND_NAMES), colorMeant(row.text('color'))];
  // what is usual depends on these two; a fault of theirs is noted where they are read
  const of = { kind: kind ?? 'deco', color: color ?? PLAIN.color };
  return { kit, ...Object.fromEntries(FIELDS.map((f) => [f.name, told(row, f, of)])) } as unknown as Piece;
}

function told(row: Row, { column, cell, usual }: Field, of: Pick<Piece, 'kind' | 'color'>): string | number {
  const meant = usual?.(of) ?? '';
  if (usual && !row.has(column)) return meant;
  switch (cell.is) {
    case 'text':
      return usual ? row.text(column) : row.needed(column);
    case 'icon':
      return row.text(column).toLowerCase();
    case 'whole':
      return row.whole(column, cell.least, cell.most);
    case 'length':
      return row.length(column, cell.most(of.kind));
    case 'share':
      return row.number(column, 0, 1);
    case 'color':
      return row.color(column, String(meant));
    case 'choice':
      return row.oneOf(column, cell.of, String(meant), !usual);
  }
}

function pictured(piece: Piece, row: Row, isThere: (picture: string) => boolean): Piece {
  const picture = row.text('picture');
  if (picture && !isThere(picture)) row.fault('picture', quoted(picture), 'the name of a picture that is there');
  const clear = row.has('clear') ? clearOf(piece, row) : null;
  return { ...piece, ...(picture ? { picture } : {}), ...(clear ? { clear } : {}) };
}

/** `x y w h`, in mm from the piece's top left corner. */
function clearOf({ width, height }: Piece, row: Row): Rect | null {
  const numbers = row.text('clear').split(/\s+/).map(Number);
  const [x = NaN, y = NaN, w = NaN, h = NaN] = numbers;
  const isWithin = x >= 0 && y >= 0 && w > 0 && h > 0 && x + w <= width + TOLERANCE && y + h <= height + TOLERANCE;
  if (numbers.length === 4 && isWithin) return { x, y, w, h };
  row.fault('clear', quoted(row.text('clear')), `x y w h in mm, a part of its ${width} × ${height}`);
  return null;
}
