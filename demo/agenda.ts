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
  readonly more?: readonly string[];
}

const part = (name: string): string[] => [`X-HOBNAIL-PART:${name}`];
const list = (name: string): string[] => [`X-HOBNAIL-LIST:${name}`];

/** Shifts of the eight-day rota: two early, two late, four off. */
const ROTA: readonly Entry[] = [
  ...[0, 1].map((d): Entry => ({ title: 'early ferry', day: d - 32, at: '05:30', minutes: 480, rule: 'FREQ=DAILY;INTERVAL=8' })),
  ...[2, 3].map((d): Entry => ({ title: 'late ferry', day: d - 32, at: '13:30', minutes: 480, rule: 'FREQ=DAILY;INTERVAL=8' })),
];

const EVENTS: readonly Entry[] = [
  ...ROTA,
  { title: 'choir rehearsal', day: -34, at: '19:30', minutes: 120, rule: 'FREQ=WEEKLY;BYDAY=TU' },
  { title: 'alto sectional', day: -32, at: '18:30', minutes: 60, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TH' },
  { title: 'walk the hounds', day: -35, rule: 'FREQ=WEEKLY;BYDAY=MO,WE,FR,SA', more: ['X-HOBNAIL-KIND:chore', ...part('evening')] },
  { title: 'recycling bins', day: -35, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'refuse bins', day: -28, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'laundry', day: -35, rule: 'FREQ=WEEKLY;BYDAY=TU', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'bed sheets', day: -30, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SA', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'water the beans', day: -33, rule: 'FREQ=WEEKLY;BYDAY=WE,SU', more: ['X-HOBNAIL-KIND:chore', ...part('morning')] },
  { title: 'dinner: fish soup', day: -34, rule: 'FREQ=WEEKLY;BYDAY=TU', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'dinner: beans, rice', day: -32, rule: 'FREQ=WEEKLY;BYDAY=TH', more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'dinner at Odile’s', day: -29, at: '18:00', minutes: 120, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=SU' },
  { title: 'call Mum', day: -29, at: '11:00', minutes: 30, rule: 'FREQ=WEEKLY;BYDAY=SU' },
  { title: 'harbor lights, film', day: -29, at: '20:30', minutes: 90, rule: 'FREQ=WEEKLY;BYDAY=SU' },
  { title: 'swim', day: -31, at: '07:30', minutes: 45, rule: 'FREQ=WEEKLY;BYDAY=FR' },
  { title: 'time sheet', day: -35, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO', more: ['X-HOBNAIL-KIND:deadline'] },
  { title: 'rent', day: -35, rule: 'FREQ=MONTHLY;BYMONTHDAY=1', more: ['X-HOBNAIL-KIND:deadline'] },
  { title: 'payday', day: -31, rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR', more: ['X-HOBNAIL-KIND:occasion'] },
  { title: 'coffee with Odile', day: 12, at: '10:00', minutes: 60 },
  { title: 'vet, Juniper', day: 10, at: '16:30', minutes: 45 },
  { title: 'dentist', day: 9, at: '09:15', minutes: 40 },
  { title: 'physio', day: 11, at: '15:00', minutes: 30, more: ['STATUS:TENTATIVE'] },
  { title: 'home visit: Fig', day: 8, at: '17:30', minutes: 45, more: ['CATEGORIES:greyhound'] },
  { title: 'foster trial: Fig', day: 9, days: 3, more: ['CATEGORIES:greyhound'] },
  { title: 'Wren’s birthday', day: 12, more: ['X-HOBNAIL-KIND:occasion'] },
  { title: 'post Wren’s parcel', day: 8, more: ['X-HOBNAIL-KIND:reminder'] },
  { title: 'allotment open day', day: 13, at: '13:30', minutes: 120, more: ['CATEGORIES:garden'] },
  { title: 'choir camp', day: 18, days: 3, more: ['CATEGORIES:choir'] },
  { title: 'boiler service', day: 16, at: '08:30', minutes: 60 },
  { title: 'kennel open days', day: 3, days: 3 },
  { title: 'vet, both hounds', day: 4, at: '10:15', minutes: 45 },
  { title: 'library', day: 2, more: ['X-HOBNAIL-KIND:chore'] },
  { title: 'deck safety course', day: 22, at: '09:00', minutes: 360 },
];

const TASKS: readonly Entry[] = [
  ...['oats', 'greens', 'dog biscuits', 'soap', 'lemons'].map((title): Entry => ({ title, day: -31, rule: 'FREQ=WEEKLY;BYDAY=FR', more: list('to buy') })),
  ...['dig bed four', 'lift beets', 'mend the gate', 'seed order'].map((title): Entry => ({ title, day: 13, more: list('allotment') })),
  ...['book the camp bus', 'find alto score', 'oil the leads'].map((title): Entry => ({ title, day: 7 })),
  ...['score marks', 'pack the van'].map((title): Entry => ({ title, day: 10 })),
  ...['hound beds', 'bathroom', 'kitchen floor'].map((title): Entry => ({ title, day: -30, rule: 'FREQ=WEEKLY;BYDAY=SA', more: list('cleaning') })),
  { title: 'foster form', day: 11, more: ['X-HOBNAIL-KIND:deadline'] },
  ...['ring the kennel', 'worming tablets'].map((title): Entry => ({ title, day: 1 })),
  ...['camp fee', 'pack song book'].map((title): Entry => ({ title, day: 15 })),
];

/**
 * The demo scenario's calendar, laid around a day: a harbor-ferry deckhand on an eight-day rota who sings in a choir,
 * fosters greyhounds and keeps an allotment.
 * @param today `2027-02-03`
 */
export function demoAgenda(today: string): string {
  const monday = DateTime.fromISO(today, { zone: 'utc' }).startOf('week');
  const lines = [
    'BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Hobnail//demo//EN', `X-WR-TIMEZONE:${ZONE}`,
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
    ? [`${start};TZID=${ZONE}:${day.toFormat('yyyyLLdd')}T${entry.at.replace(':', '')}00`, `DURATION:PT${entry.minutes ?? 30}M`]
    : [`${start};VALUE=DATE:${day.toFormat('yyyyLLdd')}`, ...(name === 'VEVENT' ? [`DTEND;VALUE=DATE:${day.plus({ days: entry.days ?? 1 }).toFormat('yyyyLLdd')}`] : [`DTSTART;VALUE=DATE:${day.toFormat('yyyyLLdd')}`])];
  return [
    `BEGIN:${name}`, `UID:${uid}`, 'DTSTAMP:20260101T000000Z', `SUMMARY:${entry.title.replace(/([,;])/g, '\\$1')}`,
    ...times, ...(entry.rule ? [`RRULE:${entry.rule}`] : []), ...(entry.more ?? []), `END:${name}`,
  ];
}

/** A weekly rule must begin on one of its own days, or its first happening would be a stray one (RFC 5545, 3.8.5.3). */
function firstDay(entry: Entry, monday: DateTime): DateTime {
  const named = /BYDAY=([A-Z,]+)/.exec(entry.rule ?? '')?.[1]?.split(',');
  const monthDay = /BYMONTHDAY=(\d+)/.exec(entry.rule ?? '')?.[1];
  let day = monday.plus({ days: entry.day });
  const names = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
  while (named && !named.includes(names[day.weekday - 1] as string)) day = day.plus({ days: 1 });
  while (monthDay && day.day !== Number(monthDay)) day = day.plus({ days: 1 });
  return day;
}
