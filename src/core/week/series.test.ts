import { readCalendar } from '../format/calendar';
import { entryOf, putEntry } from '../format/calendar-edit';
import { demandsOfWeek } from './demands';

const cal = (...parts: readonly string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:t', ...parts, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: readonly string[]): string[] => ['BEGIN:VEVENT', 'UID:s', ...lines, 'END:VEVENT'];
const on = (ics: string, week: string, zone = 'America/Halifax'): string[] =>
  demandsOfWeek([readCalendar(ics, 't.ics')], week, 'monday', zone)
    .demands.filter((d) => d.aspect === 'item')
    .map(
      (d) =>
        `${d.title} ${d.day}-${d.lastDay} ${d.start ?? ''}+${d.start === null || d.end === null || d.end === d.start ? '' : d.end - d.start}`,
    );

describe('a change of one day and all that follow (RFC 5545, 3.8.4.4)', () => {
  const weekly = event('DTSTART:20270201T190000', 'DURATION:PT1H', 'SUMMARY:choir', 'RRULE:FREQ=WEEKLY');
  const onwards = event('RECURRENCE-ID;RANGE=THISANDFUTURE:20270215T190000', 'DTSTART:20270216T200000', 'DURATION:PT2H', 'SUMMARY:choir in the hall'); // prettier-ignore
  it('goes on as it says, from that day on', () => {
    const ics = cal(...weekly, ...onwards);
    expect(on(ics, '2027-W06')).toEqual(['choir 0-0 1140+60']);
    expect(on(ics, '2027-W07')).toEqual(['choir in the hall 1-1 1200+120']);
    expect(on(ics, '2027-W10')).toEqual(['choir in the hall 1-1 1200+120']);
  });
  it('till the next such change, and but for days that are changed alone or left out', () => {
    const single = event('RECURRENCE-ID:20270222T190000', 'DTSTART:20270225T180000', 'SUMMARY:choir, once');
    const later = event('RECURRENCE-ID;RANGE=THISANDFUTURE:20270308T190000', 'DTSTART:20270308T170000', 'SUMMARY:early choir'); // prettier-ignore
    const ics = cal(...weekly.slice(0, -1), 'EXDATE:20270301T190000', 'END:VEVENT', ...onwards, ...single, ...later);
    expect(on(ics, '2027-W07')).toEqual(['choir in the hall 1-1 1200+120']);
    expect(on(ics, '2027-W08')).toEqual(['choir, once 3-3 1080+']);
    expect(on(ics, '2027-W09')).toEqual([]);
    expect(on(ics, '2027-W10')).toEqual(['early choir 0-0 1020+']);
  });
});

it('a time given one by one with a length keeps it (RFC 5545, 3.8.5.2)', () => {
  const ics = cal(...event('DTSTART:20270208T100000Z', 'DURATION:PT30M', 'SUMMARY:tide', 'RDATE;VALUE=PERIOD:20270210T100000Z/PT3H,20270211T100000Z/20270211T110000Z', 'RDATE:20270212T100000Z')); // prettier-ignore
  expect(on(ics, '2027-W06', 'UTC')).toEqual(['tide 0-0 600+30', 'tide 2-2 600+180', 'tide 3-3 600+60', 'tide 4-4 600+30']); // prettier-ignore
});

it('a time in the hour that a clock change skips shows as the clock then does (RFC 5545, 3.3.5)', () => {
  // Halifax goes from 02:00 to 03:00 on 14 March 2027
  const at = (start: string) => on(cal(...event(`DTSTART${start}`, 'SUMMARY:watch')), '2027-W10');
  expect(at(':20270314T023000')).toEqual(['watch 6-6 210+']);
  expect(at(';TZID=America/Halifax:20270314T023000')).toEqual(['watch 6-6 210+']);
  expect(at(':20270314T013000')).toEqual(['watch 6-6 90+']);
  expect(at(':20270314T033000')).toEqual(['watch 6-6 210+']);
});

describe('the end of a series', () => {
  const STAMP = '2027-02-03T08:00:00Z';
  const renamed = (ics: string): string => {
    const entry = entryOf(readCalendar(ics, 't.ics'), 's')!;
    return putEntry(ics, { ...entry, title: 'renamed' }, 'America/Halifax', STAMP);
  };
  const until = (moment: string, ...zone: readonly string[]) =>
    cal(...zone, ...event('DTSTART;TZID=America/Halifax:20270208T210000', 'SUMMARY:choir', `RRULE:FREQ=DAILY;UNTIL=${moment}`)); // prettier-ignore
  it('stays where it is when the item is renamed, also at midnight UTC', () => {
    const ics = until('20270211T000000Z'); // 20:00 of the 10th there
    expect(on(ics, '2027-W06')).toHaveLength(2);
    expect(on(renamed(ics), '2027-W06')).toEqual(on(ics, '2027-W06').map((o) => o.replace('choir', 'renamed')));
  });
  it('moves when it is changed', () => {
    const ics = until('20270211T000000Z');
    const entry = entryOf(readCalendar(ics, 't.ics'), 's')!;
    expect(entry.repeat).toContain('UNTIL=20270210');
    const longer = { ...entry, repeat: entry.repeat!.replace('20270210', '20270211') };
    expect(on(putEntry(ics, longer, 'America/Halifax', STAMP), '2027-W06')).toHaveLength(4);
  });
  it('can be edited in a calendar whose zone has a name that is none', () => {
    const ics = until('20270211T000000Z', 'X-WR-TIMEZONE:Atlantic Standard Time').replace(';TZID=America/Halifax', '');
    expect(entryOf(readCalendar(ics, 't.ics'), 's')!.repeat).toContain('UNTIL=20270211');
  });
});
