import { rule } from '../../../tests/fixtures';
import { readCalendar, readKeptCalendar } from '../format/calendar';
import { putEntry } from '../format/calendar-edit';
import { mendedCalendar } from '../format/mended-calendar';
import { blankEntry } from './agenda-entry';
import { lookAlikes } from './twice';
import { BadInput } from '../format/fault';
import { demandsOfWeek } from './demands';
import { expandRule } from './recur/expand';
import { wallOf } from './recur/wall';
import { Work } from './recur/work';
import { troublesOf } from './troubles';

const cal = (...parts: readonly string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:t', ...parts, 'END:VCALENDAR', ''].join('\r\n');
const event = (uid: string, start: string, ...lines: readonly string[]): string =>
  ['BEGIN:VEVENT', `UID:${uid}`, `DTSTART:${start}`, `SUMMARY:${uid}`, ...lines, 'END:VEVENT'].join('\r\n');
const zone = (...lines: readonly string[]): string =>
  ['BEGIN:VTIMEZONE', 'TZID:Harbor', 'BEGIN:STANDARD', ...lines, 'END:STANDARD', 'END:VTIMEZONE'].join('\r\n');
const week = (ics: string) => demandsOfWeek([readCalendar(ics, 't.ics')], '2027-W06', 'monday', 'UTC');
const faults = (ics: string): string[] => {
  try {
    readCalendar(ics, 't.ics');
    return [];
  } catch (error) {
    if (error instanceof BadInput) return error.faults.map((f) => `${f.where}: ${f.found}, ${f.expected}`);
    throw error;
  }
};

describe('what could not be worked out later is refused with its line', () => {
  it.each(['PT', 'P', 'P1Y', 'P1W2D', 'P1DT'])('the length %s', (length) =>
    expect(faults(cal(event('vet', '20270208T100000', `DURATION:${length}`))).join()).toMatch(
      /line 4, VEVENT "vet", DURATION: .*, a length such as PT1H30M or P2D/,
    ),
  );
  it.each(['PT1H', 'PT1H30M', 'P2D', 'P1W', '-PT15M', 'PT90S', 'P1DT2H'])('but not the length %s', (length) =>
    expect(faults(cal(event('vet', '20270208T100000', `DURATION:${length}`)))).toEqual([]),
  );
  it('a reminder that comes at no time', () => {
    const alarm = ['BEGIN:VALARM', 'ACTION:DISPLAY', 'TRIGGER:P1Y', 'END:VALARM'];
    expect(faults(cal(event('vet', '20270208T100000', ...alarm)))[0]).toContain('TRIGGER');
  });
  const sound = ['DTSTART:16010101T020000', 'TZOFFSETFROM:-0400', 'TZOFFSETTO:-0500'];
  it.each([
    ['changes every second', [...sound, 'RRULE:FREQ=SECONDLY'], 'RRULE'],
    ['begins at no time', ['DTSTART:soon', ...sound.slice(1)], 'DTSTART'],
    ['begins nowhere', sound.slice(1), 'DTSTART'],
    ['has no offset', sound.slice(0, 2), 'TZOFFSETTO'],
  ])('a zone that %s', (_, lines, where) =>
    expect(faults(cal(zone(...lines)))[0]).toContain(`VTIMEZONE "Harbor", ${where}`),
  );
  it('but not a zone as programs write it', () =>
    expect(faults(cal(zone(...sound, 'RRULE:FREQ=YEARLY;BYDAY=1SU;BYMONTH=11')))).toEqual([]));
});

describe('what was taken in before', () => {
  const ics = cal(
    event('good', '20270208T100000'),
    event('bad length', '20270209T100000', 'DURATION:PT'),
    event('bad time', '20271341T100000'),
  );
  it('costs only what is wrong with it, and says so with the line', () => {
    const calendar = readKeptCalendar(ics, 'old.ics');
    const { demands } = demandsOfWeek([calendar], '2027-W06', 'monday', 'UTC');
    expect(demands.map((d) => [d.uid, d.end])).toEqual([
      ['good', null],
      ['bad length', null],
    ]);
    expect(calendar.notes).toHaveLength(2);
    expect(calendar.notes[0]).toMatch(/^old\.ics, line 9, VEVENT "bad length", DURATION: found .*: left out where/);
  });
  it('is written back as it stood', () =>
    expect(readKeptCalendar(ics, 'old.ics').root.toString()).toContain('DURATION:PT\r\n'));
  it('never waits for a zone without end', () => {
    const hanging = cal(
      zone('DTSTART:20270101T000000', 'TZOFFSETFROM:-0400', 'TZOFFSETTO:-0500', 'RRULE:FREQ=SECONDLY'),
      event('vet', '20270208T100000').replace('DTSTART:', 'DTSTART;TZID=Harbor:'),
    );
    const { demands } = demandsOfWeek([readKeptCalendar(hanging, 'old.ics')], '2027-W06', 'monday', 'UTC');
    expect(demands.map((d) => d.start)).toEqual([600]);
  });
});

describe('a look at a calendar is bounded', () => {
  const [start, from, to] = [wallOf(1900, 1, 1), wallOf(2027, 2, 8), wallOf(2027, 2, 15)];

  it('ends a rule that must be counted through for ever, and knows it', () => {
    const work = new Work();
    expect(expandRule(rule({ freq: 'SECONDLY', count: 1e9 }), start, from, to, work)).toEqual([]);
    expect(work.wasCut).toBe(true);
    expect(expandRule(rule({}), start, from, to, work)).toHaveLength(7);
    expect(work.wasCut).toBe(false);
  });
  it('leaves each honest rule enough after many that were not', () => {
    const work = new Work();
    for (let i = 0; i < 50; i++) expandRule(rule({ freq: 'SECONDLY', count: 1e9 }), start, from, to, work);
    expect(expandRule(rule({ freq: 'WEEKLY', byDay: [{ weekday: 0, nth: 0 }] }), start, from, to, work)).toEqual([
      from,
    ]);
  });
  it('knows no more of a day than is asked, in the order of the day', () => {
    const often = expandRule(rule({ freq: 'MINUTELY' }), start, from, to, new Work(), 3);
    expect(often).toHaveLength(21);
    expect(often.slice(0, 4).map((w) => w - from)).toEqual([0, 60_000, 120_000, 86_400_000]);
    const times = rule({ byHour: [9, 10, 11, 12], byMinute: [0, 30] });
    expect(expandRule(times, start, from, to, new Work(), 3)).toHaveLength(21);
  });
  it('says which item was cut off', () => {
    const calendar = readCalendar(cal(event('drum', '19000101T000000', 'RRULE:FREQ=SECONDLY;COUNT=99999999')), 't.ics');
    expect(demandsOfWeek([calendar], '2027-W06', 'monday', 'UTC').demands).toEqual([]);
    expect(troublesOf(calendar)).toEqual([
      '“drum” (line 4) comes back by a rule that takes too long to work out: it is left out where that is so.',
    ]);
  });
  it('puts no more on a day than anyone has, and counts the rest', () => {
    const many = Array.from({ length: 230 }, (_, i) => event(`e${i}`, '20270209T100000'));
    const { demands, more } = week(cal(...many, event('alone', '20270210T100000')));
    expect([demands.length, more]).toEqual([201, 30]);
    expect(week(cal(event('alone', '20270210T100000'))).more).toBeUndefined();
  });
  it('reads the first centuries as such', () => {
    expect(new Date(wallOf(99, 3, 1)).getUTCFullYear()).toBe(99);
    expect(new Date(wallOf(2027, 2, 8, 24)).toISOString()).toBe('2027-02-09T00:00:00.000Z');
  });
});

describe('what nobody foresaw', () => {
  const odd = () => {
    throw new Error('odd');
  };
  const good = readCalendar(cal(event('choir', '20270209T190000')), 'good.ics');
  const titles = (...calendars: readonly ReturnType<typeof readCalendar>[]) =>
    demandsOfWeek(calendars, '2027-W06', 'monday', 'UTC').demands.map((d) => d.title);
  it('costs its own item where only that cannot be told', () => {
    const calendar = readCalendar(cal(event('vet', '20270208T100000'), event('ferry', '20270208T080000')), 't.ics');
    calendar.root.getAllSubcomponents('vevent')[0]!.getAllProperties = odd;
    expect(titles(calendar, good)).toEqual(['ferry', 'choir']);
    expect(troublesOf(calendar).join()).toMatch(/“vet” \(line 4\) cannot be worked out \(odd\)/);
  });
  it('costs its own calendar where nothing of that can', () => {
    const calendar = readCalendar(cal(event('vet', '20270208T100000')), 't.ics');
    calendar.root.getAllSubcomponents = odd;
    expect(titles(calendar, good)).toEqual(['choir']);
    expect(troublesOf(calendar)).toEqual([
      'Something in it cannot be worked out (odd): it is left out where that is so.',
    ]);
  });
});

describe('what nobody’s calendar has is refused, and says how much', () => {
  it('a zone whose clock changes thousands of times', () => {
    const one = ['BEGIN:STANDARD', 'DTSTART:19700101T000000', 'TZOFFSETFROM:-0400', 'TZOFFSETTO:-0500', 'END:STANDARD'];
    const many = (n: number) => cal('BEGIN:VTIMEZONE', 'TZID:Harbor', ...Array.from({ length: n }, () => one).flat(), 'END:VTIMEZONE'); // prettier-ignore
    expect(faults(many(401)).join()).toContain('401, at most 400 changes');
    expect(faults(many(400))).toEqual([]);
  });
  it('an item of many rules', () => {
    const rules = (n: number) =>
      cal(event('x', '20270208T100000', ...Array.from({ length: n }, () => 'RRULE:FREQ=DAILY')));
    expect(faults(rules(11)).join()).toContain('11 of them, at most 10');
    expect(faults(rules(10))).toEqual([]);
  });
  it('a property of many parameters', () => {
    const many = (n: number) => cal(event('x', '20270208T100000', `NOTE${';A=B'.repeat(n)}:y`));
    expect(faults(many(101)).join()).toContain('line 8: 101 parameters, at most 100');
    expect(faults(many(100))).toEqual([]);
  });
  it('200 items of one title at one time are asked about one by one, not each with each', () => {
    const { demands } = week(cal(...Array.from({ length: 200 }, (_, i) => event(`e${i}`, '20270208T100000').replace(`SUMMARY:e${i}`, 'SUMMARY:wash the boat')))); // prettier-ignore
    expect(demands.length).toBeGreaterThan(100);
    const pairs = lookAlikes(demands);
    expect([pairs.length, new Set(pairs.map((p) => p.one)).size]).toEqual([60, 1]);
  });
});

it('a broken line of a calendar that is kept costs that line', () => {
  const broken = cal('BEGIN:VEVENT', 'UID:a', 'DTSTART;VALUE=DATE:20270208', 'SUMMARY:oat', 'milk and eggs', 'END:VEVENT', event('b', '20270209T100000')); // prettier-ignore
  expect(faults(broken)).toHaveLength(1);
  const { demands } = demandsOfWeek([readKeptCalendar(mendedCalendar(broken), 't.ics')], '2027-W06', 'monday', 'UTC');
  expect(demands.map((d) => d.title)).toEqual(['oat milk and eggs', 'b']);
  const entry = { ...blankEntry('2027-02-10'), uid: 'c', title: 'c' };
  expect(putEntry(broken, entry, 'UTC', '2027-02-03T08:00:00Z')).toContain('SUMMARY:oat milk and eggs');
});
