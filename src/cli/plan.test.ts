import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoAgenda } from '../../demo/agenda';
import { conform } from '../core/format/schema';

const folder = mkdtempSync(join(tmpdir(), 'hobnail-plan-'));
const write = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const agenda = write('week.ics', demoAgenda('2027-02-03'));
const plan = (out: string, over: Record<string, string> = {}) => {
  const given = {
    book: 'three-box',
    kit: 'Rockpool',
    stash: 'demo/kits/stash.kit.csv',
    agenda,
    week: '2027-W06',
    out: join(folder, out),
    ...over,
  };
  return spawnSync(
    process.execPath,
    ['scripts/plan.mjs', ...Object.entries(given).flatMap(([k, v]) => (v ? [`--${k}`, v] : []))],
    { encoding: 'utf8' },
  );
};

it('writes its five files, keeping to the schemas, the same bytes each time', () => {
  expect(plan('one')).toMatchObject({ status: 0, stderr: '' });
  expect(plan('two').status).toBe(0);
  const names = readdirSync(join(folder, 'one')).sort();
  expect(names).toEqual(['bench.pdf', 'book.json', 'cuts.svg', 'spread.json', 'spread.svg']);
  for (const name of names)
    expect(readFileSync(join(folder, 'one', name)).equals(readFileSync(join(folder, 'two', name)))).toBe(true);
  conform('spread', JSON.parse(readFileSync(join(folder, 'one', 'spread.json'), 'utf8')), 'spread.json');
  conform('book', JSON.parse(readFileSync(join(folder, 'one', 'book.json'), 'utf8')), 'book.json');
});

it('plans from files that a spreadsheet and a calendar program saved', () => {
  const kit = write(
    'harbor.kit.csv',
    '\uFEFFcode;kind;count;width_mm;height_mm;notes\r\nQ;quarter-box;9;38,1;12,0;ours\r\n"D";date-cover;7;38,1;12;\r\n',
  );
  const ics = write(
    'other.ics',
    [
      'BEGIN:VCALENDAR',
      'PRODID:-//x//EN',
      'X-WR-TIMEZONE:Europe/Lisbon',
      'BEGIN:VEVENT',
      'UID:1',
      'DTSTART;TZID=Europe/Lisbon:20270208T100000',
      'RRULE:FREQ=DAILY;COUNT=3',
      'EXDATE;TZID=Europe/Lisbon:20270209T100000',
      'SUMMARY:a folded',
      '  title',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n'),
  );
  expect(plan('foreign', { kit, stash: '', agenda: ics, book: 'open-b6' })).toMatchObject({ status: 0, stderr: '' });
  const spread = JSON.parse(readFileSync(join(folder, 'foreign', 'spread.json'), 'utf8'));
  expect(
    spread.placements
      .filter((p: { items: string[] }) => p.items.length)
      .map((p: { day: number; text: string; kit: string }) => [p.day, p.text, p.kit]),
  ).toEqual([
    [0, '10a a folded title', 'harbor'],
    [2, '10a a folded title', 'harbor'],
  ]);
});

it.each([
  [
    'a calendar cut off in the middle',
    () => ({ agenda: write('cut.ics', demoAgenda('2027-02-03').slice(0, 900)) }),
    'the file seems cut off',
  ],
  [
    'a kit without a needed column',
    () => ({ kit: write('a.csv', 'code,kind,count,width_mm\n') }),
    'a column named height_mm',
  ],
  [
    'a negative size',
    () => ({ kit: write('b.csv', 'code,kind,count,width_mm,height_mm\na,icon,1,-1,9') }),
    'line 2, width_mm: found "-1"',
  ],
  [
    'a code twice',
    () => ({ kit: write('c.csv', 'code,kind,count,width_mm,height_mm\na,icon,1,1,9\na,icon,1,1,9') }),
    'line 3, code',
  ],
  [
    'a column outside its page',
    () => ({
      book: write(
        'd.book.json',
        readFileSync(join(folder, 'one', 'book.json'), 'utf8').replace(
          '"x": 46.1,\n      "y": 31',
          '"x": 460.1,\n      "y": 31',
        ),
      ),
    }),
    'a place on its page',
  ],
  ['an unknown option', () => ({ options: write('o.json', '{"glitter":true}') }), 'glitter'],
  ['a week that is none', () => ({ week: '2027-W53' }), 'a week by ISO 8601'],
  ['a manner that does not ship', () => ({ manner: 'baroque' }), 'one of scattered'],
  ['a file that is not there', () => ({ agenda: join(folder, 'none.ics') }), 'an iCalendar file'],
  ['a flag nobody knows', () => ({ glue: 'yes' }), 'npm run plan'],
  ['a book called as nothing is', () => ({ book: '__proto__' }), 'a file, or one of three-box'],
  ['options nested without end', () => ({ options: write('n.json', '['.repeat(100_000)) }), 'more than 60 levels'],
])('refuses %s: exit 2, a message, nothing written', (name, over, says) => {
  const out = `bad-${name.replace(/\W/g, '')}`;
  const done = plan(out, over());
  expect([done.status, done.stderr]).toEqual([2, expect.stringContaining(says)]);
  expect(existsSync(join(folder, out))).toBe(false);
});

it('says so where it cannot write, and leaves what is there as it is', () => {
  const file = write('taken', 'something of mine');
  for (const out of [file, join(file, 'deeper')]) {
    const done = plan('', { out });
    expect([done.status, done.stderr]).toEqual([2, expect.stringContaining('a directory that can be written to')]);
  }
  expect(readFileSync(file, 'utf8')).toBe('something of mine');
});
