import fc from 'fast-check';
import { DateTime } from 'luxon';
import { dayAfter, dayOfMonth, longDay, shortDay, spokenWeek } from './day-names';
import { daysOfWeek } from './week';

it('names the days as luxon does, over centuries', () => {
  fc.assert(
    fc.property(fc.integer({ min: -150000, max: 150000 }), (n) => {
      const date = DateTime.utc(2027, 2, 8).plus({ days: n });
      const day = date.toISODate() as string;
      expect([longDay(day), dayOfMonth(day), dayAfter(day)]).toEqual([
        date.toFormat('cccc', { locale: 'en-US' }),
        date.day,
        date.plus({ days: 1 }).toISODate(),
      ]);
    }),
    { numRuns: 300, seed: 2 },
  );
});

it('speaks a week over a month’s end', () => {
  expect(spokenWeek(daysOfWeek('2027-W06'))).toBe('Feb 8 – 14');
  expect(spokenWeek(daysOfWeek('2027-W08'))).toBe('Feb 22 – 28');
  expect(spokenWeek(daysOfWeek('2026-W53'))).toBe('Dec 28 – Jan 3');
  expect(shortDay('2027-02-08')).toBe('Mon');
});
