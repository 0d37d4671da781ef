import { isHex } from '../core/color/color';
import { MANNERS } from '../core/manner/registry';
import { isWeekName } from '../core/week/week';
import { FIELDS } from '../core/kit/fields';
import { readBook } from '../core/format/book-json';
import { conform } from '../core/format/schema';
import { asObject, asRect, asStrings } from './json';

/** A row as it is stored. */
export type StoredRow = Readonly<Record<string, unknown>>;

const settings = (json: string): void => conform('options', asObject(json), 'options');
const ways = (json: string): void => conform('options', { ways: asObject(json) }, 'ways');

const oneOf =
  (...names: readonly string[]) =>
  (text: string): void =>
    must(names.includes(text));
const week = (text: string): void => must(isWeekName(text));
const hash = (text: string): void => must(/^([0-9a-f]{64})?$/.test(text));

function must(holds: boolean): void {
  if (!holds) throw new Error('not sound');
}

/** Columns that hold more than a text or a number, and what reads each: it throws where there is something else. */
const READERS: ReadonlyMap<string, (text: string) => unknown> = new Map<string, (text: string) => unknown>([
  ['spread.week', week],
  ['kit_week.week', week],
  ['past_week.week', week],
  ['given_up.week', week],
  ['spread.manner', oneOf(...Object.keys(MANNERS))],
  ...FIELDS.flatMap(({ name, cell }) => (cell.is === 'choice' ? [[`piece.${name}`, oneOf(...cell.of)] as const] : [])),
  ['piece.picture', hash],
  ['keep.photo', hash],
  ['book.json', (json) => readBook(json, 'book')],
  ['setting.json', (json) => JSON.parse(json) as unknown],
  ['spread.options', settings],
  ['spread.ways', ways],
  ['own_manner.options', settings],
  ['own_manner.ways', ways],
  ['spread.waved', asStrings],
  ['spread.work', asObject],
  ['spread.said', asObject],
  ['kit.facts', asObject],
  ['piece.clear', asRect],
  ['piece.ground', (json) => must(asStrings(json).every(isHex))],
  ['stock_event.cut', asRect],
  ['placement.cut', asRect],
  ['placement.items', asStrings],
  ['writing.items', asStrings],
  ['calendar.changes', asObject],
  ['log.deed', asObject],
  ['log.effects', asObject],
  ['given_up.rows', asObject],
  ['given_up.stuck', asObject],
  ...['loved', 'jarred', 'loved_choices', 'jarred_choices', 'tags'].map((c) => [`keep.${c}`, asStrings] as const),
]);

/** What a table says of a column. */
export interface Column {
  readonly name: string;
  readonly type: string;
  readonly notnull: number;
}

/**
 * Whether a value is what its column is there for: a number where numbers are, JSON that its reader takes. Whoever
 * wrote the file may have meant ill. What the column held in the row before is not read again.
 */
export function soundIn(table: string, { name, type, notnull }: Column): (value: unknown) => boolean {
  const read = READERS.get(`${table}.${name}`);
  let last: unknown;
  return (value) => {
    if (value === null) return !notnull;
    if (!isOfType(type, value)) return false;
    if (!read || value === last) return true;
    try {
      read(value as string);
      last = value;
      return true;
    } catch {
      return false;
    }
  };
}

function isOfType(type: string, value: unknown): boolean {
  switch (type.toLowerCase()) {
    case 'integer':
      return Number.isSafeInteger(value);
    case 'real':
      return typeof value === 'number' && Number.isFinite(value);
    case 'blob':
      return value instanceof Uint8Array;
    default:
      return typeof value === 'string';
  }
}
