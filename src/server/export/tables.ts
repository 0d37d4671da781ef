import type SQLite from 'better-sqlite3';
import { own } from '../../core/measure/own';
import type { Column, StoredRow } from '../../db/sound-values';
import { soundIn } from '../../db/sound-values';
import { StoreTrouble, asTrouble } from '../../db/trouble';

/** What an export says of itself, and names it. */
export const EXPORT_FORMAT = 'hobnail.export/1';
export const EXPORT_NAME = 'hobnail-export.json';

/** Worked out from the others by triggers, or the migrations' own. */
const WORKED_OUT: ReadonlySet<string> = new Set([
  'copy_state',
  'kit_stock',
  'kit_clock',
  'stale_week',
  'kysely_migration',
]);
/** Of use in one house only: what undo would take back. */
const OF_ONE_HOUSE: ReadonlySet<string> = new Set(['log']);

/** A value as JSON has it; bytes have a form of their own. */
type Cell = string | number | null | { readonly base64: string };
export type ExportedRow = Readonly<Record<string, Cell>>;

/** Tables that an export holds, in the order in which they can be filled again. */
export const exportedTables = (sqlite: SQLite.Database): string[] =>
  tablesToFill(sqlite).filter((t) => !OF_ONE_HOUSE.has(t));

/** Tables whose rows are not worked out from others, those first that others need. */
export function tablesToFill(sqlite: SQLite.Database): string[] {
  const all = sqlite
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name")
    .pluck()
    .all() as string[];
  const own = all.filter((t) => !WORKED_OUT.has(t) && !t.startsWith('week_text'));
  const needs = (table: string): string[] =>
    (sqlite.pragma(`foreign_key_list("${table}")`) as { readonly table: string }[]).map((k) => k.table);
  const ordered: string[] = [];
  while (ordered.length < own.length) {
    const next = own.filter(
      (t) => !ordered.includes(t) && needs(t).every((n) => n === t || ordered.includes(n) || !own.includes(n)),
    );
    if (!next.length) throw new Error('tables that need each other cannot be put in order');
    ordered.push(...next);
  }
  return ordered;
}

/** A table as a JSON list, a row a line, in the order of its key: the same data, the same bytes. */
export function tableJson(sqlite: SQLite.Database, table: string): string {
  const info = sqlite.pragma(`table_info("${table}")`) as { readonly name: string; readonly pk: number }[];
  const key = info
    .filter((c) => c.pk > 0)
    .sort((a, b) => a.pk - b.pk)
    .map((c) => `"${c.name}"`);
  const order = key.length ? key.join(', ') : 'rowid';
  const rows: string[] = [];
  for (const row of sqlite.prepare(`select * from "${table}" order by ${order}`).iterate())
    rows.push(
      JSON.stringify(row, (_, value: unknown) =>
        isBytes(value) ? { base64: Buffer.from(value.data).toString('base64') } : value,
      ),
    );
  return `[\n${rows.join(',\n')}\n]\n`;
}

/** How a Buffer comes to a JSON replacer. */
const isBytes = (value: unknown): value is { readonly data: readonly number[] } =>
  typeof value === 'object' && value !== null && (value as { type?: unknown }).type === 'Buffer';

/** A row of an export as it is stored. */
export const storedRow = (row: ExportedRow): StoredRow =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      typeof value === 'object' && value !== null ? Buffer.from(String(value.base64), 'base64') : value,
    ]),
  );

/** Rows that are put in before others are answered. */
const AT_ONCE = 2000;

/**
 * Fills a table with rows from elsewhere. One whose values are not sound, or that the table's own rules forbid, is left
 * out; columns that the table does not have are passed over.
 * @returns how many rows were left out
 * @throws StoreTrouble where the disk has something against it
 */
export async function fillTable(sqlite: SQLite.Database, table: string, rows: Iterable<StoredRow>): Promise<number> {
  const columns = sqlite.pragma(`table_info("${table}")`) as readonly Column[];
  const sound = columns.map((column) => soundIn(table, column));
  // by the columns that a row has: a table has few such sets, and a statement is dear to prepare
  const statements = new Map<string, SQLite.Statement>();
  let [taken, leftOut] = [0, 0];
  for (const row of rows) {
    const values = columns.map(({ name }) => own(row, name));
    const given = columns.filter((_, i) => values[i] !== undefined);
    const names = given.map((c) => `"${c.name}"`).join(', ');
    const insert = statements.get(names) ?? sqlite.prepare(`insert into "${table}" (${names}) values (${given.map(() => '?').join(', ')})`); // prettier-ignore
    statements.set(names, insert);
    const isSound = values.every((value, i) => value === undefined || sound[i]?.(value));
    if (!isSound || !goesIn(insert, values)) leftOut++;
    else if (++taken % AT_ONCE === 0) await new Promise((next) => setImmediate(next));
  }
  return leftOut;
}

function goesIn(insert: SQLite.Statement, values: readonly unknown[]): boolean {
  try {
    insert.run(...values.filter((value) => value !== undefined));
    return true;
  } catch (error) {
    const trouble = asTrouble(error);
    if (trouble instanceof StoreTrouble) throw trouble;
    return false;
  }
}
