import type { Hex } from '../color/color';
import type { Kind } from './kinds';
import { FACES, FINISHES, KIND_NAMES, SHAPES, WRITABLE, traits } from './kinds';
import type { Piece } from './kit';

/** What a sticker is drawn in whose colors nobody told: unbleached paper, and pencil. */
export const PLAIN: { readonly color: Hex; readonly accent: Hex } = { color: '#d9d4c7', accent: '#9a9484' };

/** What a field of a sticker can say, and what is taken for a slip. Lengths in mm. */
export type Cell =
  | { readonly is: 'text' }
  /** the name of an icon, or another word for what it means; in small letters */
  | { readonly is: 'icon' }
  | { readonly is: 'whole'; readonly least: number; readonly most: number }
  | { readonly is: 'length'; readonly most: (kind: Kind) => number }
  | { readonly is: 'share' }
  | { readonly is: 'color' }
  | { readonly is: 'choice'; readonly of: readonly string[] };

/** What every line of a kit says of its sticker; what is known of its picture is found, not told. */
export type FieldName = keyof Omit<Piece, 'kit' | 'picture' | 'clear' | 'ground'>;

export interface Field {
  readonly name: FieldName;
  /** what the column of a kit file is called (docs/formats/kit.md) */
  readonly column: string;
  readonly cell: Cell;
  /** what is meant where nothing is told; null: it must be told */
  readonly usual: ((of: Pick<Piece, 'kind' | 'color'>) => Piece[FieldName]) | null;
  /** its column in the table of lines, px wide, and which one from the left; left out: it is not shown there */
  readonly shown?: { readonly title: string; readonly width: number; readonly place: number };
}

/** A sticker larger than a sheet of A2 is a slip of the unit; a roll of washi may be long. */
const LARGEST = 600;
const LONGEST_ROLL = 100_000;
const longest = (kind: Kind) => (kind === 'washi' || kind === 'bottom-washi' ? LONGEST_ROLL : LARGEST);

/** Rows of a checklist of which none are told. Common practice. */
const USUAL_ROWS = 6;

/**
 * The fields of a sticker, in the order of the columns of a written file: how each is read
 * and checked, what is usual, how it is shown. A new one is a line here, in `Piece`, and a column by a migration.
 */
export const FIELDS: readonly Field[] = [
  { name: 'code', column: 'code', cell: { is: 'text' }, usual: null, shown: { title: 'Code', width: 90, place: 1 } },
  {
    name: 'kind',
    column: 'kind',
    cell: { is: 'choice', of: KIND_NAMES },
    usual: null,
    shown: { title: 'Kind', width: 130, place: 2 },
  },
  {
    name: 'count',
    column: 'count',
    cell: { is: 'whole', least: 0, most: 10_000 },
    usual: null,
    shown: { title: 'Copies', width: 75, place: 3 },
  },
  {
    name: 'width',
    column: 'width_mm',
    cell: { is: 'length', most: longest },
    usual: null,
    shown: { title: 'Width', width: 90, place: 4 },
  },
  {
    name: 'height',
    column: 'height_mm',
    cell: { is: 'length', most: () => LARGEST },
    usual: null,
    shown: { title: 'Height', width: 95, place: 5 },
  },
  {
    name: 'sheet',
    column: 'sheet',
    cell: { is: 'whole', least: 1, most: 1000 },
    usual: () => 1,
    shown: { title: 'Sheet', width: 65, place: 6 },
  },
  {
    name: 'shape',
    column: 'shape',
    cell: { is: 'choice', of: SHAPES },
    usual: ({ kind }) => traits(kind).shape,
    shown: { title: 'Shape', width: 100, place: 7 },
  },
  {
    name: 'color',
    column: 'color',
    cell: { is: 'color' },
    usual: () => PLAIN.color,
    shown: { title: 'Color', width: 110, place: 8 },
  },
  {
    name: 'accent',
    column: 'accent',
    cell: { is: 'color' },
    usual: ({ color }) => color,
    shown: { title: 'Second color', width: 110, place: 9 },
  },
  {
    name: 'motif',
    column: 'motif',
    cell: { is: 'text' },
    usual: () => '',
    shown: { title: 'Motif', width: 90, place: 12 },
  },
  {
    name: 'words',
    column: 'words',
    cell: { is: 'text' },
    usual: () => '',
    shown: { title: 'Words', width: 110, place: 10 },
  },
  {
    name: 'icon',
    column: 'icon',
    cell: { is: 'icon' },
    usual: () => '',
    shown: { title: 'Icon', width: 110, place: 11 },
  },
  {
    name: 'writable',
    column: 'writable',
    cell: { is: 'choice', of: WRITABLE },
    usual: ({ kind }) => traits(kind).writable,
    shown: { title: 'Writable', width: 90, place: 14 },
  },
  { name: 'opacity', column: 'opacity', cell: { is: 'share' }, usual: ({ kind }) => traits(kind).opacity },
  {
    name: 'finish',
    column: 'finish',
    cell: { is: 'choice', of: FINISHES },
    usual: () => 'matte-removable',
    shown: { title: 'Finish', width: 130, place: 15 },
  },
  {
    name: 'foil',
    column: 'foil',
    cell: { is: 'text' },
    usual: () => 'none',
    shown: { title: 'Foil', width: 80, place: 16 },
  },
  {
    name: 'rows',
    column: 'rows',
    cell: { is: 'whole', least: 0, most: 60 },
    usual: ({ kind }) => (kind === 'checklist' ? USUAL_ROWS : 0),
    shown: { title: 'Rows', width: 65, place: 13 },
  },
  { name: 'faces', column: 'faces', cell: { is: 'choice', of: FACES }, usual: () => 'none' },
];
