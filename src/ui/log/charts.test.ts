import type { LogTable } from '../../core/keep/log-table';
import { chartOf } from './charts';

const table = (name: string, columns: readonly string[], ...rows: LogTable['rows'][number][]): LogTable => ({
  name, title: name, columns, rows, nothing: '',
}); // prettier-ignore
const series = (t: LogTable) => chartOf(t)?.series as { name: string; data: unknown[] }[];

describe('a chart draws what its table says', () => {
  it('hours and spending as a line for each name and the sum', () => {
    const found = series(
      table('hours', ['week', 'ferry', 'choir', 'in all'], ['2027-W05', 8, 2, 10], ['2027-W06', 4, 0, 4]),
    );
    expect(found).toEqual([
      { name: 'ferry', data: [8, 4] },
      { name: 'choir', data: [2, 0] },
      { name: 'in all', data: [10, 4] },
    ]);
  });
  it('money with its sign on the axis, hours without', () => {
    const axis = (t: LogTable) => {
      const { yaxis } = chartOf(t, '€') as { yaxis: { labels: { formatter?: (n: number) => string } } };
      return yaxis.labels.formatter?.(4);
    };
    const rows = [['2027-W05', 2.5]] as const;
    expect(axis({ ...table('spending', ['week', 'seeds'], ...rows), money: ['seeds'] })).toBe('€4.00');
    expect(axis(table('hours', ['week', 'ferry'], ...rows))).toBeUndefined();
  });
  it('each line with dashes of its own, so that it is told without color', () => {
    const names = ['a', 'b', 'c', 'd'];
    const options = chartOf(table('spending', ['week', ...names], ['2027-W05', 1, 2, 3, 4]))!;
    expect(new Set(options.stroke!.dashArray as number[]).size).toBe(4);
  });
  it('habits as a map of heat with numbers, the first habit on top', () => {
    const t = table('habits-by-week', ['week', 'water', 'scales'], ['2027-W05', 7, 0]);
    expect(series(t).map((s) => s.name)).toEqual(['scales', 'water']);
    expect(series(t)[1]!.data).toEqual([{ x: 'Feb 1', y: 7 }]);
    const { ranges } = chartOf(t)!.plotOptions!.heatmap!.colorScale!;
    for (let days = 0; days <= 7; days++)
      expect(ranges!.filter((r) => days >= r.from! && days <= r.to!)).toHaveLength(1);
  });
  it('items by weekday, a series for each kind, without the sum', () => {
    const days = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
    const t = table('items-by-day', ['kind', ...days, 'in all'], ['chore', 1, 2, 3, 4, 5, 6, 7, 28]);
    expect(series(t)).toEqual([{ name: 'chore', data: [1, 2, 3, 4, 5, 6, 7] }]);
    expect(chartOf(t)!.xaxis!.categories).toEqual(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']);
  });
  it('colors in their own color, those without one in gray, each part with its name', () => {
    const t = {
      ...table('colors-by-month', ['month', 'teal', 'others'], ['2027-01', 90, 3]),
      swatches: [['teal', '#1f6f78']] as const,
    };
    const options = chartOf(t)!;
    expect(options.colors).toEqual(['#1f6f78', '#BBB5A6']);
    const { formatter: label } = options.dataLabels as unknown as { formatter: (v: number, o: object) => string };
    const w = { globals: { seriesNames: ['teal', 'others'] } };
    expect([label(90, { seriesIndex: 0, w }), label(3, { seriesIndex: 1, w })]).toEqual(['teal', '']);
  });
  it('minutes at the bench one on the other, hatched', () => {
    const options = chartOf(table('bench-minutes', ['week', 'cut', 'place', 'in all'], ['2027-W05', 3, 40, 43]))!;
    expect((options.series as unknown[]).length).toBe(2);
    expect(options.fill!.type).toBe('pattern');
  });
  it('kinds as lying columns, the longest first, fourteen at most', () => {
    const rows = Array.from({ length: 20 }, (_, i) => [`k${i}`, 20 - i] as const);
    const found = series(table('kinds', ['kind', 'used'], ...rows));
    expect([found[0]!.data.length, found[0]!.data[0]]).toEqual([14, 20]);
  });
  it.each([
    ['cost-by-week', ['week', 'kits', 'stickers', 'cost'], ['2027-W05', 'Fog', 9, 2.5], 2.5],
    ['white-space', ['week', 'mon', 'all days'], ['2027-W05', 20, 33], 33],
  ] as const)('%s as one line', (name, columns, row, value) => {
    expect(series(table(name, columns, row))).toEqual([expect.objectContaining({ data: [value] })]);
  });
});

it('a table that is only read has none, and neither has an empty one', () => {
  expect(chartOf(table('never-used', ['kit'], ['Fog']))).toBeNull();
  expect(chartOf(table('constructor', ['kit'], ['Fog']))).toBeNull();
  expect(chartOf(table('hours', ['week', 'ferry']))).toBeNull();
});
