import type { AgendaEntry } from '../agenda-entry';
import { spokenEntry, typedRound } from '../typed-line';
import { USUAL_HABITS } from './habits';
import { understand } from './understand';

/** A Wednesday. */
const FROM = '2027-02-03';
const at = (hour: number, minute = 0) => hour * 60 + minute;
const weekly = (days: string, more = '') => `FREQ=WEEKLY${more};BYDAY=${days}`;

type Line = readonly [line: string, title: string, means: Partial<AgendaEntry>];

/** Hours: before noon or after, from and to, in words. */
const HOURS: readonly Line[] = [
  ['dinner at 7', 'dinner', { start: at(19) }],
  ['dinner 7pm', 'dinner', { start: at(19) }],
  ['party at 8 saturday night', 'party', { start: at(20), day: '2027-02-06', part: null }],
  ['cinema fri at 9', 'cinema', { start: at(21), day: '2027-02-05' }],
  ['supper at 6:30', 'supper', { start: at(18, 30) }],
  ['yoga 18h', 'yoga', { start: at(18) }],
  ['yoga 18h30', 'yoga', { start: at(18, 30) }],
  ['yoga 18:15', 'yoga', { start: at(18, 15) }],
  ['yoga at 18', 'yoga', { start: at(18) }],
  ['yoga 6.30pm', 'yoga', { start: at(18, 30) }],
  ['yoga 6p', 'yoga', { start: at(18) }],
  ['yoga 6 pm', 'yoga', { start: at(18) }],
  ['yoga 6 p.m.', 'yoga', { start: at(18) }],
  ['swim 7a', 'swim', { start: at(7) }],
  ['swim at 7', 'swim', { start: at(7) }],
  ['swim at 7 in the evening', 'swim', { start: at(19), part: null }],
  ['swim tomorrow morning at 6', 'swim', { start: at(6), day: '2027-02-04' }],
  ['breakfast at 6', 'breakfast', { start: at(6) }],
  ['piano at 4', 'piano', { start: at(16) }],
  ['lunch at 12', 'lunch', { start: at(12) }],
  ['lunch at noon', 'lunch', { start: at(12) }],
  ['ferry at midnight', 'ferry', { start: 0 }],
  ['ferry at half past 5', 'ferry', { start: at(17, 30) }],
  ['ferry quarter to 9 am', 'ferry', { start: at(8, 45) }],
  ['tomorrow 9 dentist', 'dentist', { day: '2027-02-04', start: null, title: '9 dentist' }],
  ['dentist tomorrow 9', 'dentist', { day: '2027-02-04', start: at(9) }],
  ['dentist mon 10', 'dentist', { day: '2027-02-08', start: at(10) }],
  ['vet 10-11:30', 'vet', { start: at(10), minutes: 90 }],
  ['vet thu 10:00-11:30', 'vet', { day: '2027-02-04', start: at(10), minutes: 90 }],
  ['shift 14:00–22:00 fri', 'shift', { day: '2027-02-05', start: at(14), minutes: 480 }],
  ['shift 9am-5pm', 'shift', { start: at(9), minutes: 480 }],
  ['shift 9-5pm', 'shift', { start: at(9), minutes: 480 }],
  ['rehearsal from 7 to 9 pm', 'rehearsal', { start: at(19), minutes: 120 }],
  ['rehearsal 7pm till 9pm', 'rehearsal', { start: at(19), minutes: 120 }],
  ['meeting from 3 to 5', 'meeting', { start: at(15), minutes: 120 }],
  ['meeting 11am-1pm', 'meeting', { start: at(11), minutes: 120 }],
  ['vet thu 16:30 for 45 min', 'vet', { day: '2027-02-04', start: at(16, 30), minutes: 45 }],
  ['call Mum sunday 11a for half an hour', 'call Mum', { day: '2027-02-07', start: at(11), minutes: 30 }],
  ['call for 2 hours tue 9am', 'call', { day: '2027-02-09', start: at(9), minutes: 120 }],
  ['swim tomorrow morning', 'swim', { day: '2027-02-04', start: null, part: 'morning' }],
  ['water the beans in the evening', 'water the beans', { part: 'evening' }],
  ['swim this afternoon', 'swim', { part: 'day' }],
  ['film tonight', 'film', { day: FROM, part: 'evening' }],
  ['date night fri', 'date night', { day: '2027-02-05', part: null }],
  ['bed linen friday night', 'bed linen', { day: '2027-02-05', part: 'evening' }],
];

/** Days, in every way of saying them. */
const SINGLE: readonly Line[] = [
  ['vet thu', 'vet', { day: '2027-02-04' }],
  ['vet on thursday', 'vet', { day: '2027-02-04' }],
  ['Vet Thurs.', 'Vet', { day: '2027-02-04', title: 'Vet' }],
  ['vet today', 'vet', { day: FROM }],
  ['vet wed', 'vet', { day: FROM }],
  ['vet tomorrow', 'vet', { day: '2027-02-04' }],
  ['vet the day after tomorrow', 'vet', { day: '2027-02-05' }],
  ['vet next tue', 'vet', { day: '2027-02-09' }],
  ['vet next sat', 'vet', { day: '2027-02-13' }],
  ['vet next wed', 'vet', { day: '2027-02-10' }],
  ['vet this sat', 'vet', { day: '2027-02-06' }],
  ['vet feb 12', 'vet', { day: '2027-02-12' }],
  ['vet 12 feb', 'vet', { day: '2027-02-12' }],
  ['vet 12th of february', 'vet', { day: '2027-02-12' }],
  ['vet on the 12th', 'vet', { day: '2027-02-12' }],
  ['vet 2nd', 'vet', { day: '2027-03-02' }],
  ['vet jan 5', 'vet', { day: '2028-01-05' }],
  ['vet march 14, 2028', 'vet', { day: '2028-03-14' }],
  ['vet 2027-04-01', 'vet', { day: '2027-04-01' }],
  ['vet 3/14', 'vet', { day: '2027-03-14' }],
  ['vet 11/02', 'vet', { day: '2027-11-02' }],
  ['vet 14/3', 'vet', { day: '2027-03-14' }],
  ['vet 14.3.', 'vet', { day: '2027-03-14' }],
  ['vet 3/14/27', 'vet', { day: '2027-03-14' }],
  ['vet 3/14/2028', 'vet', { day: '2028-03-14' }],
  ['vet in two weeks at 9:15', 'vet', { day: '2027-02-17', start: at(9, 15) }],
  ['vet in 3 days', 'vet', { day: '2027-02-06' }],
  ['pay rent last working day', 'pay rent', { day: '2027-02-26' }],
  ['pay rent first working day', 'pay rent', { day: '2027-03-01' }],
  ['choir lunch last sunday', 'choir lunch', { day: '2027-02-28' }],
  ['order seed 12 march', 'order seed', { day: '2027-03-12' }],
  ['order 31st', 'order', { day: '2027-03-31' }],
  ['sept 4 regatta', 'regatta', { day: '2027-09-04' }],
];

/** Over several days. */
const RANGES: readonly Line[] = [
  ['choir camp fri-sun', 'choir camp', { day: '2027-02-05', days: 3 }],
  ['choir camp next fri to sun', 'choir camp', { day: '2027-02-12', days: 3 }],
  ['holiday 3-9 aug', 'holiday', { day: '2027-08-03', days: 7 }],
  ['holiday aug 3-9', 'holiday', { day: '2027-08-03', days: 7 }],
  ['holiday 3rd to 9th of august', 'holiday', { day: '2027-08-03', days: 7 }],
  ['holiday 28 jul - 3 aug', 'holiday', { day: '2027-07-28', days: 7 }],
  ['holiday jul 28 until aug 3', 'holiday', { day: '2027-07-28', days: 7 }],
  ['foster trial sat – mon', 'foster trial', { day: '2027-02-06', days: 3 }],
  ['holiday 30 dec to 2 jan', 'holiday', { day: '2027-12-30', days: 4 }],
];

/** What comes again. */
const REPEATS: readonly Line[] = [
  ['bins every mon evening', 'bins', { day: '2027-02-08', part: 'evening', repeat: weekly('MO') }],
  ['bins each monday', 'bins', { day: '2027-02-08', repeat: weekly('MO') }],
  ['piano wednesdays at 4', 'piano', { day: FROM, start: at(16), repeat: weekly('WE') }],
  ['gym tuesdays & thursdays 18h', 'gym', { day: '2027-02-04', start: at(18), repeat: weekly('TU,TH') }],
  ['gym tue and thursdays', 'gym', { day: '2027-02-04', repeat: weekly('TU,TH') }],
  ['school run weekdays 8:15', 'school run', { day: FROM, start: at(8, 15), repeat: weekly('MO,TU,WE,TH,FR') }],
  ['school run every weekday at 8', 'school run', { start: at(8), repeat: weekly('MO,TU,WE,TH,FR') }],
  ['stand-up on work days 9:30', 'stand-up', { start: at(9, 30), repeat: weekly('MO,TU,WE,TH,FR') }],
  ['allotment weekends', 'allotment', { day: '2027-02-06', repeat: weekly('SA,SU') }],
  ['vitamins daily', 'vitamins', { day: FROM, repeat: 'FREQ=DAILY' }],
  ['vitamins every day', 'vitamins', { day: FROM, repeat: 'FREQ=DAILY' }],
  ['vitamins every morning', 'vitamins', { repeat: 'FREQ=DAILY', part: 'morning' }],
  ['brush hounds every night', 'brush hounds', { repeat: 'FREQ=DAILY', part: 'evening' }],
  ['water every 3 days', 'water', { day: FROM, repeat: 'FREQ=DAILY;INTERVAL=3' }],
  ['water every other day', 'water', { repeat: 'FREQ=DAILY;INTERVAL=2' }],
  ['nails every 2 weeks from 10 feb', 'nails', { day: '2027-02-10', repeat: weekly('WE', ';INTERVAL=2') }],
  ['nails every two weeks on fri', 'nails', { day: '2027-02-05', repeat: weekly('FR', ';INTERVAL=2') }],
  ['nails fortnightly starting sat', 'nails', { day: '2027-02-06', repeat: weekly('SA', ';INTERVAL=2') }],
  ['bed sheets every other sat', 'bed sheets', { day: '2027-02-06', repeat: weekly('SA', ';INTERVAL=2') }],
  ['review weekly', 'review', { day: FROM, repeat: weekly('WE') }],
  ['review weekly on fri', 'review', { day: '2027-02-05', repeat: weekly('FR') }],
  ['walk the hounds every mon, wed and fri', 'walk the hounds', { day: FROM, repeat: weekly('MO,WE,FR') }],
  ['rent the 3rd of each month', 'rent', { day: FROM, repeat: 'FREQ=MONTHLY;BYMONTHDAY=3' }],
  ['rent on the 3rd of the month', 'rent', { repeat: 'FREQ=MONTHLY;BYMONTHDAY=3' }],
  ['rent every 1st', 'rent', { day: '2027-03-01', repeat: 'FREQ=MONTHLY;BYMONTHDAY=1' }],
  ['rent every month on the 15th', 'rent', { day: '2027-02-15', repeat: 'FREQ=MONTHLY;BYMONTHDAY=15' }],
  ['rent every month from mar 2', 'rent', { day: '2027-03-02', repeat: 'FREQ=MONTHLY;BYMONTHDAY=2' }],
  ['rent monthly', 'rent', { day: FROM, repeat: 'FREQ=MONTHLY;BYMONTHDAY=3' }],
  ['rent last day of every month', 'rent', { day: '2027-02-28', repeat: 'FREQ=MONTHLY;BYMONTHDAY=-1' }],
  [
    'rent last working day of each month',
    'rent',
    { day: '2027-02-26', repeat: 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1' },
  ],
  ['book club first tuesday of every month', 'book club', { day: '2027-03-02', repeat: 'FREQ=MONTHLY;BYDAY=1TU' }],
  ['book club every second thursday', 'book club', { repeat: expect.stringMatching(/^FREQ=/) }],
  ['filter every 3 months', 'filter', { repeat: 'FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=3' }],
  ['insurance every year on mar 1', 'insurance', { day: '2027-03-01', repeat: 'FREQ=YEARLY' }],
  ['insurance yearly', 'insurance', { repeat: 'FREQ=YEARLY' }],
  ['time sheet every mon only with payday', 'time sheet', { repeat: weekly('MO'), onlyWith: 'payday' }],
  ['swim mon, wed and fri', 'swim', { day: FROM, repeat: weekly('MO,WE,FR') + ';COUNT=3' }],
  ['gym tue & thu', 'gym', { day: '2027-02-04', repeat: weekly('TU,TH') + ';COUNT=2' }],
  ['gym tue/thu 18h', 'gym', { start: at(18), repeat: weekly('TU,TH') + ';COUNT=2' }],
];

/** Lists, deadlines, birthdays, countdowns, turns, doubts. */
const OTHERS: readonly Line[] = [
  ['soap list to buy', 'soap', { day: FROM, task: true, list: 'to buy' }],
  ['milk list to buy fri', 'milk', { day: '2027-02-05', task: true, list: 'to buy' }],
  ['milk fri list to buy', 'milk', { day: '2027-02-05', list: 'to buy' }],
  ['milk on list to buy next tue', 'milk', { day: '2027-02-09', list: 'to buy' }],
  [
    'rent due 1st, 2 days before',
    'rent',
    { day: '2027-03-01', task: true, kind: 'deadline', leadDays: 2, dueShown: true },
  ],
  ['tax due by 15 apr, a week before', 'tax', { day: '2027-04-15', kind: 'deadline', leadDays: 7 }],
  ['form due fri', 'form', { day: '2027-02-05', kind: 'deadline', task: true }],
  ['mum bday 4 may 1957', 'mum bday', { day: '2027-05-04', repeat: 'FREQ=YEARLY', since: 1957 }],
  ['mum’s birthday may 4', 'mum’s birthday', { day: '2027-05-04', repeat: 'FREQ=YEARLY', since: 0 }],
  ['Wren’s birthday 2027-02-13', 'Wren’s birthday', { day: '2027-02-13', repeat: 'FREQ=YEARLY', since: 0 }],
  [
    'Wren’s birthday feb 29 since 1991',
    'Wren’s birthday',
    { day: '2028-02-29', repeat: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1', since: 1991 },
  ],
  [
    'wedding anniversary 12 june 2009',
    'wedding anniversary',
    { day: '2027-06-12', since: 2009, repeat: 'FREQ=YEARLY' },
  ],
  ['concert apr 12, count 30, 14 and 7 days', 'concert', { day: '2027-04-12', countdown: [30, 14, 7] }],
  ['physio feb 12 3pm?', 'physio', { day: '2027-02-12', start: at(15), tentative: true }],
  [
    'maybe coffee with Odile next sat at 10',
    'coffee with Odile',
    { day: '2027-02-13', start: at(10), tentative: true },
  ],
  [
    'bins mon alternating recycling/garden',
    'recycling bins / garden bins',
    { day: '2027-02-08', repeat: weekly('MO') },
  ],
  ['recycling / refuse every mon evening', 'recycling / refuse', { repeat: weekly('MO'), part: 'evening' }],
];

/** As other people write: lines that were once read wrong without a word. */
const OTHERS_WRITE: readonly Line[] = [
  ['run mon wed fri 7am', 'run', { day: FROM, start: at(7), repeat: weekly('MO,WE,FR') + ';COUNT=3' }],
  ['gym tu/th 18.30', 'gym', { day: '2027-02-04', start: at(18, 30), repeat: weekly('TU,TH') + ';COUNT=2' }],
  ['swim m/w/f 7am', 'swim', { day: FROM, start: at(7), repeat: weekly('MO,WE,FR') + ';COUNT=3' }],
  ['book club first tuesday every month', 'book club', { day: '2027-03-02', repeat: 'FREQ=MONTHLY;BYDAY=1TU' }],
  ['2nd sunday of may mothers lunch', 'mothers lunch', { day: '2027-05-09', repeat: null }],
  ['1st sunday of january walk', 'walk', { day: '2028-01-02' }],
  ['boiler check 3 weeks from today', 'boiler check', { day: '2027-02-24' }],
  ['boiler check in a fortnight', 'boiler check', { day: '2027-02-17' }],
  ['boiler check a week from tomorrow', 'boiler check', { day: '2027-02-11' }],
  ['pick up parcel tmrw', 'pick up parcel', { day: '2027-02-04' }],
  ['dentist 2:45 on the 16th', 'dentist', { day: '2027-02-16', start: at(14, 45) }],
  ['bus 02:45 fri', 'bus', { day: '2027-02-05', start: at(2, 45) }],
  [
    'mon-fri night shift 22:00-6:00',
    'night shift',
    { day: '2027-02-08', start: at(22), minutes: 480, days: 1, repeat: 'FREQ=DAILY;COUNT=5' },
  ],
  ['bins every second tuesday from 9 feb', 'bins', { day: '2027-02-09', repeat: weekly('TU', ';INTERVAL=2') }],
  ['away 26/2 - 1/3', 'away', { day: '2027-02-26', days: 4 }],
  ['a week off from 22 feb', 'a week off', { day: '2027-02-22', days: 7 }],
  ['flight 14:25 fri 12 feb', 'flight', { day: '2027-02-12', start: at(14, 25) }],
  ['flight friday, feb 12', 'flight', { day: '2027-02-12' }],
  ['nails sat pm', 'nails', { day: '2027-02-06', part: 'day', start: null }],
  ['nails sat am', 'nails', { day: '2027-02-06', part: 'morning' }],
  ['every day: stretch', 'stretch', { repeat: 'FREQ=DAILY' }],
  ['rent due thu, day before', 'rent', { day: '2027-02-04', kind: 'deadline', leadDays: 1 }],
  ['post form by the 10th', 'post form', { day: '2027-02-10', kind: 'deadline', task: true, leadDays: 0 }],
  ['post form before friday', 'post form', { day: '2027-02-05', kind: 'deadline', leadDays: 1 }],
  ['sit by the sea', 'sit by the sea', { kind: null }],
  ['walk at 7:30ish', 'walk', { start: at(7, 30) }],
  ['walk 7ish', 'walk', { start: at(7) }],
  ['call Odile @ 3p', 'call Odile', { start: at(15) }],
  ['nap sat 2pm 30m', 'nap', { day: '2027-02-06', start: at(14), minutes: 30 }],
  ['nap sat 2pm 45 mins', 'nap', { start: at(14), minutes: 45 }],
  ['sun cream', 'sun cream', { day: FROM }],
  ['sun lunch', 'lunch', { day: '2027-02-07' }],
  ['collect specs sat a.m.', 'collect specs', { day: '2027-02-06', part: 'morning' }],
  ['haircut a week on thursday', 'haircut', { day: '2027-02-11' }],
  ['haircut thursday week', 'haircut', { day: '2027-02-11' }],
  ['shift thu 22-6', 'shift', { day: '2027-02-04', start: at(22), minutes: 480 }],
  ['shift 0600-1400 fri', 'shift', { day: '2027-02-05', start: at(6), minutes: 480 }],
  ['choir 1930 tue', 'choir', { day: '2027-02-09', start: at(19, 30) }],
  ['choir tue 19.30-21.30', 'choir', { day: '2027-02-09', start: at(19, 30), minutes: 120 }],
  ['paint 1930 sideboard', 'paint 1930 sideboard', { start: null }],
  ['submit hours no later than 28 feb', 'submit hours', { day: '2027-02-28', kind: 'deadline' }],
  ['library books due back 20th', 'library books', { day: '2027-02-20', kind: 'deadline' }],
  ['first aid course 20 feb 9-4', 'first aid course', { day: '2027-02-20', start: at(9), minutes: 420 }],
  ['seed swap sat 10-12', 'seed swap', { day: '2027-02-06', start: at(10), minutes: 120 }],
  ['meds twice a day', 'meds twice a day', { day: FROM }],
  ['evening class weds 7', 'evening class', { day: FROM, start: at(19), repeat: null }],
  ['spa day sun 14', 'spa day', { day: '2027-02-14', start: null }],
  ['spa day sun 13', 'spa day', { day: '2027-02-07', start: at(13) }],
  ['visit Gran this weekend', 'visit Gran', { day: '2027-02-06', days: 2 }],
  ['visit Gran next weekend', 'visit Gran', { day: '2027-02-13', days: 2 }],
  ['water tomatoes every 2nd day', 'water tomatoes', { repeat: 'FREQ=DAILY;INTERVAL=2' }],
  ['bed linen alternate saturdays', 'bed linen', { day: '2027-02-06', repeat: weekly('SA', ';INTERVAL=2') }],
  ['camp thu thru sat', 'camp', { day: '2027-02-04', days: 3 }],
  ['hounds arrive sat around 3', 'hounds arrive', { day: '2027-02-06', start: at(15) }],
  ['talk about 3 books', 'talk about 3 books', { start: null }],
  ['renew pass (by 28/2)', 'renew pass', { day: '2027-02-28', kind: 'deadline' }],
  ['lunch at 12:30', 'lunch', { start: at(12, 30) }],
  ['order 3 birthday cards', 'order 3 birthday cards', { repeat: null, since: null }],
];

/** Words that only look like days, hours and lists. */
const PLAIN: readonly Line[] = [
  ['read chapter 7', 'read chapter 7', { day: FROM, start: null }],
  ['sundial monograph', 'sundial monograph', { day: FROM, repeat: null }],
  ['buy 12 eggs', 'buy 12 eggs', { start: null }],
  ['buy tomorrow 9 eggs', 'buy 9 eggs', { day: '2027-02-04', start: null }],
  ['listen to the choir tape', 'listen to the choir tape', { list: null }],
  ['monitor repair', 'monitor repair', { day: FROM }],
  ['marching band', 'marching band', { day: FROM }],
  ['second coat of paint', 'second coat of paint', { day: FROM }],
  ['1:1 with Odile fri', '1:1 with Odile', { day: '2027-02-05', start: null, title: expect.any(String) }],
  ['knit 3-4 rows', 'knit 3-4 rows', { start: null, day: FROM }],
  ['bring daily planner', 'bring planner', { repeat: 'FREQ=DAILY' }],
  ['paint with Sunniva', 'paint with Sunniva', { day: FROM }],
];

const ALL = [...HOURS, ...SINGLE, ...RANGES, ...REPEATS, ...OTHERS, ...OTHERS_WRITE, ...PLAIN];

it('is a table of at least 150 lines', () => expect(ALL.length).toBeGreaterThanOrEqual(150));

it.each(ALL)('%s', (line, title, means) => expect(understand(line, FROM).entry).toMatchObject({ title, ...means }));

it('reads dates and bare hours by the habits of their owner', () => {
  const british = { dateOrder: 'day first', afterNoon: { from: 1, to: 8 } } as const;
  const read = (line: string, habits = USUAL_HABITS) => understand(line, FROM, habits).entry!;
  expect([read('vet 11/02').day, read('vet 11/02', british).day]).toEqual(['2027-11-02', '2027-02-11']);
  expect([read('swim at 8').start, read('swim at 8', british).start]).toEqual([at(8), at(20)]);
  expect(read('vet 3/14', british).day).toBe('2027-03-14');
});

it('marks what it understood, word by word', () => {
  const line = 'vet next tue 16:30 for 45 min';
  expect(understand(line, FROM).spans.map((s) => [line.slice(s.from, s.to), s.as])).toEqual([
    ['next tue', 'day'],
    ['16:30', 'time'],
    ['for 45 min', 'length'],
  ]);
});

it.each([
  ['swim at 7', 'after noon', at(19)],
  ['piano at 4', 'before noon', at(4)],
])('%s: it asks whether it is meant %s', (line, is, start) =>
  expect(understand(line, FROM).doubts).toEqual([{ is, instead: expect.objectContaining({ start }) }]),
);

it('asks whether several days come every week, and is sure of what is said', () => {
  const [doubt] = understand('swim mon, wed and fri', FROM).doubts;
  expect(doubt).toMatchObject({ is: 'every week', instead: { repeat: weekly('MO,WE,FR') } });
  for (const sure of ['dinner at 7', 'yoga 18h', 'swim 7am', 'swim at 7 in the evening', 'swim every mon and fri'])
    expect(understand(sure, FROM).doubts).toEqual([]);
});

it('asks about a word that was taken for a day and may be none, and one that stayed and may be one', () => {
  expect(understand('sun lunch', FROM).doubts).toEqual([
    { is: 'no day', word: 'sun', instead: expect.objectContaining({ title: 'sun lunch', day: FROM }) },
  ]);
  for (const sure of ['lunch sun', 'sunday lunch', 'sun 10 swim', 'fri lunch'])
    expect(understand(sure, FROM).doubts.map((d) => d.is)).not.toContain('no day');
  const left = (line: string) =>
    understand(line, FROM).doubts.flatMap((d) => (d.is === 'in the title' ? [d.word] : []));
  expect(left('pills 8am & 8pm')).toEqual(['8pm']);
  expect(left('paint fri or sat')).toHaveLength(1);
  expect(left('vet thu 16:30')).toEqual([]);
  expect(left('monitor repair')).toEqual([]);
});

it('says what it understood', () => {
  const said = (line: string) => spokenEntry(understand(line, FROM).entry!);
  expect(said('gym tue & thu')).toBe('“gym”: on Tuesday, Thursday, once each, from Thursday, Feb 4');
  expect(said('rent last working day of each month')).toBe(
    '“rent”: every month on the last working day, from Friday, Feb 26',
  );
  const turns = understand('bins mon alternating recycling/garden', FROM).entry!;
  expect(typedRound(turns)?.turns.map((t) => t?.text)).toEqual(['recycling bins', 'garden bins']);
});

it('needs a title', () =>
  expect(['', '  ', 'thu 16:30', 'every mon', 'at 7'].map((t) => understand(t, FROM).entry)).toEqual(
    Array.from({ length: 5 }, () => null),
  ));
