import { DateTime } from 'luxon';

const ZONE = 'America/Halifax';

interface Entry {
  readonly title: string;
  /** days from the Monday of the week that `today` is in */
  readonly day: number;
  /** `16:30`; none for the whole day */
  readonly at?: string;
  readonly minutes?: number;
  /** whole days it lasts */
  readonly days?: number;
  readonly rule?: string;
  /** the year of its first day, where it is of long ago */
  readonly born?: number;
  /** its day, where that does not lie around today */
  readonly date?: string;
  readonly more?: readonly string[];
}

const part = (name: string): string[] => [`X-HOBNAIL-PART:${name}`];
const list = (name: string): string[] => [`X-HOBNAIL-LIST:${name}`];
const chore = 'X-HOBNAIL-KIND:chore';
const reminder = (days: number, text: string): string[] => [
  'BEGIN:VALARM',
  'ACTION:DISPLAY',
  `TRIGGER:-P${days}D`,
  `DESCRIPTION:${text}`,
  'X-HOBNAIL-KIND:reminder',
  'END:VALARM',
];

/** Shifts of the eight-day rota: two early, two late, four off. */
const ROTA: readonly Entry[] = [
  ...[0, 1].map((d): Entry => ({
    title: 'early ferry',
    day: d - 88,
    at: '05:30',
    minutes: 480,
    rule: 'FREQ=DAILY;INTERVAL=8',
    more: ['X-HOBNAIL-ROUND:rota'],
  })),
  ...[2, 3].map((d): Entry => ({
    title: 'late ferry',
    day: d - 88,
    at: '13:30',
    minutes: 480,
    rule: 'FREQ=DAILY;INTERVAL=8',
    more: ['X-HOBNAIL-ROUND:rota'],
  })),
];

/** What comes round; all of it began thirteen weeks ago. */
const ROUTINES: readonly Entry[] = [
  ...ROTA,
  { title: 'choir rehearsal', day: -90, at: '19:30', minutes: 120, rule: 'FREQ=WEEKLY;BYDAY=TU' },
  { title: 'alto sectional', day: -88, at: '18:30', minutes: 60, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TH' },
  { title: 'walk the hounds', day: -91, rule: 'FREQ=WEEKLY;BYDAY=MO,WE,FR,SA', more: [chore, ...part('evening')] },
  { title: 'recycling bins', day: -91, rule: 'FREQ=WEEKLY;INTERVAL=2', more: [chore, 'X-HOBNAIL-ROUND:bins'] },
  { title: 'refuse bins', day: -84, rule: 'FREQ=WEEKLY;INTERVAL=2', more: [chore, 'X-HOBNAIL-ROUND:bins'] },
  { title: 'laundry', day: -91, rule: 'FREQ=WEEKLY;BYDAY=TU', more: [chore] },
  { title: 'bed sheets', day: -86, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SA', more: [chore] },
  { title: 'water the beans', day: -89, rule: 'FREQ=WEEKLY;BYDAY=WE,SU', more: [chore, ...part('morning')] },
  { title: 'dinner: fish soup', day: -90, rule: 'FREQ=WEEKLY;BYDAY=TU', more: [chore] },
  { title: 'dinner: beans, rice', day: -88, rule: 'FREQ=WEEKLY;BYDAY=TH', more: [chore] },
  { title: 'dinner at Odile’s', day: -85, at: '18:00', minutes: 120, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SU' },
  { title: 'call Mum', day: -85, at: '11:00', minutes: 30, rule: 'FREQ=WEEKLY;BYDAY=SU' },
  { title: 'harbor lights, film', day: -85, at: '20:30', minutes: 90, rule: 'FREQ=WEEKLY;BYDAY=SU' },
  { title: 'swim', day: -87, at: '07:30', minutes: 45, rule: 'FREQ=WEEKLY;BYDAY=FR' },
  {
    title: 'time sheet',
    day: -91,
    rule: 'FREQ=WEEKLY;BYDAY=MO',
    more: ['X-HOBNAIL-KIND:deadline', 'X-HOBNAIL-ONLY-WITH:payday'],
  },
  { title: 'payday', day: -87, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', more: ['X-HOBNAIL-KIND:occasion'] },
  {
    title: 'rent',
    day: -91,
    rule: 'FREQ=MONTHLY;BYMONTHDAY=1',
    more: ['X-HOBNAIL-KIND:deadline', 'X-HOBNAIL-LEAD:P2D', 'X-HOBNAIL-DUE:SHOWN'],
  },
  { title: 'deck meeting', day: -91, at: '09:30', minutes: 60, rule: 'FREQ=MONTHLY;BYDAY=3WE' },
  {
    title: 'Wren’s birthday',
    day: 12,
    born: 1993,
    rule: 'FREQ=YEARLY',
    more: ['X-HOBNAIL-KIND:occasion', ...reminder(4, 'post Wren’s parcel')],
  },
  {
    title: 'Juniper’s birthday',
    date: '2024-02-29',
    day: 0,
    rule: 'FREQ=YEARLY',
    more: ['X-HOBNAIL-KIND:occasion', 'CATEGORIES:greyhound'],
  },
  {
    title: 'anniversary of the choir',
    day: 41,
    born: 1988,
    rule: 'FREQ=YEARLY',
    more: ['X-HOBNAIL-KIND:occasion', ...reminder(7, 'order the choir cake')],
  },
];

/** What was, week by week, and what is to come. */
const EVENTS: readonly Entry[] = [
  ...ROUTINES,
  { title: 'foster handover: Moth', day: -68, at: '10:00', minutes: 60, more: ['CATEGORIES:greyhound'] },
  {
    title: 'winter concert',
    day: -59,
    at: '19:00',
    minutes: 150,
    more: ['CATEGORIES:choir', 'X-HOBNAIL-COUNTDOWN:14,7,1'],
  },
  { title: 'hull inspection', day: -53, at: '08:00', minutes: 240 },
  { title: 'vet, Juniper', day: -47, at: '16:30', minutes: 45 },
  { title: 'family visit', day: -40, days: 4, more: ['X-HOBNAIL-QUIET:chores'] },
  { title: 'seed swap', day: -30, at: '13:00', minutes: 120, more: ['CATEGORIES:garden'] },
  { title: 'dentist, check', day: -24, at: '09:15', minutes: 40 },
  { title: 'home check: Moth', day: -18, at: '17:30', minutes: 45, more: ['CATEGORIES:greyhound'] },
  { title: 'chart course', day: -11, days: 2 },
  { title: 'coffee with Wren', day: -5, at: '10:00', minutes: 60 },
  { title: 'coffee with Odile', day: 12, at: '10:00', minutes: 60 },
  { title: 'vet, Juniper', day: 10, at: '16:30', minutes: 45 },
  { title: 'dentist', day: 9, at: '09:15', minutes: 40 },
  { title: 'physio', day: 11, at: '15:00', minutes: 30, more: ['STATUS:TENTATIVE'] },
  { title: 'home visit: Fig', day: 8, at: '17:30', minutes: 45, more: ['CATEGORIES:greyhound'] },
  { title: 'foster trial: Fig', day: 9, days: 3, more: ['CATEGORIES:greyhound'] },
  { title: 'book camp bus', day: 8, more: [chore] },
  { title: 'allotment open day', day: 13, at: '13:30', minutes: 120, more: ['CATEGORIES:garden'] },
  { title: 'choir camp', day: 18, days: 3, more: ['CATEGORIES:choir', 'X-HOBNAIL-COUNTDOWN:14,3'] },
  { title: 'boiler service', day: 16, at: '08:30', minutes: 60 },
  { title: 'kennel open days', day: 3, days: 3 },
  { title: 'vet, both hounds', day: 4, at: '10:15', minutes: 45 },
  { title: 'library', day: 2, more: [chore] },
  { title: 'deck safety course', day: 22, at: '09:00', minutes: 360 },
  { title: 'off the boats', day: 28, days: 7, more: ['X-HOBNAIL-QUIET:chores,rota,swim'] },
  { title: 'island walk', day: 31, at: '10:00', minutes: 240, more: ['STATUS:TENTATIVE'] },
  {
    title: 'spring concert',
    day: 47,
    at: '19:00',
    minutes: 150,
    more: ['CATEGORIES:choir', 'X-HOBNAIL-COUNTDOWN:30,14,7,1', ...reminder(10, 'press the concert blacks')],
  },
  { title: 'dry dock', day: 50, days: 3 },
  { title: 'optician', day: 57, at: '11:30', minutes: 30 },
];

const TASKS: readonly Entry[] = [
  ...['oats', 'greens', 'dog biscuits', 'soap', 'lemons'].map((title): Entry => ({
    title,
    day: -87,
    rule: 'FREQ=WEEKLY;BYDAY=FR',
    more: list('to buy'),
  })),
  ...['dig bed four', 'lift beets', 'mend the gate', 'seed order'].map((title): Entry => ({
    title,
    day: 13,
    more: list('allotment'),
  })),
  ...['book the camp bus', 'find alto score', 'oil the leads'].map((title): Entry => ({ title, day: 7 })),
  ...['score marks', 'pack the van'].map((title): Entry => ({ title, day: 10 })),
  ...['hound beds', 'bathroom', 'kitchen floor'].map((title): Entry => ({
    title,
    day: -86,
    rule: 'FREQ=WEEKLY;BYDAY=SA',
    more: list('cleaning'),
  })),
  { title: 'foster form', day: 11, more: ['X-HOBNAIL-KIND:deadline'] },
  ...['ring the kennel', 'worming tablets'].map((title): Entry => ({ title, day: 1 })),
  ...['camp fee', 'pack song book'].map((title): Entry => ({ title, day: 15 })),
  ...['sharpen the spade', 'return library books'].map((title): Entry => ({ title, day: -6 })),
  ...['prune the currants', 'turn the compost'].map((title): Entry => ({ title, day: -2, more: list('allotment') })),
  { title: 'berth permit', day: 25, more: ['X-HOBNAIL-KIND:deadline', 'X-HOBNAIL-LEAD:P5D', 'X-HOBNAIL-DUE:SHOWN'] },
  ...['sow the leeks', 'net the peas'].map((title): Entry => ({ title, day: 37, more: list('allotment') })),
];

/** Of last week, what its owner did not get to. */
export const LEFT_UNDONE: readonly string[] = ['return library books', 'prune the currants', 'turn the compost'];

/**
 * The demo scenario's calendar, laid around a day: a harbor-ferry deckhand on an eight-day rota who sings in a choir,
 * fosters greyhounds and keeps an allotment.
 * @param today `2027-02-03`
 */
export function demoAgenda(today: string): string {
  const monday = DateTime.fromISO(today, { zone: 'utc' }).startOf('week');
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Hobnail//demo//EN',
    `X-WR-TIMEZONE:${ZONE}`,
    ...EVENTS.flatMap((e, i) => component('VEVENT', e, i, monday)),
    ...TASKS.flatMap((e, i) => component('VTODO', e, i, monday)),
    'END:VCALENDAR',
  ];
  return `${lines.join('\r\n')}\r\n`;
}

function component(name: 'VEVENT' | 'VTODO', entry: Entry, i: number, monday: DateTime): string[] {
  const day = firstDay(entry, monday);
  const uid = `${name === 'VEVENT' ? 'e' : 't'}${i + 1}-${entry.title.toLowerCase().replace(/[^a-z]+/g, '-')}@hobnail.demo`;
  const start = name === 'VEVENT' ? 'DTSTART' : 'DUE';
  const times = entry.at
    ? [
        `${start};TZID=${ZONE}:${day.toFormat('yyyyLLdd')}T${entry.at.replace(':', '')}00`,
        `DURATION:PT${entry.minutes ?? 30}M`,
      ]
    : [
        `${start};VALUE=DATE:${day.toFormat('yyyyLLdd')}`,
        ...(name === 'VEVENT'
          ? [`DTEND;VALUE=DATE:${day.plus({ days: entry.days ?? 1 }).toFormat('yyyyLLdd')}`]
          : [`DTSTART;VALUE=DATE:${day.toFormat('yyyyLLdd')}`]),
      ];
  return [
    `BEGIN:${name}`,
    `UID:${uid}`,
    'DTSTAMP:20260101T000000Z',
    `SUMMARY:${entry.title.replace(/([,;])/g, '\\$1')}`,
    ...times,
    ...(entry.rule ? [`RRULE:${entry.rule}`] : []),
    ...(entry.more ?? []),
    `END:${name}`,
  ];
}

/** A rule must begin on one of its own days, or its first happening would be a stray one (RFC 5545, 3.8.5.3). */
function firstDay(entry: Entry, monday: DateTime): DateTime {
  if (entry.date) return DateTime.fromISO(entry.date, { zone: 'utc' });
  const named = /BYDAY=([A-Z,]+)(?:;|$)/.exec(entry.rule ?? '')?.[1]?.split(',');
  const monthDay = /BYMONTHDAY=(\d+)/.exec(entry.rule ?? '')?.[1];
  let day = monday.plus({ days: entry.day });
  if (entry.born) day = day.set({ year: entry.born });
  const names = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
  const nth = /BYDAY=(\d)([A-Z]{2})/.exec(entry.rule ?? '');
  while (nth && (names[day.weekday - 1] !== nth[2] || Math.ceil(day.day / 7) !== Number(nth[1])))
    day = day.plus({ days: 1 });
  while (named && !named.includes(names[day.weekday - 1] as string)) day = day.plus({ days: 1 });
  while (monthDay && day.day !== Number(monthDay)) day = day.plus({ days: 1 });
  return day;
}
