import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { threeBox } from '../book/three-box';
import { readBook } from './book-json';
import { demandsOfWeek } from '../week/demands';
import { readCalendar, readingCalendar } from './calendar';
import { decodeText } from './decode';
import { BadInput } from './fault';
import { readKit, writeKit } from './kit-csv';
import { optionsSchema } from './options-schema';
import { readOptions } from './options-json';
import { demoKit } from '../../../tests/fixtures';

/** The messages of a reader that must refuse. */
function refused(read: () => unknown): string {
  try {
    read();
  } catch (error) {
    if (error instanceof BadInput) return error.message;
    throw error;
  }
  throw new Error('it was accepted');
}

const HEAD = 'code,kind,count,width_mm,height_mm';

describe('a kit file', () => {
  it('is read as a spreadsheet saves it: BOM, semicolons, CRLF, decimal commas, quotes, unknown columns', () => {
    const text =
      '\uFEFFkind;Code;count;width_mm;height_mm;price;words\r\nheader;H 1;3;38,1;6,4;2,50;"to ""do""; now"\r\n\r\n;;;;;;\r\n';
    expect(readKit(text, 'k.csv', 'k').pieces).toMatchObject([
      {
        code: 'H 1',
        kind: 'header',
        count: 3,
        width: 38.1,
        height: 6.4,
        words: 'to "do"; now',
        shape: 'rect',
        opacity: 1,
      },
    ]);
  });

  it('takes defaults from the kind', () => {
    const [washi, list] = readKit(`${HEAD}\nw,washi,1,3000,15\nc,checklist,2,38.1,48.3`, 'k.csv', 'k').pieces;
    expect(washi).toMatchObject({ opacity: 0.55, sheet: 1 });
    expect(list).toMatchObject({ rows: 6, writable: 'yes' });
  });

  it('reads back what it wrote, and never writes a formula', () => {
    const kit = demoKit('rockpool');
    expect(readKit(writeKit(kit), 'rockpool.kit.csv', 'rockpool')).toEqual(kit);
    expect(writeKit({ name: 'k', pieces: [{ ...kit.pieces[0]!, words: '=1+1' }] })).toContain(`'=1+1`);
  });

  it.each([
    ['code,kind,count,width_mm\na,icon,1,9', 'k.csv, line 1', 'a column named height_mm'],
    [`${HEAD}\na,icon,1,-9,9`, 'k.csv, line 2, width_mm: found "-9"', 'a length from 0.1'],
    [`${HEAD}\na,icon,1,9,9\nb,icon,1,9,9\na,icon,1,9,9`, 'k.csv, line 4, code: found "a"', 'line 2 has this one'],
    [`${HEAD}\na,sticker,1,9,9`, 'k.csv, line 2, kind: found "sticker"', 'one of full-box, double-box'],
    [`${HEAD}\na,icon,1.5,9,9`, 'line 2, count', 'a whole number'],
    [`${HEAD}\na,icon,1,"9,5",9`, 'line 2, width_mm: found "9,5"', 'a length'],
    [`${HEAD},color\na,icon,1,9,9,seaweed`, 'line 2, color', 'a color such as #'],
    [`${HEAD}\na,icon,1,"9,9`, 'line 2', 'a closing quotation mark'],
    [`${HEAD}\na,icon,1,1000,9`, 'line 2, width_mm: found "1000"', 'a length from 0.1 to 600 mm'],
    [`${HEAD}\na,icon,1,40 in,9`, 'line 2, width_mm: found "40 in"', 'a length from 0.1 to 600 mm'],
    [`${HEAD}\na,icon,=1+1,9,9`, 'line 2, count: found "=1+1"', 'a whole number'],
    ['', 'line 1', 'a first line with the columns'],
    [HEAD, 'line 1', 'at least one line'],
  ])('says where %j is wrong', (text, where, expected) => {
    const said = refused(() => readKit(text, 'k.csv', 'k'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });

  it.each([
    [
      'Name,Type,Qty,Width,Height,Colour\nbox,Full Boxes,2,38.1,48,red',
      { kind: 'full-box', count: 2, color: '#ff0000' },
    ],
    ['sticker;type;quantity;width (mm);height (mm)\nbox;half box;2;38,1;48', { kind: 'half-box', width: 38.1 }],
    ['code,kind,count,Width (in),Height (in)\nbox,Labels,2,1.5,1 1/2', { kind: 'label', width: 38.1, height: 38.1 }],
    [
      'code,kind,copies,w,h,color\nbox,date dots,2,1/2 in,12.7 mm,#ABC',
      { kind: 'date-dot', width: 12.7, color: '#aabbcc' },
    ],
    ['code,kind,count,width,height,second color\nbox,checklists,1,38,60,Light Blue', { accent: '#add8e6' }],
  ])('takes what people write: %j', (text, means) => expect(readKit(text, 'k.csv', 'k').pieces).toMatchObject([means]));

  it('counts lines right after a cell that runs over two', () => {
    expect(refused(() => readKit(`${HEAD},words\na,icon,1,9,9,"two\nlines"\nb,icon,1,0,9,`, 'k.csv', 'k'))).toContain(
      'line 4, width_mm',
    );
  });

  it('reads ten thousand lines and names a fault for each bad one', () => {
    const lines = Array.from({ length: 10_000 }, (_, i) => `c${i},icon,1,${i % 1000 === 0 ? 0 : 9},9`);
    expect(refused(() => readKit([HEAD, ...lines].join('\n'), 'k.csv', 'k')).split('\n')).toHaveLength(10);
  });
});

describe('a book file', () => {
  const broken = (
    change: (b: { -readonly [K in keyof typeof threeBox]: unknown } & Record<string, unknown>) => void,
  ): string => {
    const copy = JSON.parse(JSON.stringify(threeBox));
    change(copy);
    return JSON.stringify(copy);
  };
  it.each([
    [
      broken((b) => {
        (b.regions as { w: number }[])[2]!.w = 500;
      }),
      'regions[2] "day-0".x, .w',
      'a place on its page',
    ],
    [
      broken((b) => {
        delete b.binding;
      }),
      'binding: found nothing',
      'it must be there',
    ],
    [
      broken((b) => {
        b.unit = 'cm';
      }),
      'unit: found "cm"',
      'one of mm, in',
    ],
    [
      broken((b) => {
        b.regions = (b.regions as { id: string }[]).filter((r) => r.id !== 'day-4');
      }),
      '0 columns for day 4',
      'one region of kind "day"',
    ],
    [
      broken((b) => {
        (b.marks as { y: number }[])[0]!.y = 400;
      }),
      'marks[0]',
      'a place on one of the pages',
    ],
    ['{"format":\n "hobnail.book/1",', 'line 2', 'JSON'],
  ])('says what is wrong (%#)', (text, where, expected) => {
    const said = refused(() => readBook(text, 'b.book.json'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });
});

describe('options', () => {
  it('takes known keys and refuses others by name', () => {
    expect(readOptions('{"gap":3,"headers":"fanned"}', 'o.json')).toEqual({
      options: { gap: 3, headers: 'fanned' },
      ways: {},
    });
    expect(readOptions('{"ways":{"boxes":5,"times":"in circles"}}', 'o.json').ways).toEqual({
      boxes: 5,
      times: 'in circles',
    });
    expect(refused(() => readOptions('{"ways":{"boxs":5}}', 'o.json'))).toContain('ways.boxs: found an unknown key');
    expect(refused(() => readOptions('{"ways":{"boxes":9}}', 'o.json'))).toContain('ways.boxes');
    expect(refused(() => readOptions('{"gaps":3}', 'o.json'))).toContain('gaps: found an unknown key');
    expect(refused(() => readOptions('{"whiteSpace":2}', 'o.json'))).toContain('whiteSpace: found "2"');
  });
});

it('the schema of options in docs/formats is the one that the registries make', () => {
  const written = readFileSync(join(__dirname, '../../../docs/formats/options.schema.json'), 'utf8');
  expect(JSON.parse(written)).toEqual(JSON.parse(JSON.stringify(optionsSchema())));
});

describe('a calendar file', () => {
  const event = 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:a\nDTSTART:20270208T100000\nSUMMARY:x';
  it.each([
    [event, 'line 5', 'END:VEVENT, for the BEGIN on line 2; the file seems cut off'],
    [`${event}\nEND:VCALENDAR`, 'line 6', 'END:VEVENT'],
    [`${event}\nEND:VEVENT\nEND:VCALENDAR`.replace('20270208T100000', '2027-02-31'), 'DTSTART', 'a date such as'],
    [
      `${event}\nEND:VEVENT\nEND:VCALENDAR`.replace('DTSTART:20270208T100000\n', ''),
      'DTSTART: found nothing',
      'the day or time',
    ],
    ['hello', 'line 1', 'BEGIN:VCALENDAR'],
    [`${event}\nno colon here\nEND:VEVENT\nEND:VCALENDAR`, 'line 6', 'NAME:VALUE'],
  ])('says what is wrong (%#)', (text, where, expected) => {
    const said = refused(() => readCalendar(text, 'c.ics'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });

  const whole = (...lines: string[]): string => ['BEGIN:VCALENDAR', ...lines, 'END:VCALENDAR'].join('\r\n');
  const one = (...lines: string[]): string[] => [
    'BEGIN:VEVENT',
    'UID:a',
    'DTSTART:20270208T100000',
    ...lines,
    'END:VEVENT',
  ];

  it.each(['FREQ=NEVER', 'FREQ=WEEKLY;BYMONTH=13', 'INTERVAL=2', 'FREQ=DAILY;UNTIL=soon'])(
    'refuses the rule %s by its line',
    (rule) => {
      const said = refused(() =>
        readCalendar(
          whole(...one('SUMMARY:x'), 'BEGIN:VEVENT', 'UID:b', 'DTSTART:20270208T100000', `RRULE:${rule}`, 'END:VEVENT'),
          'c.ics',
        ),
      );
      expect(said).toMatch(/line (7|10)/);
    },
  );

  it('names every fault with its line, and keeps to forty', () => {
    const bad = Array.from({ length: 100 }, (_, i) => [
      'BEGIN:VEVENT',
      `UID:u${i}`,
      'DTSTART;VALUE=DATE:20270231',
      'END:VEVENT',
    ]).flat();
    const lines = refused(() => readCalendar(whole(...bad), 'c.ics')).split('\n');
    expect(lines).toHaveLength(40);
    expect(lines[1]).toContain('line 6, VEVENT "u1", DTSTART: found "2027-02-31"');
  });

  it('reads twenty thousand events step by step, and may be left at any of them', () => {
    const text = whole(
      ...Array.from({ length: 20_000 }, (_, i) => [
        'BEGIN:VEVENT',
        `UID:u${i}`,
        `DTSTART;VALUE=DATE:2027020${1 + (i % 8)}`,
        `SUMMARY:e${i}`,
        'END:VEVENT',
      ]).flat(),
    );
    const reading = readingCalendar(text, 'c.ics');
    const shares: number[] = [];
    let step = reading.next();
    for (; !step.done; step = reading.next()) shares.push(step.value);
    expect(step.value.root.getAllSubcomponents()).toHaveLength(20_000);
    expect(shares.length).toBeGreaterThan(100);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBeLessThanOrEqual(1);
  });

  it('refuses what is too large before reading it, by letters and by items', () => {
    expect(refused(() => readCalendar(whole(`X-PAD:${'x'.repeat(65 * 2 ** 20)}`), 'c.ics'))).toContain(
      'found 65 MB of text, expected at most 64 MB',
    );
    expect(
      refused(() =>
        readCalendar(whole(...Array.from({ length: 60_001 }, () => ['BEGIN:VEVENT', 'END:VEVENT']).flat()), 'c.ics'),
      ),
    ).toContain('found 60001 items');
  });

  it('reads a property of a megabyte, folded or not, and keeps it', () => {
    const long = 'word '.repeat(200_000);
    const folded = (long.match(/.{1,70}/g) as string[]).join('\r\n ');
    for (const value of [long, folded]) {
      const { root } = readCalendar(whole(...one(`DESCRIPTION:${value}`, `SUMMARY:${'x'.repeat(2000)}`)), 'c.ics');
      expect(
        String(root.getFirstSubcomponent('vevent')?.getFirstPropertyValue('description')).replace(/\s/g, ''),
      ).toHaveLength(800_000);
    }
    expect(
      demandsOfWeek([readCalendar(whole(...one(`SUMMARY:${'x'.repeat(2_000_000)}`)), 'c.ics')], '2027-W06').demands[0]
        ?.title,
    ).toHaveLength(400);
  });

  it('takes a time of a zone nobody knows as the owner’s own clock, and says so', () => {
    const { notes } = readCalendar(
      whole(...one('SUMMARY:x').map((l) => l.replace('DTSTART:', 'DTSTART;TZID=Atlantis Time:'))),
      'c.ics',
    );
    expect(notes).toEqual([
      'The time zone "Atlantis Time" is not known here and the file does not describe it: one time is read as your own clock’s.',
    ]);
    expect(
      readCalendar(
        whole(...one('SUMMARY:x').map((l) => l.replace('DTSTART:', 'DTSTART;TZID=/some/path/Europe/Lisbon:'))),
        'c.ics',
      ).notes,
    ).toEqual([]);
  });

  it('reads several calendars of one file as one', () => {
    expect(
      readCalendar(
        `${whole('X-WR-TIMEZONE:Europe/Lisbon', ...one('SUMMARY:x'))}\r\n${whole(...one('SUMMARY:y'))}\r\n`,
        'c.ics',
      ),
    ).toMatchObject({ zone: 'Europe/Lisbon', root: { jCal: ['vcalendar', expect.anything(), { length: 2 }] } });
  });
});

describe('the letters of a file', () => {
  const bytes = (text: string): Uint8Array => Uint8Array.from(text, (c) => c.charCodeAt(0));
  it('are UTF-8, or UTF-16 with its mark', () => {
    expect(decodeText(new TextEncoder().encode('\uFEFFWren’s'), 'f')).toBe('Wren’s');
    expect(decodeText(Uint8Array.from([0xff, 0xfe, 0x57, 0, 0x19, 0x20]), 'f')).toBe('W’');
  });
  it.each([
    ['one\ntwo\ncaf\xE9\nfour', 'line 3'],
    ['ends in \xE2\x80', 'line 1'],
    ['zero\nby\0te', 'line 2'],
  ])('are refused by line otherwise (%#)', (text, where) => {
    expect(refused(() => decodeText(bytes(text), 'f.ics'))).toContain(`f.ics, ${where}: found`);
  });
});
