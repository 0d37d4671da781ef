import { readAmount } from './Amounts';

it.each([
  ['12', 12],
  ['12.5', 12.5],
  ['12,50', 12.5],
  [' 0.05 ', 0.05],
  ['999999', 999_999],
  ['', null],
  ['-3', null],
  ['1.234', null],
  ['1e3', null],
  ['12.', null],
  ['$12', null],
  ['1,000.50', null],
  ['1000000', null],
  ['constructor', null],
])('%j is the amount %j', (text, amount) => expect(readAmount(text)).toBe(amount));
