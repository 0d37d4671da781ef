import { saidCell } from './said-cell';

it('weeks, days and kinds are said, all else stays as it is', () =>
  expect(['2027-W06', '2027-02-09', 'full-box', 'Rockpool', '', 12].map(saidCell)).toEqual([
    'Feb 8, 2027',
    'Feb 9, 2027',
    'full box',
    'Rockpool',
    '',
    12,
  ]));
