import { DateTime } from 'luxon';
import { randomFrom } from '../measure/random';
import { dayAfter, dayOfMonth, longDate, longDay, shortDay, spokenWeek } from './day-names';
import {
  dateOf,
  daysFrom,
  next,
  nextDate,
  nextMonthDay,
  nthOf,
  ofNextWeek,
  plus,
  weekdayOf,
} from './typed/calendar-days';
import { daysOfWeek, isWeekName, weekAfter, weekHolding, weekOf } from './week';

// luxon, a general calendar package, is the reference here

const random = randomFrom(1988);
const isoOf = (date: DateTime): string => date.toISODate() ?? '';
const days = Array.from({ length: 1500 }, () => {
  const date = DateTime.utc(1900, 1, 1).plus({ days: Math.floor(random() * 150_000) });
  return { date, day: isoOf(date) };
});
const nameOf = (date: DateTime) => `${date.weekYear}-W${String(date.weekNumber).padStart(2, '0')}`;

it('weeks are those of ISO 8601, over 1,500 days of four centuries', () => {
  for (const { date, day } of days) {
    const week = nameOf(date);
    expect(weekOf(day)).toBe(week);
    expect(isWeekName(week)).toBe(true);
    expect(daysOfWeek(week)).toContain(day);
    expect(daysOfWeek(week)[0]).toBe(date.startOf('week').toISODate());
    expect(weekAfter(week)).toBe(nameOf(date.plus({ weeks: 1 })));
    expect(weekAfter(week, -60)).toBe(nameOf(date.minus({ weeks: 60 })));
  }
});

it('every year has the weeks it has, and no other', () => {
  for (let year = 1900; year <= 2300; year++) {
    const { weeksInWeekYear } = DateTime.utc(year, 6, 1);
    expect([isWeekName(`${year}-W53`), isWeekName(`${year}-W52`)]).toEqual([weeksInWeekYear === 53, true]);
  }
});

it.each(['2027-W00', '2027-W54', '2027-W5', '27-W05', '2027W05', '2027-w05', '', 'constructor', '2027-W05 '])(
  '%j is no week',
  (name) => {
    expect(isWeekName(name)).toBe(false);
    expect(() => daysOfWeek(name)).toThrow(RangeError);
    expect(() => weekAfter(name)).toThrow(RangeError);
  },
);

it('a week that starts on Sunday has the Sunday before', () => {
  expect(daysOfWeek('2027-W06', 'sunday')).toEqual([
    '2027-02-07', '2027-02-08', '2027-02-09', '2027-02-10', '2027-02-11', '2027-02-12', '2027-02-13',
  ]); // prettier-ignore
});

it('a day is of the week whose page holds it', () => {
  for (const { day } of days.slice(0, 200))
    for (const start of ['monday', 'sunday'] as const)
      expect(daysOfWeek(weekHolding(day, start), start)).toContain(day);
  expect([weekHolding('2027-02-07', 'monday'), weekHolding('2027-02-07', 'sunday')]).toEqual(['2027-W05', '2027-W06']);
});

it('years before the hundredth are years of their own', () => {
  expect([isWeekName('0099-W10'), weekOf('0099-03-09').slice(0, 4)]).toEqual([true, '0099']);
});

it('days are counted as the calendar has them', () => {
  for (const { date, day } of days.slice(0, 400)) {
    const by = Math.floor(random() * 900) - 450;
    const other = isoOf(date.plus({ days: by }));
    expect([plus(day, by), daysFrom(day, other)]).toEqual([other, by]);
    expect(weekdayOf(day)).toBe(date.weekday - 1);
    expect(dayAfter(day)).toBe(date.plus({ days: 1 }).toISODate());
    expect(longDay(day)).toBe(date.setLocale('en-US').toFormat('cccc'));
    expect(shortDay(day)).toBe(date.setLocale('en-US').toFormat('ccc'));
    expect(longDate(day)).toBe(date.setLocale('en-US').toFormat('LLL d'));
    expect(dayOfMonth(day)).toBe(date.day);
  }
});

it('the next weekday may be the day itself; that of the next week never is', () => {
  for (const { date, day } of days.slice(0, 200))
    for (let weekday = 0; weekday < 7; weekday++) {
      const found = next(day, weekday);
      expect([weekdayOf(found), found >= day, daysFrom(day, found) < 7]).toEqual([weekday, true, true]);
      const later = ofNextWeek(day, weekday);
      expect([weekdayOf(later), weekOf(later)]).toEqual([weekday, nameOf(date.plus({ weeks: 1 }))]);
    }
});

it.each([
  ['2027-02-03', 3, '2027-02-03'],
  ['2027-02-03', 2, '2027-03-02'],
  ['2027-01-31', 30, '2027-03-30'],
  ['2027-02-01', 31, '2027-03-31'],
  ['2028-02-01', 29, '2028-02-29'],
  ['2027-02-01', 29, '2027-03-29'],
])('from %s the next day of a month with the number %d is %s', (from, number, day) => {
  expect(nextMonthDay(from, number)).toBe(day);
});

it.each([
  ['2027-02-03', 2, 29, '2028-02-29'],
  ['2027-02-03', 2, 3, '2027-02-03'],
  ['2027-02-03', 1, 1, '2028-01-01'],
  ['2027-02-03', 2, 30, null],
])('from %s the next %d/%d is %s', (from, month, date, day) => {
  expect(nextDate(from, month, date)).toBe(day);
});

it.each([
  ['2027-02-03', 1, 0, '2027-03-01'],
  ['2027-02-03', -1, 6, '2027-02-28'],
  ['2027-02-03', 3, 2, '2027-02-17'],
  ['2027-02-03', -1, null, '2027-02-26'],
  ['2027-05-30', -1, null, '2027-05-31'],
  ['2027-02-03', 1, null, '2027-03-01'],
  ['2027-02-03', 5, 1, '2027-03-30'],
])('from %s the %dth of weekday %s is %s', (from, nth, weekday, day) => {
  expect(nthOf(from, nth, weekday)).toBe(day);
});

it('a day that is none is none', () => {
  expect([dateOf(2027, 2, 29), dateOf(2028, 2, 29), dateOf(2027, 13, 1)]).toEqual([null, '2028-02-29', null]);
});

it('a week is said with its month once, or with both over a month’s end', () => {
  expect(spokenWeek(daysOfWeek('2027-W06'))).toBe('Feb 8 – 14');
  expect(spokenWeek(daysOfWeek('2027-W04'))).toBe('Jan 25 – 31');
  expect(spokenWeek(daysOfWeek('2026-W53'))).toBe('Dec 28 – Jan 3');
});
