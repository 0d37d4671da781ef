import { currencyOf, saidCell } from './said-cell';

it('weeks, days and kinds are said, all else stays as it is', () =>
  expect(['2027-W06', '2027-02-09', 'full-box', 'Rockpool', '', 12].map((cell) => saidCell(cell))).toEqual([
    'Feb 8, 2027',
    'Feb 9, 2027',
    'full box',
    'Rockpool',
    '',
    12,
  ]));

it('money is written as its owner writes it, in its own columns alone', () => {
  const table = {
    name: 'kits',
    title: '',
    columns: ['kit', 'price', 'weeks'],
    money: ['price'],
    rows: [],
    nothing: '',
  };
  const signs = table.columns.map((column) => currencyOf(table, column, '€'));
  expect(['Fog', 9.8, 2].map((cell, i) => saidCell(cell, signs[i]))).toEqual(['Fog', '€9.80', 2]);
});
