import { readCalendar } from '../format/calendar';
import { demandsOfWeek } from './demands';
import type { WeekDemands } from './demand';
import { spokenTime } from './demand';
import { meaningsOf, usualPart } from './meaning';
import { daysOfWeek, isWeekName, spokenWeek, weekAfter, weekOf } from './week';

const calendar = (...lines: string[]) => readCalendar(['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n'), 'c.ics');
const event = (...lines: string[]): string[] => ['BEGIN:VEVENT', `UID:${lines.join('').replace(/\W/g, '')}`, ...lines, 'END:VEVENT'];
const week = (name: string, zone: string | undefined, ...lines: string[]): WeekDemands => demandsOfWeek([calendar(...lines)], name, 'monday', zone);
const seen = (w: WeekDemands): string[] => w.demands.map((d) => `${d.title}@${d.day}${d.start === null ? '' : ` ${Math.floor(d.start / 60)}:${String(d.start % 60).padStart(2, '0')}`}`);

describe('weeks (ISO 8601)', () => {
  it.each([['2026-12-31', '2026-W53'], ['2027-01-01', '2026-W53'], ['2027-01-04', '2027-W01'], ['2024-12-30', '2025-W01'], ['2023-01-01', '2022-W52']])('%s is in %s', (day, name) => expect(weekOf(day)).toBe(name));
  it('knows which years have a week 53', () => expect(['2020-W53', '2026-W53', '2027-W53', '2027-W00', '2027-6'].map(isWeekName)).toEqual([true, true, false, false, false]));
  it('runs over month and year ends', () => {
    expect(daysOfWeek('2026-W53')).toEqual(['2026-12-28', '2026-12-29', '2026-12-30', '2026-12-31', '2027-01-01', '2027-01-02', '2027-01-03']);
    expect(daysOfWeek('2027-W06', 'sunday')[0]).toBe('2027-02-07');
    expect(weekAfter('2026-W53')).toBe('2027-W01');
    expect(spokenWeek(daysOfWeek('2026-W53'))).toBe('Dec 28 – Jan 3');
  });
});

describe('demands', () => {
  it('follows a rule with an exception, a moved and a cancelled happening', () => {
    const found = week('2027-W06', 'Europe/Lisbon',
      'BEGIN:VEVENT', 'UID:s', 'SUMMARY:stretch', 'DTSTART;TZID=Europe/Lisbon:20270201T070000', 'RRULE:FREQ=DAILY;COUNT=20', 'EXDATE;TZID=Europe/Lisbon:20270209T070000', 'END:VEVENT',
      'BEGIN:VEVENT', 'UID:s', 'RECURRENCE-ID;TZID=Europe/Lisbon:20270210T070000', 'SUMMARY:stretch late', 'DTSTART;TZID=Europe/Lisbon:20270210T190000', 'END:VEVENT',
      'BEGIN:VEVENT', 'UID:s', 'RECURRENCE-ID;TZID=Europe/Lisbon:20270211T070000', 'STATUS:CANCELLED', 'DTSTART;TZID=Europe/Lisbon:20270211T070000', 'END:VEVENT');
    expect(seen(found)).toEqual(['stretch@0 7:00', 'stretch late@2 19:00', 'stretch@4 7:00', 'stretch@5 7:00', 'stretch@6 7:00']);
    expect(new Set(found.demands.map((d) => d.key)).size).toBe(5);
  });

  it('moves times into the owner’s zone, the zone database over clock changes', () => {
    const lines = event('DTSTART;TZID=America/Halifax:20270317T180000', 'RRULE:FREQ=WEEKLY', 'SUMMARY:call');
    expect(seen(week('2027-W11', 'Europe/Lisbon', ...lines))).toEqual(['call@2 21:00']);
    expect(seen(week('2027-W13', 'Europe/Lisbon', ...lines))).toEqual(['call@2 22:00']);
    expect(seen(week('2027-W06', 'Europe/Lisbon', ...event('DTSTART:20270208T233000Z', 'SUMMARY:late')))).toEqual(['late@0 23:30']);
  });

  it('reads a zone that only the file knows from its VTIMEZONE', () => {
    const zone = ['BEGIN:VTIMEZONE', 'TZID:Harbor Office', 'BEGIN:STANDARD', 'DTSTART:19700101T000000', 'TZOFFSETFROM:-0400', 'TZOFFSETTO:-0400', 'END:STANDARD', 'END:VTIMEZONE'];
    expect(seen(week('2027-W06', 'UTC', ...zone, ...event('DTSTART;TZID=Harbor Office:20270208T080000', 'SUMMARY:shift')))).toEqual(['shift@0 12:00']);
  });

  it('makes bands of what runs over days, and cuts them to the week', () => {
    const found = week('2027-W06', 'UTC', ...event('DTSTART;VALUE=DATE:20270206', 'DTEND;VALUE=DATE:20270210', 'SUMMARY:camp'), ...event('DTSTART:20270213T180000', 'DTEND:20270216T090000', 'SUMMARY:visit'), ...event('DTSTART:20270209T220000', 'DTEND:20270210T030000', 'SUMMARY:night watch'));
    expect(found.demands.map((d) => [d.title, d.kind, d.day, d.lastDay])).toEqual([['camp', 'band', 0, 1], ['night watch', 'appointment', 1, 1], ['visit', 'band', 5, 6]]);
  });

  it('plans ahead by lead, joins tasks to lists, keeps what is said', () => {
    const found = week('2027-W06', 'UTC',
      'BEGIN:VTODO', 'UID:r', 'SUMMARY:rent', 'DUE;VALUE=DATE:20270215', 'X-HOBNAIL-LEAD:P2D', 'X-HOBNAIL-KIND:deadline', 'END:VTODO',
      'BEGIN:VTODO', 'UID:o', 'SUMMARY:oats', 'DUE;VALUE=DATE:20270212', 'X-HOBNAIL-LIST:to buy', 'END:VTODO',
      'BEGIN:VTODO', 'UID:d', 'SUMMARY:dig', 'DTSTART;VALUE=DATE:20270208', 'END:VTODO',
      'BEGIN:VTODO', 'UID:x', 'SUMMARY:done', 'DUE;VALUE=DATE:20270208', 'STATUS:COMPLETED', 'END:VTODO',
      ...event('DTSTART;VALUE=DATE:20270210', 'SUMMARY:bins', 'STATUS:TENTATIVE', 'X-HOBNAIL-ROOM:half', 'CATEGORIES:refuse,house'));
    expect(found.demands.map((d) => [d.title, d.day, d.kind, d.list, d.part])).toEqual([
      ['dig', 0, 'to-do', 'to do', 'day'], ['bins', 2, 'chore', null, 'evening'], ['oats', 4, 'to-do', 'to buy', 'day'], ['rent', 5, 'deadline', null, 'day'],
    ]);
    expect(found.demands[1]).toMatchObject({ tentative: true, room: 'half', categories: ['refuse', 'house'] });
  });

  /** RFC 5545, section 3.8.5.3, examples of recurrence rules; New York times. */
  it.each([
    ['19970902T090000', 'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR', '1997-W38', [0, 2, 4]],
    ['19970902T090000', 'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR', '1997-W39', []],
    ['19970905T090000', 'FREQ=MONTHLY;COUNT=10;BYDAY=1FR', '1997-W40', [4]],
    ['19970929T090000', 'FREQ=MONTHLY;BYDAY=-2MO', '1997-W43', [0]],
    ['19970902T090000', 'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', '1998-W07', [4]],
    ['19970805T090000', 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO', '1997-W34', [1, 6]],
  ])('RFC 5545: from %s by %s in %s', (start, rule, name, days) => {
    const found = week(name, 'America/New_York', ...event(`DTSTART;TZID=America/New_York:${start}`, `RRULE:${rule}`, 'SUMMARY:x'));
    expect(found.demands.map((d) => d.day)).toEqual(days);
    expect(found.demands.every((d) => d.start === 9 * 60)).toBe(true);
  });

  it('is bounded on a rule that never ends and never meets the week', () => {
    expect(week('2027-W06', 'UTC', ...event('DTSTART:19000101T000000Z', 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'SUMMARY:never')).demands).toEqual([]);
  });
});

it('speaks times and finds meanings', () => {
  expect([0, 9 * 60, 12 * 60 + 5, 16 * 60 + 30].map(spokenTime)).toEqual(['12a', '9a', '12:05p', '4:30p']);
  expect(meaningsOf('vet, both hounds')).toContain('vet');
  expect(meaningsOf('time sheet')).toContain('computer');
  expect(meaningsOf('binnacle')).toEqual([]);
  expect(usualPart('refuse bins', [])).toBe('evening');
});
