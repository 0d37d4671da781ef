import { readCalendar } from '../format/calendar';
import { demandsOfWeek } from './demands';
import { demand } from '../../../tests/fixtures';
import { USUAL_HAND } from '../measure/hand';
import { handFromSample, sampleOf } from '../measure/sample-line';
import type { Demand, WeekDemands } from './demand';
import { spokenTime } from './demand';
import { meaningsOf, usualPart } from './meaning';
import { roomWanted } from './room-wanted';
import { lookAlikes } from './twice';
import { markKey, undone } from './undone';
import { spokenWeek } from './day-names';
import { daysOfWeek, isWeekName, weekAfter, weekOf } from './week';

const calendar = (...lines: string[]) =>
  readCalendar(['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n'), 'c.ics');
const event = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  `UID:${lines.join('').replace(/\W/g, '')}`,
  ...lines,
  'END:VEVENT',
];
const week = (name: string, zone: string | undefined, ...lines: string[]): WeekDemands =>
  demandsOfWeek([calendar(...lines)], name, 'monday', zone);
const seen = (w: WeekDemands): string[] =>
  w.demands.map(
    (d) =>
      `${d.title}@${d.day}${d.start === null ? '' : ` ${Math.floor(d.start / 60)}:${String(d.start % 60).padStart(2, '0')}`}`,
  );

describe('weeks (ISO 8601)', () => {
  it.each([
    ['2026-12-31', '2026-W53'],
    ['2027-01-01', '2026-W53'],
    ['2027-01-04', '2027-W01'],
    ['2024-12-30', '2025-W01'],
    ['2023-01-01', '2022-W52'],
  ])('%s is in %s', (day, name) => expect(weekOf(day)).toBe(name));
  it('knows which years have a week 53', () =>
    expect(['2020-W53', '2026-W53', '2027-W53', '2027-W00', '2027-6'].map(isWeekName)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]));
  it('runs over month and year ends', () => {
    expect(daysOfWeek('2026-W53')).toEqual([
      '2026-12-28',
      '2026-12-29',
      '2026-12-30',
      '2026-12-31',
      '2027-01-01',
      '2027-01-02',
      '2027-01-03',
    ]);
    expect(daysOfWeek('2027-W06', 'sunday')[0]).toBe('2027-02-07');
    expect(weekAfter('2026-W53')).toBe('2027-W01');
    expect(spokenWeek(daysOfWeek('2026-W53'))).toBe('Dec 28 – Jan 3');
  });
});

describe('demands', () => {
  it('follows a rule with an exception, a moved and a cancelled occurrence', () => {
    const found = week(
      '2027-W06',
      'Europe/Lisbon',
      'BEGIN:VEVENT',
      'UID:s',
      'SUMMARY:stretch',
      'DTSTART;TZID=Europe/Lisbon:20270201T070000',
      'RRULE:FREQ=DAILY;COUNT=20',
      'EXDATE;TZID=Europe/Lisbon:20270209T070000',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'UID:s',
      'RECURRENCE-ID;TZID=Europe/Lisbon:20270210T070000',
      'SUMMARY:stretch late',
      'DTSTART;TZID=Europe/Lisbon:20270210T190000',
      'END:VEVENT',
      'BEGIN:VEVENT',
      'UID:s',
      'RECURRENCE-ID;TZID=Europe/Lisbon:20270211T070000',
      'STATUS:CANCELLED',
      'DTSTART;TZID=Europe/Lisbon:20270211T070000',
      'END:VEVENT',
    );
    expect(seen(found)).toEqual([
      'stretch@0 7:00',
      'stretch late@2 19:00',
      'stretch@4 7:00',
      'stretch@5 7:00',
      'stretch@6 7:00',
    ]);
    expect(new Set(found.demands.map((d) => d.key)).size).toBe(5);
  });

  it('moves times into the owner’s zone, the zone database over clock changes', () => {
    const lines = event('DTSTART;TZID=America/Halifax:20270317T180000', 'RRULE:FREQ=WEEKLY', 'SUMMARY:call');
    expect(seen(week('2027-W11', 'Europe/Lisbon', ...lines))).toEqual(['call@2 21:00']);
    expect(seen(week('2027-W13', 'Europe/Lisbon', ...lines))).toEqual(['call@2 22:00']);
    expect(seen(week('2027-W06', 'Europe/Lisbon', ...event('DTSTART:20270208T233000Z', 'SUMMARY:late')))).toEqual([
      'late@0 23:30',
    ]);
  });

  it('reads a zone that only the file knows from its VTIMEZONE', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Harbor Office',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:-0400',
      'TZOFFSETTO:-0400',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    expect(
      seen(week('2027-W06', 'UTC', ...zone, ...event('DTSTART;TZID=Harbor Office:20270208T080000', 'SUMMARY:shift'))),
    ).toEqual(['shift@0 12:00']);
  });

  it('makes bands of what runs over days, and cuts them to the week', () => {
    const found = week(
      '2027-W06',
      'UTC',
      ...event('DTSTART;VALUE=DATE:20270206', 'DTEND;VALUE=DATE:20270210', 'SUMMARY:camp'),
      ...event('DTSTART:20270213T180000', 'DTEND:20270216T090000', 'SUMMARY:visit'),
      ...event('DTSTART:20270209T220000', 'DTEND:20270210T030000', 'SUMMARY:night watch'),
    );
    expect(found.demands.map((d) => [d.title, d.kind, d.day, d.lastDay])).toEqual([
      ['camp', 'band', 0, 1],
      ['night watch', 'appointment', 1, 1],
      ['visit', 'band', 5, 6],
    ]);
  });

  it('plans ahead by lead, joins tasks to lists, keeps what is said', () => {
    const found = week(
      '2027-W06',
      'UTC',
      'BEGIN:VTODO',
      'UID:r',
      'SUMMARY:rent',
      'DUE;VALUE=DATE:20270215',
      'X-HOBNAIL-LEAD:P2D',
      'X-HOBNAIL-KIND:deadline',
      'END:VTODO',
      'BEGIN:VTODO',
      'UID:o',
      'SUMMARY:oats',
      'DUE;VALUE=DATE:20270212',
      'X-HOBNAIL-LIST:to buy',
      'END:VTODO',
      'BEGIN:VTODO',
      'UID:d',
      'SUMMARY:dig',
      'DTSTART;VALUE=DATE:20270208',
      'END:VTODO',
      'BEGIN:VTODO',
      'UID:x',
      'SUMMARY:done',
      'DUE;VALUE=DATE:20270208',
      'STATUS:COMPLETED',
      'END:VTODO',
      ...event(
        'DTSTART;VALUE=DATE:20270210',
        'SUMMARY:bins',
        'STATUS:TENTATIVE',
        'X-HOBNAIL-ROOM:half',
        'CATEGORIES:refuse,house',
      ),
    );
    expect(found.demands.map((d) => [d.title, d.day, d.kind, d.list, d.part])).toEqual([
      ['dig', 0, 'to-do', 'to do', 'day'],
      ['bins', 2, 'chore', null, 'evening'],
      ['oats', 4, 'to-do', 'to buy', 'day'],
      ['rent', 5, 'deadline', null, 'day'],
    ]);
    expect(found.demands[1]).toMatchObject({ tentative: true, room: 'half', categories: ['refuse', 'house'] });
  });

  it('counts an UNTIL in UTC on the clock of its event (RFC 5545, 3.3.10)', () => {
    const lines = event(
      'DTSTART;TZID=America/New_York:19970902T230000',
      'RRULE:FREQ=DAILY;UNTIL=19970904T030000Z',
      'SUMMARY:x',
    );
    expect(seen(week('1997-W36', 'America/New_York', ...lines))).toEqual(['x@1 23:00', 'x@2 23:00']);
  });

  it('is bounded on a rule that never ends and never meets the week', () => {
    expect(
      week(
        '2027-W06',
        'UTC',
        ...event('DTSTART:19000101T000000Z', 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'SUMMARY:never'),
      ).demands,
    ).toEqual([]);
  });
});

describe('what an item makes of other days', () => {
  const task = (...lines: string[]): string[] => ['BEGIN:VTODO', 'UID:t', ...lines, 'END:VTODO'];
  const aspects = (w: WeekDemands): string[] => w.demands.map((d) => `${d.aspect} ${d.title}@${d.day}`);

  it('plans a task its lead before and shows it once more as due, when wanted', () => {
    const rent = ['SUMMARY:rent', 'DUE;VALUE=DATE:20270211', 'X-HOBNAIL-LEAD:P2D'];
    expect(aspects(week('2027-W06', 'UTC', ...task(...rent)))).toEqual(['item rent@1']);
    const both = week('2027-W06', 'UTC', ...task(...rent, 'X-HOBNAIL-DUE:SHOWN'));
    expect(aspects(both)).toEqual(['item rent@1', 'due rent due@3']);
    expect(both.demands.map((d) => [d.key, d.kind, d.on])).toEqual([
      ['t#1', 'to-do', '2027-02-11'],
      ['t#3', 'deadline', '2027-02-11'],
    ]);
    expect(
      aspects(week('2027-W06', 'UTC', ...task('SUMMARY:permit', 'DUE;VALUE=DATE:20270401', 'X-HOBNAIL-LEAD:P50D'))),
    ).toEqual(['item permit@2']);
  });

  it('counts the days left, and writes reminders that are meant for the planner only', () => {
    const alarm = (days: number, text: string, ...more: string[]) => [
      'BEGIN:VALARM',
      'ACTION:DISPLAY',
      `TRIGGER:-P${days}D`,
      `DESCRIPTION:${text}`,
      ...more,
      'END:VALARM',
    ];
    const lines = event(
      'DTSTART;VALUE=DATE:20270313',
      'SUMMARY:concert',
      'X-HOBNAIL-COUNTDOWN:30,29,1,x,9999',
      ...alarm(32, 'press the blacks', 'X-HOBNAIL-KIND:reminder'),
      ...alarm(32, 'beep'),
    );
    expect(aspects(week('2027-W06', 'UTC', ...lines))).toEqual([
      'reminder press the blacks@1',
      'countdown 30 days to concert@3',
      'countdown 29 days to concert@4',
    ]);
    expect(aspects(week('2027-W10', 'UTC', ...lines))).toEqual(['countdown 1 day to concert@4', 'item concert@5']);
  });

  it('numbers birthdays and anniversaries by the year they began, where it is known', () => {
    const born = (day: string, title: string, ...more: string[]) =>
      week(
        '2027-W06',
        'UTC',
        ...event(`DTSTART;VALUE=DATE:${day}`, 'RRULE:FREQ=YEARLY', `SUMMARY:${title}`, ...more),
      ).demands.map((d) => d.title);
    expect(born('19930213', 'Wren’s birthday')).toEqual(['Wren’s birthday (34)']);
    expect(born('20270213', 'Wren’s birthday')).toEqual(['Wren’s birthday']);
    expect(born('16040213', 'Wren’s birthday')).toEqual(['Wren’s birthday']);
    expect(born('19930213', 'Wren’s birthday', 'X-HOBNAIL-SINCE:0')).toEqual(['Wren’s birthday']);
    expect(born('20200213', 'Wren', 'CATEGORIES:Anniversary', 'X-HOBNAIL-SINCE:1977')).toEqual(['Wren (50)']);
    expect(born('19930213', 'spring clean')).toEqual(['spring clean']);
  });

  /**
   * Chosen: kept on 28 February in a common year (age.ts). RFC 5545 alone leaves those years out, as it does for all
   * else.
   */
  it('keeps a birthday of 29 February on the last day of February', () => {
    const lines = (title: string) => event('DTSTART;VALUE=DATE:20000229', 'RRULE:FREQ=YEARLY', `SUMMARY:${title}`);
    expect(seen(week('2027-W08', 'UTC', ...lines('Moth’s birthday')))).toEqual(['Moth’s birthday (27)@6']);
    expect(seen(week('2028-W09', 'UTC', ...lines('Moth’s birthday')))).toEqual(['Moth’s birthday (28)@1']);
    expect(seen(week('2027-W08', 'UTC', ...lines('leap day walk')))).toEqual([]);
  });

  it('comes only in weeks in which something else happens', () => {
    const lines = [
      ...event('DTSTART;VALUE=DATE:20270101', 'RRULE:FREQ=WEEKLY;INTERVAL=2', 'SUMMARY:Payday'),
      ...event('DTSTART;VALUE=DATE:20270104', 'RRULE:FREQ=WEEKLY', 'SUMMARY:time sheet', 'X-HOBNAIL-ONLY-WITH:payday'),
    ];
    expect(seen(week('2027-W06', 'UTC', ...lines))).toEqual(['time sheet@0', 'Payday@4']);
    expect(seen(week('2027-W07', 'UTC', ...lines))).toEqual([]);
  });

  it('suspends what a quiet period names, never what comes once or once a year', () => {
    const quiet = (rest: string) =>
      seen(
        week(
          '2027-W06',
          'UTC',
          ...event(
            'DTSTART;VALUE=DATE:20270209',
            'DTEND;VALUE=DATE:20270212',
            'SUMMARY:away',
            `X-HOBNAIL-QUIET:${rest}`,
          ),
          ...event('DTSTART;VALUE=DATE:20270104', 'RRULE:FREQ=DAILY', 'SUMMARY:sweep', 'X-HOBNAIL-KIND:chore'),
          ...event('DTSTART:20270104T190000', 'RRULE:FREQ=DAILY', 'SUMMARY:sing, alone'),
          ...event('DTSTART;VALUE=DATE:20270210', 'SUMMARY:pay the berth', 'X-HOBNAIL-KIND:chore'),
          ...event('DTSTART;VALUE=DATE:20200210', 'RRULE:FREQ=YEARLY', 'SUMMARY:harbor day', 'X-HOBNAIL-KIND:chore'),
        ),
      );
    const days = (list: readonly string[], title: string) =>
      list.filter((s) => s.startsWith(title)).map((s) => Number(s.slice(title.length + 1)[0]));
    expect([days(quiet('chores'), 'sweep'), days(quiet('chores'), 'sing, alone')]).toEqual([
      [0, 4, 5, 6],
      [0, 1, 2, 3, 4, 5, 6],
    ]);
    expect([days(quiet('sing alone'), 'sweep'), days(quiet('Sing  alone'), 'sing, alone')]).toEqual([
      [0, 1, 2, 3, 4, 5, 6],
      [0, 4, 5, 6],
    ]);
    expect(quiet('routines').filter((s) => !/sweep|sing|away/.test(s))).toEqual(['harbor day@2', 'pay the berth@2']);
  });

  /** From the tz database: three zones, their change days of 2027, and a place without any. */
  it.each([
    ['America/Halifax', '2027-W10', ['clocks forward 1 h@6']],
    ['America/Halifax', '2027-W44', ['clocks back 1 h@6']],
    ['Europe/Lisbon', '2027-W12', ['clocks forward 1 h@6']],
    ['Australia/Lord_Howe', '2027-W13', ['clocks back 30 min@6']],
    ['Asia/Tokyo', '2027-W12', []],
  ])('announces the clock changes of %s in %s', (zone, name, expected) =>
    expect(seen(week(name, zone))).toEqual(expected),
  );

  /**
   * RFC 5545, section 3.3.5: a time that comes twice is the first one, one that is skipped is read with the offset
   * before the gap.
   */
  it.each([
    ['America/New_York', '20271107T013000', '2027-W44', 'x@6 5:30'],
    ['America/New_York', '20270314T023000', '2027-W10', 'x@6 7:30'],
    ['Europe/Lisbon', '20271031T013000', '2027-W43', 'x@6 0:30'],
    ['Europe/Lisbon', '20270328T013000', '2027-W12', 'x@6 1:30'],
    ['Australia/Lord_Howe', '20270404T014500', '2027-W13', 'x@5 14:45'],
    ['Australia/Lord_Howe', '20271003T021500', '2027-W39', 'x@5 15:45'],
  ])('reads %s %s on the day its clock changes', (zone, start, name, expected) => {
    expect(seen(week(name, 'Etc/UTC', ...event(`DTSTART;TZID=${zone}:${start}`, 'SUMMARY:x')))).toEqual([expected]);
  });

  it('writes nothing into one day more than a dozen times', () => {
    expect(
      week(
        '2027-W06',
        'UTC',
        ...event('DTSTART:20270208T000000', 'RRULE:FREQ=MINUTELY', 'SUMMARY:tick'),
      ).demands.filter((d) => d.day === 0),
    ).toHaveLength(12);
  });
});

describe('what is asked', () => {
  const named = (title: string, over: Partial<Demand> = {}): Demand =>
    demand({ uid: title, key: title, title, ...over });
  const pairs = (...demands: Demand[]): string[] =>
    lookAlikes(demands).map(({ one, other, how }) => `${one.title} ${how} ${other.title}`);

  it('finds one thing entered twice: the same, nearly so, once on a list and once alone', () => {
    expect(pairs(named('Book the camp bus', { list: 'to do' }), named('camp bus book'))).toEqual([
      'Book the camp bus same camp bus book',
    ]);
    expect(pairs(named('worming tablets'), named('worming tablet'))).toEqual(['worming tablets same worming tablet']);
    expect(pairs(named('vaccination'), named('vacination'))).toEqual(['vaccination near vacination']);
    expect(pairs(named('laundry'), named('laundry, hound beds'))).toEqual(['laundry within laundry, hound beds']);
    expect(pairs(named('laundry'), named('laundry, hound beds', { day: 2 }))).toEqual([]);
    expect(pairs(named('post the card', { day: 1 }), named('post card', { day: 4 }))).toHaveLength(1);
  });

  it('leaves alone what is done twice', () => {
    expect(
      pairs(
        named('early ferry'),
        named('late ferry'),
        named('refuse bins'),
        named('recycling bins'),
        named('dig bed 4'),
        named('dig bed 5'),
      ),
    ).toEqual([]);
    expect(pairs(named('worming', { start: 480 }), demand({ uid: 'w2', title: 'worming', start: 1200 }))).toEqual([]);
    expect(
      pairs(named('swim', { repeated: true }), demand({ uid: 's2', title: 'swim', day: 3, repeated: true })),
    ).toEqual([]);
    expect(
      pairs(
        named('rent'),
        demand({ uid: 'rent', key: 'r2', title: 'rent', day: 3 }),
        named('rent due', { aspect: 'due' }),
      ),
    ).toEqual([]);
  });

  it('offers once what was left undone, unless it comes round or its owner said what became of it', () => {
    const last = {
      week: '2027-W05',
      days: daysOfWeek('2027-W05'),
      demands: [
        named('form', { on: '2027-02-02' }),
        named('sweep', { on: '2027-02-02' }),
        named('vet', { kind: 'appointment' }),
        named('seeds', { on: '2027-02-03' }),
        named('gate', { on: '2027-02-07' }),
      ],
    };
    const now = { week: '2027-W06', days: daysOfWeek('2027-W06'), demands: [named('sweep')] };
    const left = (today: string) =>
      undone(last, now, new Map([[markKey('seeds', '2027-02-03'), 'let go']]), today).map((d) => d.title);
    expect(left('2027-02-08')).toEqual(['form', 'gate']);
    expect(left('2027-02-07')).toEqual(['form']);
  });

  it('guesses the room from the text, in the owner’s hand', () => {
    expect(
      ['swim', '4:30p vet, both hounds', '1:30p allotment open day with the choir'].map((t) =>
        roomWanted(t, 38.1, USUAL_HAND),
      ),
    ).toEqual([
      { room: 'label', lines: 1, mm: 12 },
      { room: 'label', lines: 2, mm: 12 },
      { room: 'quarter', lines: 3, mm: 16 },
    ]);
    const large = handFromSample(200, 27)!;
    expect(large).toEqual({ lettersPerLine: 8, lineWidth: 38.1, linePitch: 9 });
    expect(roomWanted('4:30p vet, both hounds', 38.1, large).room).toBe('full');
    expect([handFromSample(1, 13), handFromSample(97, 0), handFromSample(NaN, 13)]).toEqual([null, null, null]);
    const { length, rise } = sampleOf(USUAL_HAND);
    expect(handFromSample(length, rise)).toEqual(USUAL_HAND);
  });
});

it('speaks times and finds meanings', () => {
  expect([0, 9 * 60, 12 * 60 + 5, 16 * 60 + 30].map((m) => spokenTime(m))).toEqual(['12a', '9a', '12:05p', '4:30p']);
  expect([0, 9 * 60, 12 * 60 + 5, 16 * 60 + 30].map((m) => spokenTime(m, '24 h'))).toEqual([
    '0:00',
    '9:00',
    '12:05',
    '16:30',
  ]);
  expect(meaningsOf('vet, both hounds')).toContain('vet');
  expect(meaningsOf('time sheet')).toContain('computer');
  expect(meaningsOf('binnacle')).toEqual([]);
  expect(usualPart('refuse bins', [])).toBe('evening');
});
