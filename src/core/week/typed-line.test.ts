import { readTypedLine, spokenEntry, typedRound } from './typed-line';

/** A Wednesday. */
const FROM = '2027-02-03';

it.each([
  ['vet thu 16:30 for 45 min', { title: 'vet', day: '2027-02-04', start: 990, minutes: 45, task: false }],
  [
    'bins every mon evening',
    { title: 'bins', day: '2027-02-08', start: null, part: 'evening', repeat: 'FREQ=WEEKLY;BYDAY=MO' },
  ],
  [
    'rent due 1st, 2 days before',
    { title: 'rent', day: '2027-03-01', task: true, kind: 'deadline', leadDays: 2, dueShown: true },
  ],
  ['choir camp fri-sun', { title: 'choir camp', day: '2027-02-05', days: 3 }],
  ['soap list to buy', { title: 'soap', day: FROM, task: true, list: 'to buy' }],
  [
    'walk the hounds every mon, wed and fri',
    { title: 'walk the hounds', day: FROM, repeat: 'FREQ=WEEKLY;BYDAY=MO,WE,FR' },
  ],
  ['bed sheets every other sat', { title: 'bed sheets', day: '2027-02-06', repeat: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SA' }],
  ['water every 3 days', { title: 'water', day: FROM, repeat: 'FREQ=DAILY;INTERVAL=3' }],
  ['rent every 1st', { title: 'rent', day: '2027-03-01', repeat: 'FREQ=MONTHLY;BYMONTHDAY=1' }],
  ['coffee with Odile next sat at 10', { title: 'coffee with Odile', day: '2027-02-13', start: 600 }],
  ['physio feb 12 3pm?', { title: 'physio', day: '2027-02-12', start: 900, tentative: true }],
  ['swim tomorrow morning', { title: 'swim', day: '2027-02-04', part: 'morning' }],
  ['Wren’s birthday 2027-02-13', { title: 'Wren’s birthday', day: '2027-02-13', repeat: 'FREQ=YEARLY', since: 0 }],
  [
    'Wren’s birthday feb 29 since 1991',
    { title: 'Wren’s birthday', day: '2028-02-29', repeat: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1', since: 1991 },
  ],
  [
    'time sheet every mon only with payday',
    { title: 'time sheet', repeat: 'FREQ=WEEKLY;BYDAY=MO', onlyWith: 'payday' },
  ],
  ['concert apr 12, count 30, 14 and 7 days', { title: 'concert', day: '2027-04-12', countdown: [30, 14, 7] }],
  ['dentist in two weeks at 9:15', { title: 'dentist', day: '2027-02-17', start: 555 }],
  ['optician 3/14', { title: 'optician', day: '2027-03-14' }],
  ['order seed 12 march', { title: 'order seed', day: '2027-03-12' }],
  ['order 31st', { title: 'order', day: '2027-03-31' }],
  ['call Mum sunday 11a for half an hour', { title: 'call Mum', day: '2027-02-07', start: 660, minutes: 30 }],
  ['read chapter 7', { title: 'read chapter 7', day: FROM, start: null }],
  ['sundial monograph', { title: 'sundial monograph', day: FROM }],
])('%s', (text, means) => expect(readTypedLine(text, FROM)).toMatchObject(means));

it('makes turns of alternatives', () => {
  const entry = readTypedLine('recycling / refuse every mon evening', FROM)!;
  expect(typedRound(entry)).toMatchObject({
    name: 'recycling, refuse',
    first: '2027-02-08',
    every: 'week',
    turns: [{ text: 'recycling' }, { text: 'refuse' }],
    part: 'evening',
  });
  expect(spokenEntry(entry)).toBe('taking turns, every 2 weeks: recycling, refuse, from Monday, Feb 8');
  expect([readTypedLine('vet / groomer mon', FROM)!, readTypedLine('bins every mon', FROM)!].map(typedRound)).toEqual([
    null,
    null,
  ]);
});

it('needs a title', () =>
  expect(['', '  ', 'thu 16:30', 'every mon'].map((t) => readTypedLine(t, FROM))).toEqual([null, null, null, null]));

it('says what it understood', () => {
  const said = (text: string) => spokenEntry(readTypedLine(text, FROM)!);
  expect(said('vet thu 16:30 for 45 min')).toBe('“vet”: Thursday, Feb 4, at 4:30p for 45 min');
  expect(said('bins every mon evening')).toBe('“bins”: every week on Monday, from Monday, Feb 8, in the evening');
  expect(said('rent due 1st, 2 days before')).toBe('“rent”: due Monday, Mar 1, planned 2 days before');
  expect(said('choir camp fri-sun?')).toBe('“choir camp”: Friday, Feb 5 to Sunday, Feb 7, not sure yet');
});
