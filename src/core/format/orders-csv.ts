import type { OrderLine } from '../kit/order';
import { ORDER_STATES, orderBy } from '../kit/order';
import type { Row } from './csv-table';
import { readTable, writeTable } from './csv-table';
import { BadInput, quoted } from './fault';

const NEEDED = ['what', 'count', 'shop', 'days', 'needed_by'] as const;

/** The order list for a spreadsheet, with the day to order by. */
export const writeOrders = (lines: readonly OrderLine[]): string =>
  writeTable(
    [...NEEDED, 'state', 'order_by'],
    lines.map((l) => [l.what, l.count, l.shop, l.days, l.neededBy, l.state, orderBy(l)]),
  );

/**
 * Reads an order list back: the columns what, count, shop, days, needed_by, and state where it is given.
 * @throws BadInput with a fault for each thing wrong, by line and column
 */
export function readOrders(text: string, file: string): OrderLine[] {
  const { rows, faults } = readTable(text, file, NEEDED, ['state']);
  const lines = rows.map(toLine);
  if (faults.length) throw new BadInput(faults);
  return lines;
}

const toLine = (row: Row): OrderLine => ({
  what: row.needed('what'),
  count: row.whole('count', 1, 10_000),
  shop: row.text('shop'),
  days: row.whole('days', 0, 365),
  neededBy: day(row),
  state: row.oneOf('state', ORDER_STATES, 'to order'),
});

function day(row: Row): string {
  const text = row.text('needed_by');
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text) || Number.isNaN(Date.parse(text)))
    row.fault('needed_by', quoted(text), 'a day such as 2027-02-08');
  return text;
}
