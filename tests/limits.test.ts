import { readFileSync } from 'node:fs';
import { LIMITS_INDEX, allLimits, limitsIndex } from '../scripts/limits-index';

const limits = allLimits().flatMap((room) => room.limits);

it('says of each number that the heart decides by what it decides', () => {
  expect(limits.length).toBeGreaterThan(200);
  expect(limits.filter((l) => !l.says).map((l) => `${l.file}: ${l.name}`)).toEqual([]);
});

it('has them all in one table', () => {
  const plain = (table: string): string => table.replace(/ +/g, ' ').replace(/-+/g, '-');
  expect(plain(readFileSync(LIMITS_INDEX, 'utf8'))).toBe(plain(limitsIndex()));
});
