import ICAL from 'ical.js';
import { blankEntry } from '../week/agenda-entry';
import { demandsOfWeek } from '../week/demands';
import { repeatOf, ruleOfRepeat } from '../week/repeat';
import type { Round } from '../week/round';
import { readTypedLine } from '../week/typed-line';
import { atOnce, readCalendar } from './calendar';
import { emptyCalendar, entryOf, putEntry, removeEntry } from './calendar-edit';
import { changeOccurrence, skipOccurrence } from './calendar-occurrence';
import type { CalendarChanges } from './calendar-changes';
import { calendarChanges, noChanges } from './calendar-changes';
import { putRound, removeRound, roundsOf } from './calendar-round';

const ZONE = 'America/Halifax';
const STAMP = '2027-02-03T08:00:00Z';
const put = (ics: string, text: string, uid: string) =>
  putEntry(ics, { ...readTypedLine(text, '2027-02-03')!, uid }, ZONE, STAMP);
const week = (ics: string, name = '2027-W06') =>
  demandsOfWeek([readCalendar(ics, 'c')], name).demands.map(
    (d) => `${d.title}@${d.day}${d.start === null ? '' : ` ${d.start}`}`,
  );

it('puts items in that another reader takes for the same (ical.js, RFC 5545)', () => {
  let ics = put(emptyCalendar(ZONE), 'vet thu 16:30 for 45 min', 'v');
  ics = put(ics, 'choir camp fri-sun', 'c');
  ics = put(ics, 'rent due 10th, 2 days before', 'r');
  const root = new ICAL.Component(ICAL.parse(ics));
  const [vet, camp] = root.getAllSubcomponents('vevent').map((c) => new ICAL.Event(c));
  expect([
    vet?.summary,
    vet?.startDate.toString(),
    vet?.component.getFirstProperty('dtstart')?.getFirstParameter('tzid'),
    vet?.duration.toSeconds(),
  ]).toEqual(['vet', '2027-02-04T16:30:00', ZONE, 2700]);
  expect([camp?.startDate.toString(), camp?.endDate.toString()]).toEqual(['2027-02-05', '2027-02-08']);
  expect(root.getFirstSubcomponent('vtodo')?.getFirstPropertyValue('due')?.toString()).toBe('2027-02-10');
  expect(week(ics)).toEqual(['rent@0', 'rent due@2']);
});

it('gives back what it put in', () => {
  for (const text of [
    'vet thu 16:30 for 45 min',
    'choir camp fri-sun',
    'bins every other mon evening',
    'rent due 1st, 2 days before',
    'soap list to buy',
    'swim tomorrow morning?',
  ]) {
    const entry = { ...readTypedLine(text, '2027-02-03')!, uid: 'x' };
    expect(entryOf(readCalendar(putEntry(emptyCalendar(ZONE), entry, ZONE, STAMP), 'c'), 'x')).toEqual(entry);
  }
});

it('keeps what it does not know, and the exceptions of a series', () => {
  const ics = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'X-OTHER:kept',
    'BEGIN:VEVENT',
    'UID:a',
    'SUMMARY:choir',
    'DESCRIPTION:bring the score',
    'X-LAMP:on',
    `DTSTART;TZID=${ZONE}:20270202T193000`,
    'RRULE:FREQ=WEEKLY',
    `EXDATE;TZID=${ZONE}:20270209T193000`,
    'BEGIN:VALARM',
    'ACTION:AUDIO',
    'TRIGGER:-PT15M',
    'END:VALARM',
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n');
  const renamed = putEntry(ics, { ...entryOf(readCalendar(ics, 'c'), 'a')!, title: 'choir, hall B' }, ZONE, STAMP);
  for (const kept of ['X-OTHER:kept', 'DESCRIPTION:bring the score', 'X-LAMP:on', 'BEGIN:VALARM', 'EXDATE'])
    expect(renamed).toContain(kept);
  expect(week(renamed)).toEqual([]);
  expect(week(renamed, '2027-W07')).toEqual(['choir, hall B@1 1170']);
});

it('takes out one day of a series, or all of it', () => {
  const timed = put(emptyCalendar(ZONE), 'swim every day at 7', 's');
  expect(week(timed)).toHaveLength(7);
  const skipped = skipOccurrence(timed, 's', '2027-02-10', ZONE);
  expect(week(skipped)).toEqual([0, 1, 3, 4, 5, 6].map((d) => `swim@${d} 420`));
  expect(
    week(skipOccurrence(put(emptyCalendar(ZONE), 'bins every mon evening', 'b'), 'b', '2027-02-08', ZONE)),
  ).toEqual([]);
  expect(week(removeEntry(skipped, 's'))).toEqual([]);
  expect(skipOccurrence(timed, 'none', '2027-02-10', ZONE)).toBe(timed);
});

it('skips the right day of a series kept in another zone', () => {
  const ics = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'BEGIN:VEVENT',
    'UID:a',
    'SUMMARY:call',
    'DTSTART;TZID=Europe/Lisbon:20270202T010000',
    'RRULE:FREQ=WEEKLY',
    'END:VEVENT',
    `X-WR-TIMEZONE:${ZONE}`,
    'END:VCALENDAR',
  ].join('\r\n');
  expect(week(ics)).toEqual(['call@0 1260']);
  expect(week(skipOccurrence(ics, 'a', '2027-02-08', ZONE))).toEqual([]);
  expect(week(skipOccurrence(ics, 'a', '2027-02-08', ZONE), '2027-W07')).toEqual(['call@0 1260']);
});

it('changes a task into an event under the same uid', () => {
  const task = put(emptyCalendar(ZONE), 'form due fri', 'f');
  const event = putEntry(
    task,
    { ...blankEntry('2027-02-08'), uid: 'f', title: 'form, by hand', start: 600, minutes: 20 },
    ZONE,
    STAMP,
  );
  expect(event).not.toContain('VTODO');
  expect(week(event)).toEqual(['form, by hand@0 600']);
});

it('gives back everything that can be said of an item', () => {
  const full = {
    ...blankEntry('2027-02-12'),
    uid: 'x',
    title: 'camp; with, commas',
    days: 3,
    room: 'half' as const,
    list: 'trips',
    leadDays: 2,
    dueShown: true,
    countdown: [30, 7],
    since: 1993,
    onlyWith: 'payday',
    reminders: [{ days: 5, text: 'post the parcel, by van' }],
    quiet: ['chores', 'rota'],
    from: '2027-02-05',
    repeat: 'FREQ=MONTHLY;BYDAY=2FR',
  };
  const ics = putEntry(emptyCalendar(ZONE), full, ZONE, STAMP);
  expect(entryOf(readCalendar(ics, 'c'), 'x')).toEqual(full);
  expect(putEntry(ics, full, ZONE, STAMP)).toBe(ics);
  expect(putEntry(ics, { ...full, reminders: [] }, ZONE, STAMP)).not.toContain('VALARM');
});

it('ends a timed series with its last day, on its owner’s clock', () => {
  const entry = {
    ...blankEntry('2027-02-08'),
    uid: 'x',
    title: 'sing',
    start: 22 * 60,
    repeat: 'FREQ=DAILY;UNTIL=20270210',
  };
  const ics = putEntry(emptyCalendar(ZONE), entry, ZONE, STAMP);
  expect(ics).toContain('UNTIL=20270211T035959Z');
  expect(week(ics)).toEqual(['sing@0 1320', 'sing@1 1320', 'sing@2 1320']);
  expect(entryOf(readCalendar(ics, 'c'), 'x')).toEqual(entry);
});

describe('one day of a series', () => {
  const series = put(emptyCalendar(ZONE), 'swim every day at 7', 's');
  const days = (ics: string) => week(ics).map((s) => Number(s.slice(5, 6)));

  it('moves alone, again and back, and any other reader sees the same', () => {
    const moved = changeOccurrence(series, 's', '2027-02-10', { day: '2027-02-12' }, ZONE);
    expect(days(moved)).toEqual([0, 1, 3, 4, 4, 5, 6]);
    const exception = new ICAL.Component(ICAL.parse(moved))
      .getAllSubcomponents('vevent')
      .map((c) => new ICAL.Event(c))
      .find((e) => e.isRecurrenceException());
    expect([exception?.recurrenceId.toString(), exception?.startDate.toString()]).toEqual([
      '2027-02-10T07:00:00',
      '2027-02-12T07:00:00',
    ]);
    expect(days(changeOccurrence(moved, 's', '2027-02-10', { day: '2027-02-11' }, ZONE))).toEqual([
      0, 1, 3, 3, 4, 5, 6,
    ]);
    expect(days(changeOccurrence(moved, 's', '2027-02-10', { day: '2027-02-10' }, ZONE))).toEqual([
      0, 1, 2, 3, 4, 5, 6,
    ]);
    expect(days(skipOccurrence(moved, 's', '2027-02-10', ZONE))).toEqual([0, 1, 3, 4, 5, 6]);
  });

  it('goes on a list alone; what comes once is changed itself', () => {
    const listed = changeOccurrence(series, 's', '2027-02-10', { list: 'chores' }, ZONE);
    expect(demandsOfWeek([readCalendar(listed, 'c')], '2027-W06').demands.map((d) => d.list)).toEqual([
      null,
      null,
      'chores',
      null,
      null,
      null,
      null,
    ]);
    const once = changeOccurrence(
      put(emptyCalendar(ZONE), 'choir camp fri-sun', 'c'),
      'c',
      '2027-02-05',
      { day: '2027-02-09', list: 'trips' },
      ZONE,
    );
    expect(entryOf(readCalendar(once, 'c'), 'c')).toMatchObject({
      day: '2027-02-09',
      days: 3,
      list: 'trips',
      repeat: null,
    });
    expect(once.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    expect(changeOccurrence(series, 'none', '2027-02-10', { list: 'x' }, ZONE)).toBe(series);
  });
});

describe('a round', () => {
  const turn = (text: string, start: number | null = null) => ({ text, start, minutes: start === null ? null : 480 });
  const rota: Round = {
    name: 'rota',
    first: '2027-02-03',
    every: 'day',
    turns: [turn('early', 330), turn('early', 330), turn('late', 810), turn('late', 810), null, null, null, null],
    kind: null,
    part: null,
  };
  const bins: Round = {
    name: 'bins',
    first: '2027-02-08',
    every: 'week',
    turns: [turn('recycling'), turn('refuse')],
    kind: 'chore',
    part: 'evening',
  };
  const write = (ics: string, round: Round, instead?: string) =>
    putRound(ics, round, ZONE, STAMP, (i) => `${round.name}-${i}`, instead);

  it('is written so that every reader sees its days, and read back as it was', () => {
    const ics = write(write(emptyCalendar(ZONE), rota), bins);
    expect(roundsOf(readCalendar(ics, 'c'))).toEqual([rota, bins]);
    expect(week(ics)).toEqual(['recycling@0', 'early@3 330', 'early@4 330', 'late@5 810', 'late@6 810']);
    expect(week(ics, '2027-W07')).toEqual(['refuse@0', 'early@4 330', 'early@5 330', 'late@6 810']);
    const rules = new ICAL.Component(ICAL.parse(ics))
      .getAllSubcomponents('vevent')
      .map((c) => String(c.getFirstPropertyValue('rrule')));
    expect(new Set(rules)).toEqual(new Set(['FREQ=DAILY;INTERVAL=8', 'FREQ=WEEKLY;INTERVAL=2']));
  });

  it('is changed as one, renamed, and taken out as one', () => {
    const ics = write(write(emptyCalendar(ZONE), rota), bins);
    const renamed = write(ics, { ...bins, name: 'bins and glass', turns: [...bins.turns, turn('glass')] }, 'bins');
    expect(roundsOf(readCalendar(renamed, 'c')).map((r) => [r.name, r.turns.length])).toEqual([
      ['rota', 8],
      ['bins and glass', 3],
    ]);
    expect(week(removeRound(renamed, 'rota'))).toEqual(['recycling@0']);
  });
});

const changes = (older: string, newer: string): CalendarChanges =>
  atOnce(calendarChanges([readCalendar(older, 'c')], [readCalendar(newer, 'c')]));

it('tells what a newer copy has that the older had not', () => {
  const older = put(put(put(emptyCalendar(ZONE), 'vet thu 16:30', 'a'), 'swim fri', 'b'), 'form sat', 'c');
  const newer = putEntry(
    removeEntry(put(older, 'vet thu 17:30', 'a'), 'c'),
    { ...blankEntry('2027-02-09'), uid: 'd', title: 'guests' },
    ZONE,
    '2027-02-04T08:00:00Z',
  );
  expect(changes(older, newer)).toEqual({
    added: ['guests'],
    changed: ['vet'],
    removed: ['form'],
  });
  const stamped = older.replaceAll(/DTSTAMP:[^\r]+/g, 'DTSTAMP:20300101T000000Z');
  expect(noChanges(changes(older, stamped))).toBe(true);
});

it.each([
  ['FREQ=DAILY;INTERVAL=3', 'days'],
  ['FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE', 'weeks'],
  ['FREQ=MONTHLY;BYMONTHDAY=12', 'month day'],
  ['FREQ=MONTHLY;BYDAY=2FR', 'month weekday'],
  ['FREQ=YEARLY;UNTIL=20300101', 'year'],
  ['FREQ=MONTHLY;BYDAY=MO,TU;BYSETPOS=-1', 'other'],
  ['FREQ=DAILY;COUNT=5', 'other'],
])('reads the rule %s as a choice and writes it again', (rule, kind) => {
  const repeat = repeatOf(rule);
  expect(repeat.kind).toBe(kind);
  expect(ruleOfRepeat(repeat, '2027-02-12')).toBe(rule);
});

it('writes the last weekday of a month and the last day of February', () => {
  const choice = { kind: 'month weekday' as const, every: 1, weekdays: [], until: null, rule: null };
  expect([
    ruleOfRepeat(choice, '2027-02-26'),
    ruleOfRepeat({ ...choice, kind: 'year' }, '2028-02-29'),
    ruleOfRepeat({ ...choice, kind: 'once' }, '2028-02-29'),
  ]).toEqual(['FREQ=MONTHLY;BYDAY=-1FR', 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1', null]);
});
