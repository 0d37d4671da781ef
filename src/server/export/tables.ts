import type SQLite from 'better-sqlite3';
import { own } from '../../core/measure/own';

/** What an export says of itself, and names it. */
export const EXPORT_FORMAT = 'hobnail.export/1';
export const EXPORT_NAME = 'hobnail-export.json';

/** Worked out from the others by triggers, or of use in one house only (what undo would take back). */
const NOT_EXPORTED: ReadonlySet<string> = new Set([
  'copy_state',
  'kit_stock',
  'kit_clock',
  'stale_week',
  'log',
  'kysely_migration',
]);

/** A value as JSON has it; bytes have a form of their own. */
type Cell = string | number | null | { readonly base64: string };
export type ExportedRow = Readonly<Record<string, Cell>>;

/** Tables that an export holds, in the order in which they can be filled again. */
export function exportedTables(sqlite: SQLite.Database): string[] {
  const all = sqlite
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name")
    .pluck()
    .all() as string[];
  const own = all.filter((t) => !NOT_EXPORTED.has(t) && !t.startsWith('week_text'));
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

/** Fills a table with the rows of an export. @throws SqliteError where they do not fit it */
export function fillTable(sqlite: SQLite.Database, table: string, rows: readonly ExportedRow[]): void {
  const known = new Set((sqlite.pragma(`table_info("${table}")`) as { readonly name: string }[]).map((c) => c.name));
  for (const row of rows) {
    const columns = Object.keys(row).filter((c) => known.has(c));
    const values = columns.map((c) => {
      const value = own(row, c) ?? null;
      return typeof value === 'object' && value !== null ? Buffer.from(value.base64, 'base64') : value;
    });
    sqlite
      .prepare(
        `insert into "${table}" (${columns.map((c) => `"${c}"`).join(', ')}) values (${columns.map(() => '?').join(', ')})`,
      )
      .run(...values);
  }
}
