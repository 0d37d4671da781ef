import type { ApexOptions } from 'apexcharts';
import type { LogTable } from '../../core/keep/log-table';
import { columnOf } from '../../core/keep/log-table';
import { longDate } from '../../core/week/day-names';
import { daysOfWeek, isWeekName } from '../../core/week/week';
import { GLASS } from '../theme';
import { currencyOf, saidCell } from './said-cell';

/** Tells series apart without color: each line has dashes of its own. */
const DASHES = [0, 7, 3, 10, 5, 12, 2];
const INKS = [GLASS.bottle, GLASS.amber, GLASS.cobalt, GLASS.cranberry, '#6B7A3A', '#7A4E86', '#8A6B4A'];
/** Tells parts of a column apart without color. */
const HATCHES = ['slantedLines', 'verticalLines', 'circles', 'horizontalLines', 'squares'];
const OTHER = '#BBB5A6';
const AXIS = { labels: { style: { fontSize: '11px' } } } as const;

const first = (table: LogTable): string[] => table.rows.map((row) => String(row[0]));
/** A week by its first day; of a day or a month the year is left out. */
const short = (name: string): string =>
  isWeekName(name) ? longDate(daysOfWeek(name)[0] as string) : name.replace(/^\d{4}-/, '');

/** Days a week, from none to all, each with letters that stand out on it. */
const HEAT = [
  { from: 0, to: 0, color: '#F1EEE6', foreColor: GLASS.quiet },
  { from: 1, to: 2, color: '#CFDDD6', foreColor: GLASS.ink },
  { from: 3, to: 4, color: '#93B3A8', foreColor: GLASS.ink },
  { from: 5, to: 6, color: '#3F7268', foreColor: '#fff' },
  { from: 7, to: 7, color: GLASS.bottle, foreColor: '#fff' },
];

/** Lines over the weeks, one for each column of numbers; money bears the owner's sign. */
function lines(table: LogTable, columns: readonly string[], currency = ''): ApexOptions {
  const sign = currencyOf(table, columns[0] ?? '', currency);
  return {
    chart: { type: 'line', height: 240 },
    series: columns.map((name) => ({ name, data: columnOf(table, name) })),
    colors: INKS,
    stroke: { width: 2.2, dashArray: DASHES.slice(0, columns.length), curve: 'straight' },
    markers: { size: table.rows.length < 16 ? 4 : 0 },
    legend: { show: true, position: 'top', horizontalAlign: 'left' },
    grid: { padding: { top: 0 } },
    xaxis: { ...AXIS, categories: first(table).map(short), tickAmount: Math.min(12, table.rows.length) },
    yaxis: {
      labels: { ...AXIS.labels, ...(sign === null ? {} : { formatter: (n: number) => String(saidCell(n, sign)) }) },
      min: 0,
    },
  };
}

/** Columns over the weeks, one on the other. */
function stacked(table: LogTable, columns: readonly string[], colors: readonly string[] = INKS): ApexOptions {
  return {
    chart: { type: 'bar', height: 260, stacked: true },
    series: columns.map((name) => ({ name, data: columnOf(table, name) })),
    colors: [...colors],
    stroke: { width: 0.8, colors: ['#fff'] },
    fill: { type: 'pattern', pattern: { style: HATCHES, width: 6, height: 6, strokeWidth: 2.4 } },
    plotOptions: { bar: { columnWidth: '72%' } },
    legend: { show: true, position: 'top', horizontalAlign: 'left' },
    grid: { padding: { top: 0 } },
    xaxis: { ...AXIS, categories: first(table).map(short) },
    yaxis: AXIS,
  };
}

/** Days a week as a map of heat, each field with its number. */
function heat(table: LogTable): ApexOptions {
  const habits = table.columns.slice(1);
  return {
    chart: { type: 'heatmap', height: 70 + 34 * habits.length },
    series: [...habits].reverse().map((name) => ({
      name,
      data: table.rows.map((row) => ({ x: short(String(row[0])), y: Number(row[table.columns.indexOf(name)]) })),
    })),
    colors: [GLASS.bottle],
    dataLabels: { enabled: table.rows.length <= 30, style: { fontSize: '11px' } },
    plotOptions: { heatmap: { radius: 3, enableShades: false, colorScale: { ranges: HEAT } } },
    xaxis: { ...AXIS, tickAmount: Math.min(16, table.rows.length) },
    yaxis: { labels: { maxWidth: 160, style: { fontSize: '12px' } } },
  };
}

/** The chart of a table, where one would rather look than read; null: it is only read. */
export function chartOf(table: LogTable, currency = ''): ApexOptions | null {
  if (!table.rows.length) return null;
  const numbers = table.columns.slice(1).filter((c) => c !== 'in all');
  switch (table.name) {
    case 'habits-by-week':
      return heat(table);
    case 'hours':
    case 'spending':
      return lines(table, table.columns.slice(1), currency);
    case 'items-by-week':
      return lines(table, ['items', 'done', 'moved']);
    case 'items-by-day':
      return turnedTable(table);
    case 'cost-by-week':
      // without a price there is no cost to look at
      return lines(table, columnOf(table, 'cost').some((cost) => cost > 0) ? ['cost'] : ['stickers'], currency);
    case 'kinds':
      return bars(table, 'used');
    case 'white-space':
      return lines(table, ['all days']);
    case 'colors-by-month':
      return named(
        stacked(
          table,
          numbers,
          numbers.map((name) => table.swatches?.find(([column]) => column === name)?.[1] ?? OTHER),
        ),
        Math.max(...table.rows.map((row) => numbers.reduce((sum, _, i) => sum + Number(row[i + 1]), 0))),
      );
    case 'bench-minutes':
      return stacked(table, numbers);
    default:
      return null;
  }
}

/** Parts of a column that bear their name, where they are large enough for it; what is drawn in its own color. */
const named = (options: ApexOptions, whole: number): ApexOptions => ({
  ...options,
  fill: { type: 'solid' },
  dataLabels: {
    enabled: true,
    formatter: (value, { seriesIndex, w }: { seriesIndex: number; w: { globals: { seriesNames: string[] } } }) =>
      Number(value) > whole * 0.06 ? (w.globals.seriesNames[seriesIndex] ?? '') : '',
    style: { fontSize: '11px', colors: [GLASS.ink] },
    background: { enabled: true, foreColor: GLASS.ink, opacity: 0.75, borderWidth: 0, padding: 2 },
  },
});

/** Weekdays side by side, each with its kinds one on the other. */
function turnedTable(table: LogTable): ApexOptions {
  const days = table.columns.slice(1, -1);
  return {
    ...stacked(table, []),
    series: table.rows.map((row) => ({ name: String(row[0]), data: days.map((_, d) => Number(row[d + 1])) })),
    xaxis: { ...AXIS, categories: days.map((d) => d.slice(0, 3)) },
  };
}

/** Lying columns with a name each, the longest first. */
function bars(table: LogTable, column: string): ApexOptions {
  const most = table.rows.slice(0, 14);
  return {
    chart: { type: 'bar', height: 40 + 24 * most.length },
    series: [{ name: column, data: most.map((row) => Number(row[table.columns.indexOf(column)])) }],
    colors: [GLASS.bottle],
    plotOptions: { bar: { horizontal: true, barHeight: '70%', borderRadius: 2 } },
    dataLabels: { enabled: true, style: { fontSize: '11px' } },
    xaxis: { ...AXIS, categories: most.map((row) => String(saidCell(row[0] ?? ''))) },
  };
}
