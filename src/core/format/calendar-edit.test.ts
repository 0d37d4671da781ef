import ICAL from 'ical.js';
import { blankEntry } from '../week/agenda-entry';
import { demandsOfWeek } from '../week/demands';
import { readTypedLine } from '../week/typed-line';
import { readCalendar } from './calendar';
import { emptyCalendar, entryOf, putEntry, removeEntry } from './calendar-edit';
import { changeOccurrence, skipOccurrence } from './calendar-occurrence';
import { putRound, roundsOf } from './calendar-round';

const ZONE = 'America/Halifax';
const STAMP = '2027-02-03T08:00:00Z';
const put = (ics: string, text: string, uid: string) => putEntry(ics, { ...readTypedLine(text, '2027-02-03')!, uid }, ZONE, STAMP);
const week = (ics: string, name = '2027-W06') => demandsOfWeek([readCalendar(ics, 'c')], name).demands.map((d) => `${d.title}@${d.day}${d.start === null ? '' : ` ${d.start}`}`);

it('puts items in that another reader takes for the same (ical.js, RFC 5545)', () => {
  let ics = put(emptyCalendar(ZONE), 'vet thu 16:30 for 45 min', 'v');
  ics = put(ics, 'choir camp fri-sun', 'c');
  ics = put(ics, 'rent due 10th, 2 days before', 'r');
  const root = new ICAL.Component(ICAL.parse(ics));
  const [vet, camp] = root.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
  expect([vet?.summary, vet?.startDate.toString(), vet?.component.getFirstProperty('dtstart')?.getFirstParameter('tzid'), vet?.duration.toSeconds()]).toEqual(['vet', '2027-02-04T16:30:00', ZONE, 2700]);
  expect([camp?.startDate.toString(), camp?.endDate.toString()]).toEqual(['2027-02-05', '2027-02-08']);
  expect(root.getFirstSubcomponent('vtodo')?.getFirstPropertyValue('due')?.toString()).toBe('2027-02-10');
  expect(week(ics)).toEqual(['rent@0']);
});

it('gives back what it put in', () => {
  for (const text of ['vet thu 16:30 for 45 min', 'choir camp fri-sun', 'bins every other mon evening', 'rent due 1st, 2 days before', 'soap list to buy', 'swim tomorrow morning?']) {
    const entry = { ...readTypedLine(text, '2027-02-03')!, uid: 'x' };
    expect(entryOf(readCalendar(putEntry(emptyCalendar(ZONE), entry, ZONE, STAMP), 'c'), 'x')).toEqual(entry);
  }
});

it('keeps what it does not know, and the exceptions of a series', () => {
  const ics = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'X-OTHER:kept', 'BEGIN:VEVENT', 'UID:a', 'SUMMARY:choir', 'DESCRIPTION:bring the score', 'X-LAMP:on', `DTSTART;TZID=${ZONE}:20270202T193000`, 'RRULE:FREQ=WEEKLY', `EXDATE;TZID=${ZONE}:20270209T193000`, 'BEGIN:VALARM', 'ACTION:AUDIO', 'TRIGGER:-PT15M', 'END:VALARM', 'END:VEVENT', 'END:VCALENDAR'].join('\r\n');
  const renamed = putEntry(ics, { ...entryOf(readCalendar(ics, 'c'), 'a')!, title: 'choir, hall B' }, ZONE, STAMP);
  for (const kept of ['X-OTHER:kept', 'DESCRIPTION:bring the score', 'X-LAMP:on', 'BEGIN:VALARM', 'EXDATE']) expect(renamed).toContain(kept);
  expect(week(renamed)).toEqual([]);
  expect(week(renamed, '2027-W07')).toEqual(['choir, hall B@1 1170']);
});

it('takes out one day of a series, or all of it', () => {
  const timed = put(emptyCalendar(ZONE), 'swim every day at 7', 's');
  expect(week(timed)).toHaveLength(7);
  const skipped = skipOccurrence(timed, 's', '2027-02-10', ZONE);
  expect(week(skipped)).toEqual([0, 1, 3, 4, 5, 6].map((d) => `swim@${d} 420`));
  expect(week(skipOccurrence(put(emptyCalendar(ZONE), 'bins every mon evening', 'b'), 'b', '2027-02-08', ZONE))).toEqual([]);
  expect(week(removeEntry(skipped, 's'))).toEqual([]);
  expect(skipOccurrence(timed, 'none', '2027-02-10', ZONE)).toBe(timed);
});

it('skips the right day of a series kept in another zone', () => {
  const ics = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:a', 'SUMMARY:call', 'DTSTART;TZID=Europe/Lisbon:20270202T010000', 'RRULE:FREQ=WEEKLY', 'END:VEVENT', `X-WR-TIMEZONE:${ZONE}`, 'END:VCALENDAR'].join('\r\n');
  expect(week(ics)).toEqual(['call@0 1260']);
  expect(week(skipOccurrence(ics, 'a', '2027-02-08', ZONE))).toEqual([]);
  expect(week(skipOccurrence(ics, 'a', '2027-02-08', ZONE), '2027-W07')).toEqual(['call@0 1260']);
});

it('changes a task into an event under the same uid', () => {
  const task = put(emptyCalendar(ZONE), 'form due fri', 'f');
  const event = putEntry(task, { ...blankEntry('2027-02-08'), uid: 'f', title: 'form, by hand', start: 600, minutes: 20 }, ZONE, STAMP);
  expect(event).not.toContain('VTODO');
  expect(week(event)).toEqual(['form, by hand@0 600']);
});
