/** One item of a list with the rows it takes. */
export interface RowText {
  /** a line for each of its rows; of one row written in two lines, both of them */
  readonly lines: readonly string[];
  /** two lines stand in one row, rather than each in a row of its own */
  readonly inOneRow: boolean;
}

const GOES_ON = '  ';
const TWO_LINES = ' / ';

/**
 * A list's text as a spread keeps it (docs/formats/spread.md): a line for each row; two leading spaces where a row goes
 * on with the text of the row above; two lines in one row joined by ` / `.
 */
export const listText = (items: readonly RowText[]): string =>
  items.map(({ lines, inOneRow }) => (inOneRow ? lines.join(TWO_LINES) : lines.join(`\n${GOES_ON}`))).join('\n');

/** Rows that a list's items take: a long one more than one. */
export const rowsTaken = (p: { readonly items: readonly string[]; readonly text: string | null }): number =>
  Math.max(p.items.length, p.text?.split('\n').length ?? 0);

/** The rows, from the top, that go on with the item of the row above: nobody ticks their boxes. */
export const rowsGoingOn = (text: string): number[] =>
  text.split('\n').flatMap((row, i) => (i > 0 && row.startsWith(GOES_ON) ? [i] : []));

/** The lines written on each row of a list, from its text. */
export const linesOfRows = (text: string, twoLines: boolean): readonly (readonly string[])[] =>
  text.split('\n').map((row) => (twoLines ? row.trim().split(TWO_LINES) : [row.trim()]));
