import fc from 'fast-check';
import { demandsOfWeek } from '../week/demands';
import { blankEntry } from '../week/agenda-entry';
import { atOnce, cuttingCalendar, readCalendar, readingCut } from './calendar';
import { bundlesOf, textOf } from './calendar-bundles';
import { putEntry, removeEntry, entryOf } from './calendar-edit';
import { changeOccurrence, skipOccurrence } from './calendar-occurrence';
import { editItems, ofItem } from './calendar-splice';

const STAMP = '2027-02-03T08:00:00Z';
const event = (uid: string, ...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  `UID:${uid}`,
  'DTSTAMP:20260101T000000Z',
  ...lines,
  'END:VEVENT',
];
const file = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const zone = [
  'BEGIN:VTIMEZONE',
  'TZID:Harbor',
  'BEGIN:STANDARD',
  'DTSTART:19700101T000000',
  'TZOFFSETFROM:-0400',
  'TZOFFSETTO:-0400',
  'END:STANDARD',
  'END:VTIMEZONE',
];
const weekly = (i: number): string[] =>
  event(`e${i}`, `DTSTART;TZID=Harbor:202702${String(1 + (i % 28)).padStart(2, '0')}T090000`, `SUMMARY:thing ${i}`);

describe('an edit of one item', () => {
  // odd ways to write things that no writer of ours would keep
  const odd = event('odd', 'dtstart;value=date:20270208', 'SUMMARY:folded over', '  two lines', 'X-THEIRS;A=b:c');
  const ics = file(
    ...zone,
    ...odd,
    ...event('a', 'DTSTART;VALUE=DATE:20270209', 'SUMMARY:vet'),
    ...event('b', 'DTSTART;VALUE=DATE:20270210'),
  );

  it('leaves all the others as they are, to the letter, each in its place', () => {
    const edited = putEntry(ics, { ...entryOf(readCalendar(ics, 'c'), 'a')!, title: 'vet, both' }, 'UTC', STAMP);
    const around = edited.split(/BEGIN:VEVENT\r\nUID:a\r\n[\s\S]*?END:VEVENT\r\n/);
    expect(around).toEqual(ics.split([...event('a', 'DTSTART;VALUE=DATE:20270209', 'SUMMARY:vet'), ''].join('\r\n')));
    expect(entryOf(readCalendar(edited, 'c'), 'a')?.title).toBe('vet, both');
  });

  it('adds at the end of the last calendar, and takes out without a trace', () => {
    const added = putEntry(ics, { ...blankEntry('2027-02-11'), uid: 'new', title: 'guests' }, 'UTC', STAMP);
    expect(added.startsWith(ics.slice(0, ics.indexOf('END:VCALENDAR')))).toBe(true);
    expect(removeEntry(added, 'new')).toBe(ics);
    const two = ics + file(...event('c', 'DTSTART;VALUE=DATE:20270212', 'SUMMARY:second'));
    expect(removeEntry(putEntry(two, { ...blankEntry('2027-02-11'), uid: 'n', title: 'x' }, 'UTC', STAMP), 'n')).toBe(
      two,
    );
  });

  it('finds a uid however the file writes it', () => {
    for (const [uid, line] of [
      ['with, comma', 'UID:with\\, comma'],
      ['x'.repeat(100), `UID:${'x'.repeat(60)}\r\n ${'x'.repeat(40)}`],
      ['named', 'UID;X-A=b:named'],
    ] as const) {
      const text = file('BEGIN:VEVENT', line, 'DTSTART;VALUE=DATE:20270209', 'SUMMARY:vet', 'END:VEVENT');
      expect(removeEntry(text, uid)).toBe(file());
    }
  });

  it('of a uid that is nowhere changes nothing', () => {
    for (const edited of [
      removeEntry(ics, 'zeppelin'),
      skipOccurrence(ics, 'zeppelin', '2027-02-09', 'UTC'),
      changeOccurrence(ics, 'zeppelin', '2027-02-09', { day: '2027-02-10' }, 'UTC'),
    ])
      expect(edited).toBe(ics);
  });

  it('comes to the same, whatever else the calendar has', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(40), { minLength: 1, maxLength: 12 }), fc.nat(11), (ids, which) => {
        const text = file(...zone, ...ids.flatMap(weekly));
        const uid = `e${ids[which % ids.length]!}`;
        const days = (t: string) =>
          demandsOfWeek([readCalendar(t, 'c')], '2027-W06', 'monday', 'UTC').demands.map((d) => `${d.day} ${d.title}`);
        const without = editItems(text, ofItem(uid), (root) => {
          for (const c of [...root.getAllSubcomponents('vevent')])
            if (c.getFirstPropertyValue('uid') === uid) root.removeSubcomponent(c);
        });
        const left = ids.filter((id) => `e${id}` !== uid);
        expect(days(without)).toEqual(days(file(...zone, ...left.flatMap(weekly))));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a long calendar in bundles', () => {
  const long = (count: number): string => file(...zone, ...Array.from({ length: count }, (_, i) => weekly(i)).flat());
  const cutOf = (text: string) => bundlesOf(atOnce(cuttingCalendar(text, 'long.ics')));
  const text = long(4000);
  const bundles = cutOf(text);

  it('says what the whole says', () => {
    expect(bundles).toHaveLength(4);
    const parts = bundles.map((b) => atOnce(readingCut(b)));
    const week = (calendars: Parameters<typeof demandsOfWeek>[0]) =>
      demandsOfWeek(calendars, '2027-W06', 'monday', 'UTC').demands.map((d) => d.uid);
    expect(new Set(week(parts))).toEqual(new Set(week([readCalendar(text, 'long.ics')])));
  });

  it('has all time zones in each, one uid in one only, and every item once', () => {
    for (const b of bundles) expect(b.blocks[0]!.name).toBe('VTIMEZONE');
    expect(bundles.reduce((n, b) => n + b.blocks.length - 1, 0)).toBe(4000);
    const changed = file(...zone, ...Array.from({ length: 4000 }, (_, i) => weekly(i % 2000)).flat());
    const places = new Map<string, Set<number>>();
    for (const [i, b] of cutOf(changed).entries())
      for (const block of b.blocks.slice(1)) {
        const uid = /UID:(.*)/.exec(block.text)![1]!;
        places.set(uid, (places.get(uid) ?? new Set()).add(i));
      }
    expect([...places.values()].every((p) => p.size === 1)).toBe(true);
  });

  it('keeps all bundles but one through an edit', () => {
    const edited = removeEntry(text, 'e1234');
    const same = new Set(bundles.map(textOf));
    expect(cutOf(edited).filter((b) => !same.has(textOf(b)))).toHaveLength(1);
  });

  it('is one bundle while it is short', () => expect(cutOf(long(1500))).toHaveLength(1));
});
