import { threeBox } from '../book/three-box';
import { regionName } from './region-name';

it('a place of a book has a name, whatever day its week begins on, and never a number', () => {
  const names = threeBox.regions.map((r) => regionName(threeBox, r));
  expect(names).toEqual(expect.arrayContaining(['Monday', 'Monday’s header', 'Sunday', 'sidebar', 'strip left']));
  expect(names.filter((n) => /\d/.test(n))).toEqual([]);
  const first = threeBox.regions.find((r) => r.kind === 'date-header' && r.day === 0)!;
  expect(regionName({ weekStart: 'sunday' }, first)).toBe('Sunday’s header');
  expect(regionName(threeBox, { ...first, kind: 'month-flag' })).toBe('Monday’s flag');
});
