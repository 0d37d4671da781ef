import { DateTime } from 'luxon';

interface Item {
  readonly uid: string;
  readonly title: string;
  /** days from the Monday of the week that today is in */
  readonly day: number;
  readonly at?: string;
  readonly rule?: string;
}

const ALWAYS: readonly Item[] = [
  { uid: 'milk', title: 'milk money', day: -88, rule: 'FREQ=WEEKLY' },
  { uid: 'house', title: 'house meeting', day: 9, at: '20:00' },
  { uid: 'away', title: 'Odile away', day: 17 },
];

/** What the household changes, one after another; the last one leads back to the first. */
const TURNS: readonly (readonly Item[])[] = [
  [{ uid: 'plumber', title: 'plumber', day: 8, at: '08:30' }],
  [
    { uid: 'plumber', title: 'plumber', day: 10, at: '14:00' },
    { uid: 'chimney', title: 'chimney sweep', day: 11, at: '11:00' },
  ],
  [
    { uid: 'chimney', title: 'chimney sweep', day: 11, at: '11:00' },
    { uid: 'guests', title: 'guests for supper', day: 12, at: '18:30' },
  ],
];

/** The simulated household's calendar (iCalendar) as it is after so many changes. @param today 2027-02-03 */
export function householdFeed(today: string, revision: number): string {
  const monday = DateTime.fromISO(today, { zone: 'utc' }).startOf('week');
  const items = [...ALWAYS, ...(TURNS[revision % TURNS.length] as readonly Item[])];
  const lines = items.flatMap(({ uid, title, day, at, rule }) => {
    const date = monday.plus({ days: day }).toFormat('yyyyLLdd');
    const start = at
      ? [`DTSTART;TZID=America/Halifax:${date}T${at.replace(':', '')}00`, 'DURATION:PT1H']
      : [`DTSTART;VALUE=DATE:${date}`];
    return [
      'BEGIN:VEVENT',
      `UID:${uid}@household.demo`,
      'DTSTAMP:20260101T000000Z',
      `SUMMARY:${title}`,
      ...start,
      ...(rule ? [`RRULE:${rule}`] : []),
      'END:VEVENT',
    ];
  });
  return `${['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Hobnail//household stand-in//EN', ...lines, 'END:VCALENDAR'].join('\r\n')}\r\n`;
}
