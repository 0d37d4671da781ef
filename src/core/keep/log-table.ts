import { writeTable } from '../format/csv-table';

/** A table of the log: what a chart draws, what a file holds and what is read are these same rows. */
export interface LogTable {
  /** names it in an address and a file */
  readonly name: string;
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
  /** the color that a column is about, by its name */
  readonly swatches?: readonly (readonly [column: string, color: string])[];
  /** columns of money */
  readonly money?: readonly string[];
  /** said where it has no rows */
  readonly nothing: string;
}

export const asCsv = (table: LogTable): string => writeTable(table.columns, table.rows);

/** Numbers of one column; what is no number counts as 0. */
export const columnOf = (table: LogTable, column: string): number[] => {
  const at = table.columns.indexOf(column);
  return table.rows.map((row) => (typeof row[at] === 'number' ? row[at] : 0));
};

/** To so many digits, without a tail of nines. */
export const rounded = (value: number, digits = 1): number => Math.round(value * 10 ** digits) / 10 ** digits;
