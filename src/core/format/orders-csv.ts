import Papa from 'papaparse';
import type { OrderLine } from '../kit/order';
import { ORDER_STATES, orderBy } from '../kit/order';
import type { Fault } from './fault';
import { BadInput, quoted } from './fault';

const COLUMNS = ['what', 'count', 'shop', 'days', 'needed_by'] as const;

/** The order list for a spreadsheet; cells that it would run as a formula are quoted as text. */
export const writeOrders = (lines: readonly OrderLine[]): string =>
  `${Papa.unparse({ fields: [...COLUMNS, 'state', 'order_by'], data: lines.map((l) => [l.what, l.count, l.shop, l.days, l.neededBy, l.state, orderBy(l)]) }, { newline: '\r\n', escapeFormulae: true })}\r\n`;

/**
 * Reads an order list back: the columns what, count, shop, days, needed_by, and state where it is given.
 * @throws BadInput with a fault for each thing wrong, by line and column
 */
export function readOrders(text: string, file: string): OrderLine[] {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const missing = COLUMNS.filter((c) => !meta.fields?.includes(c));
  if (missing.length)
    throw new BadInput(
      missing.map((c) => ({
        file,
        where: 'line 1',
        found: `the columns ${meta.fields?.join(', ') ?? ''}`,
        expected: `a column named ${c}`,
      })),
    );
  const faults: Fault[] = [];
  const lines = data.map((row, i): OrderLine => {
    const wrong = (column: string, expected: string): void =>
      void faults.push({ file, where: `line ${i + 2}, ${column}`, found: quoted(row[column] ?? ''), expected });
    const whole = (column: string, least: number, most: number): number => {
      const n = Number(row[column]);
      if (!/^\d+$/.test((row[column] ?? '').trim()) || n < least || n > most)
        wrong(column, `a whole number from ${least} to ${most}`);
      return n;
    };
    const neededBy = (row.needed_by ?? '').trim();
    if (!/^\d{4}-\d{2}-\d{2}$/.test(neededBy) || Number.isNaN(Date.parse(neededBy)))
      wrong('needed_by', 'a day such as 2027-02-08');
    const what = (row.what ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    if (!what) wrong('what', 'what is to be ordered');
    return {
      what,
      count: whole('count', 1, 10_000),
      shop: (row.shop ?? '').trim(),
      days: whole('days', 0, 365),
      neededBy,
      state: ORDER_STATES.find((s) => s === row.state?.trim()) ?? 'to order',
    };
  });
  if (faults.length) throw new BadInput(faults);
  return lines;
}
