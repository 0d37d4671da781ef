import fc from 'fast-check';

/** What makes trouble in a calendar: values as files in the wild have them, and worse. Ours. */
const LENGTHS = [
  'PT1H',
  'P1D',
  'PT',
  'P',
  '1H',
  '30M',
  'P1Y',
  'P1W2D',
  '-PT15M',
  'PT99999999H',
  'P1DT',
  'PT1H1H',
  '',
  'PX',
];
const TIMES = [
  '20270208',
  '20270208T163000',
  '20270208T163000Z',
  '00010101T000000',
  '99991231T235959Z',
  '20270230',
  '20271301T000000',
  '20270208T250000',
  '20270208T240000',
  '2027-02-08',
  'tomorrow',
  '',
];
const FREQUENCIES = ['SECONDLY', 'MINUTELY', 'HOURLY', 'DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY', 'FORTNIGHTLY'];
const PARTS = [
  'COUNT=0',
  'COUNT=3',
  'COUNT=999999999',
  'INTERVAL=0',
  'INTERVAL=-1',
  'INTERVAL=99999',
  'UNTIL=20270301',
  'UNTIL=never',
  'BYDAY=MO,TU',
  'BYDAY=53MO',
  'BYDAY=XX',
  'BYMONTHDAY=31',
  'BYMONTHDAY=-31',
  'BYMONTH=2',
  'BYMONTH=13',
  'BYHOUR=0,1,2,3,4,5,6,7,8,9,10,11,12,13,14,15,16,17,18,19,20,21,22,23',
  'BYMINUTE=0,15,30,45',
  'BYSECOND=60',
  'BYSETPOS=-1',
  'BYSETPOS=366',
  'BYWEEKNO=53',
  'BYYEARDAY=366,-366',
  'WKST=SU',
];
const WORDS = [
  'vet',
  'choir',
  '',
  'a\u0000b',
  '\u202eabc',
  '🐕',
  'x'.repeat(500),
  '<b>&"',
  '__proto__',
  'constructor',
  '日本語',
];
const NAMES = [
  'X-HOBNAIL-LEAD',
  'X-HOBNAIL-KIND',
  'X-HOBNAIL-COUNTDOWN',
  'X-HOBNAIL-LIST',
  'X-HOBNAIL-ROOM',
  'X-HOBNAIL-SINCE',
  'CATEGORIES',
  'STATUS',
  'UID',
];
const ZONES = ['Europe/Berlin', 'America/Halifax', 'Nowhere/Atall', 'Harbor', '../../etc', ''];

const rule = fc
  .tuple(fc.constantFrom(...FREQUENCIES), fc.uniqueArray(fc.constantFrom(...PARTS), { maxLength: 4 }))
  .map(([freq, parts]) => `FREQ=${[freq, ...parts].join(';')}`);

const line: fc.Arbitrary<string> = fc.oneof(
  fc.tuple(fc.constantFrom('DTEND', 'RDATE', 'EXDATE', 'DUE'), fc.constantFrom(...TIMES)).map(([n, v]) => `${n}:${v}`),
  fc.constantFrom(...LENGTHS).map((v) => `DURATION:${v}`),
  rule.map((r) => `RRULE:${r}`),
  fc.tuple(fc.constantFrom(...NAMES), fc.constantFrom(...WORDS, '3', '-1', '99999')).map(([n, v]) => `${n}:${v}`),
  fc.constantFrom(...LENGTHS).map((v) => `BEGIN:VALARM\r\nACTION:DISPLAY\r\nTRIGGER:${v}\r\nEND:VALARM`),
);

const start = fc.oneof(
  { weight: 3, arbitrary: fc.constant('DTSTART:20270208T163000') },
  fc.tuple(fc.constantFrom(...ZONES), fc.constantFrom(...TIMES)).map(([z, t]) => `DTSTART;TZID=${z}:${t}`),
  fc.constantFrom(...TIMES).map((t) => (t.includes('T') ? `DTSTART:${t}` : `DTSTART;VALUE=DATE:${t}`)),
);

const item = fc
  .tuple(
    fc.constantFrom('VEVENT', 'VEVENT', 'VTODO'),
    start,
    fc.array(line, { maxLength: 2 }),
    fc.constantFrom(...WORDS),
  )
  .map(([name, begins, lines, title]) =>
    [`BEGIN:${name}`, 'UID:f', begins, `SUMMARY:${title}`, ...lines, `END:${name}`].join('\r\n'),
  );

const zone = fc
  .tuple(fc.constantFrom(...TIMES), rule, fc.constantFrom('-0500', '+0100', '-9900', 'EST', ''), fc.boolean())
  .map(([t, r, offset, whole]) =>
    [
      'BEGIN:VTIMEZONE',
      'TZID:Harbor',
      'BEGIN:STANDARD',
      ...(whole ? [`DTSTART:${t}`] : []),
      `RRULE:${r}`,
      'TZOFFSETFROM:-0400',
      `TZOFFSETTO:${offset}`,
      'END:STANDARD',
      'END:VTIMEZONE',
    ].join('\r\n'),
  );

/** Calendars that are mostly well written and hold what readers stumble over. */
export const fuzzedCalendar: fc.Arbitrary<string> = fc
  .tuple(fc.option(zone, { freq: 3 }), fc.array(item, { minLength: 1, maxLength: 3 }))
  .map(([z, items]) =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:fuzz', ...(z ? [z] : []), ...items, 'END:VCALENDAR', ''].join('\r\n'),
  );
