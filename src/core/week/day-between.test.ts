import { demand } from '../../../tests/fixtures';
import { carriedOver, dayBetween } from './day-between';
import { writtenText } from './demand';
import { daysOfWeek, weekHolding } from './week';

it('the Sunday between books that begin on different days is on both pages, or on none', () => {
  expect(dayBetween('2027-W06', 'monday', 'monday')).toBeNull();
  expect(dayBetween('2027-W06', 'sunday', 'sunday')).toBeNull();
  const lost = dayBetween('2027-W06', 'monday', 'sunday')!;
  expect(lost).toEqual({ day: '2027-02-07', is: 'lost' });
  expect(daysOfWeek('2027-W05', 'sunday').concat(daysOfWeek('2027-W06', 'monday'))).not.toContain(lost.day);
  const twice = dayBetween('2027-W06', 'sunday', 'monday')!;
  expect(twice).toEqual({ day: '2027-02-07', is: 'twice' });
  expect(daysOfWeek('2027-W05', 'monday')).toContain(twice.day);
  expect(daysOfWeek('2027-W06', 'sunday')).toContain(twice.day);
});

it('what a lost day asks for goes onto the next page under its own name, and keeps its time in its words', () => {
  const on = '2027-02-07';
  const [swim, pack] = carriedOver([
    demand({ uid: 'a', key: 'a', title: 'swim', day: 6, on, start: 450 }),
    demand({ uid: 'b', key: 'b', title: 'pack', day: 6, on }),
    demand({ uid: 'c', key: 'c', title: 'camp', day: 6, on, kind: 'band' }),
  ]);
  expect([swim!, pack!].map(writtenText)).toEqual(['Sun 7:30a swim', 'Sun pack']);
  expect(swim).toMatchObject({ uid: 'a', day: 0, lastDay: 0, start: null, on });
  expect(swim!.key).not.toBe('a');
});

it('a day is of the week on whose pages it is', () => {
  expect(weekHolding('2027-02-07', 'sunday')).toBe('2027-W06');
  expect(weekHolding('2027-02-07', 'monday')).toBe('2027-W05');
});
