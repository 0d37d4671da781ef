import Papa from 'papaparse';
import type { Piece } from '../kit/kit';
import { freshCode } from '../kit/correction';
import { blankPiece } from '../kit/blank-piece';
import type { FieldName } from '../kit/fields';
import { FIELDS } from '../kit/fields';
import { columnMeant } from '../kit/other-words';
import { readKit } from './kit-csv';

/** The columns of the table of lines that take cells, in their order. */
export const LINE_FIELDS = FIELDS.flatMap((f) => (f.shown ? [{ ...f, shown: f.shown }] : [])).sort(
  (a, b) => a.shown.place - b.shown.place,
);
export type LineField = FieldName;

const COLUMNS: ReadonlySet<string> = new Set(FIELDS.map((f) => f.column));
const NUMBERS: ReadonlySet<LineField> = new Set(
  FIELDS.filter(({ cell: { is } }) => is === 'whole' || is === 'length').map((f) => f.name),
);

/** The cell where a block is laid down: row from 0, and the column's field. */
export interface At {
  readonly row: number;
  readonly field: LineField;
}

/**
 * Lays cells that were copied from a spreadsheet into a kit's lines. Lines with the names of their columns above are
 * added behind those there; a block without names is laid over the cells from `at` on, to the right and down, and goes
 * on in new lines. What a cell says is taken as it is: whether it can be so is for the reader of kits to say.
 * @throws BadInput where lines with names cannot be read
 */
export function pasteLines(kit: string, pieces: readonly Piece[], text: string, at: At): Piece[] {
  const { data } = Papa.parse<string[]>(text.replace(/[\r\n]+$/, ''), { delimiter: text.includes('\t') ? '\t' : '' });
  const names = new Set(data[0]?.map((c) => columnMeant(c, COLUMNS).column));
  if (names.has('code') && names.has('kind')) return withOwnCodes(pieces, readKit(text, 'what was pasted', kit).pieces);
  const lines = [...pieces];
  const first = LINE_FIELDS.findIndex((f) => f.name === at.field);
  data.forEach((cells, down) => {
    const row = at.row + down;
    const before = lines[row] ?? blankLine(kit, lines);
    const told = cells.flatMap((cell, i): [LineField, string | number][] => {
      const field = LINE_FIELDS[first + i]?.name;
      return field ? [[field, valueOf(field, cell.trim())]] : [];
    });
    lines[row] = told.reduce((line, [field, value]) => ({ ...line, [field]: value }), before);
  });
  return lines;
}

/** A line to be filled in, like the last one there. */
export function blankLine(kit: string, pieces: readonly Piece[]): Piece {
  const last = pieces.at(-1);
  const code = freshCode(
    pieces.map((p) => p.code),
    last?.code ?? 'LA-0',
  );
  return last ? { ...withoutPicture(last), code, words: '', icon: '' } : blankPiece('label', { kit, code });
}

/** Lines once more, each below its own, under codes that go on. */
export function copyLines(pieces: readonly Piece[], rows: ReadonlySet<number>): Piece[] {
  const codes = pieces.map((p) => p.code);
  return pieces.flatMap((piece, i) => {
    if (!rows.has(i)) return [piece];
    const code = freshCode(codes, piece.code);
    codes.push(code);
    return [piece, { ...piece, code }];
  });
}

/** One field of a line, said of others as well. */
export const copyDown = (pieces: readonly Piece[], from: At, rows: ReadonlySet<number>): Piece[] =>
  pieces.map((p, i) => (rows.has(i) ? { ...p, [from.field]: pieces[from.row]?.[from.field] ?? p[from.field] } : p));

function withOwnCodes(pieces: readonly Piece[], more: readonly Piece[]): Piece[] {
  const codes = pieces.map((p) => p.code);
  return [
    ...pieces,
    ...more.map((p) => {
      const code = codes.includes(p.code) ? freshCode(codes, p.code) : p.code;
      codes.push(code);
      return { ...p, code };
    }),
  ];
}

const valueOf = (field: LineField, cell: string): string | number =>
  NUMBERS.has(field) ? (cell === '' ? NaN : Number(cell.replace(',', '.'))) : cell;

const withoutPicture = ({ picture: _, clear: __, ground: ___, ...piece }: Piece): Piece => piece;
