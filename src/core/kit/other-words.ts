import cssColors from 'color-name';
import type { Hex } from '../color/color';
import { isHex } from '../color/color';
import { own } from '../measure/own';
import { MM_PER_INCH } from '../measure/length';

/** Columns as people head them, and how many mm one of their unit is. Common practice. */
const COLUMNS: Readonly<Record<string, readonly string[]>> = {
  code: ['name', 'id', 'sku', 'sticker', 'item', 'piece'],
  kind: ['type', 'category', 'sticker_type'],
  count: ['qty', 'quantity', 'copies', 'number', 'how_many', 'amount', 'pcs', 'pieces'],
  width_mm: ['width', 'w', 'wide', 'width_in_mm', 'w_mm'],
  height_mm: ['height', 'h', 'high', 'height_in_mm', 'h_mm'],
  sheet: ['sheet_no', 'sheet_number', 'page'],
  color: ['colour', 'main_color', 'main_colour'],
  accent: ['second_color', 'second_colour', 'accent_color', 'accent_colour'],
  words: ['text', 'printed', 'printed_text', 'wording', 'word', 'says'],
  icon: ['means', 'meaning', 'pictogram'],
  motif: ['picture', 'pattern', 'theme'],
  rows: ['lines', 'no_of_rows'],
};
const IN_INCHES: Readonly<Record<string, readonly string[]>> = {
  width_mm: ['width_in', 'width_inch', 'width_inches', 'w_in'],
  height_mm: ['height_in', 'height_inch', 'height_inches', 'h_in'],
};

const plainWords = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_().-]+/g, '_')
    .replace(/^_+|_+$/g, '');

/** A column of a table of stickers by what stands above it, and how many mm one of it is. */
export function columnMeant(
  head: string,
  known: ReadonlySet<string>,
): { readonly column: string; readonly mm: number } {
  const said = plainWords(head);
  if (known.has(said)) return { column: said, mm: 1 };
  const isIn = (table: Readonly<Record<string, readonly string[]>>) =>
    Object.entries(table).find(([column, words]) => known.has(column) && words.includes(said))?.[0];
  const inches = isIn(IN_INCHES);
  return inches ? { column: inches, mm: MM_PER_INCH } : { column: isIn(COLUMNS) ?? head.trim().toLowerCase(), mm: 1 };
}

/** A choice as people write it: `Full Boxes` is a `full-box`. */
export function choiceMeant<T extends string>(text: string, of: readonly T[]): T | undefined {
  const said = plainWords(text).replaceAll('_', '-');
  return [text.trim().toLowerCase(), said, said.replace(/(?<=x|s|ch)es$/, ''), said.replace(/s$/, '')].flatMap((word) =>
    of.filter((choice) => choice === word),
  )[0];
}

/** A color as people write it: `#abc`, `2c7f86`, `red` (CSS Color Module Level 4, 6.1); undefined where it is none. */
export function colorMeant(text: string): Hex | undefined {
  const said = text.trim().toLowerCase();
  const digits = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/.exec(said)?.[1];
  if (digits) return `#${digits.length === 3 ? digits.replace(/./g, '$&$&') : digits}`;
  const named = own(cssColors as Readonly<Record<string, readonly number[]>>, said.replace(/[\s-]/g, ''));
  const hex = named && `#${named.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
  return hex && isHex(hex) ? hex : undefined;
}
