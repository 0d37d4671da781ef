import { threeBox } from '../book/three-box';
import { readBook } from './book-json';
import { readCalendar } from './calendar';
import { BadInput } from './fault';
import { readKit, writeKit } from './kit-csv';
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
    const text = '\uFEFFkind;Code;count;width_mm;height_mm;price;words\r\nheader;H 1;3;38,1;6,4;2,50;"to ""do""; now"\r\n\r\n;;;;;;\r\n';
    expect(readKit(text, 'k.csv', 'k').pieces).toMatchObject([{ code: 'H 1', kind: 'header', count: 3, width: 38.1, height: 6.4, words: 'to "do"; now', shape: 'rect', opacity: 1 }]);
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
    [`${HEAD},color\na,icon,1,9,9,teal`, 'line 2, color', 'a color such as #'],
    [`${HEAD}\na,icon,1,"9,9`, 'line 2', 'a closing quotation mark'],
    ['', 'line 1', 'a first line with the columns'],
    [HEAD, 'line 1', 'at least one line'],
  ])('says where %j is wrong', (text, where, expected) => {
    const said = refused(() => readKit(text, 'k.csv', 'k'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });

  it('counts lines right after a cell that runs over two', () => {
    expect(refused(() => readKit(`${HEAD},words\na,icon,1,9,9,"two\nlines"\nb,icon,1,0,9,`, 'k.csv', 'k'))).toContain('line 4, width_mm');
  });

  it('reads ten thousand lines and names a fault for each bad one', () => {
    const lines = Array.from({ length: 10_000 }, (_, i) => `c${i},icon,1,${i % 1000 === 0 ? 0 : 9},9`);
    expect(refused(() => readKit([HEAD, ...lines].join('\n'), 'k.csv', 'k')).split('\n')).toHaveLength(10);
  });
});

describe('a book file', () => {
  const broken = (change: (b: { -readonly [K in keyof typeof threeBox]: unknown } & Record<string, unknown>) => void): string => {
    const copy = JSON.parse(JSON.stringify(threeBox));
    change(copy);
    return JSON.stringify(copy);
  };
  it.each([
    [broken((b) => { (b.regions as { w: number }[])[2]!.w = 500; }), 'regions[2] "day-0".x, .w', 'a place on its page'],
    [broken((b) => { delete b.binding; }), 'binding: found nothing', 'it must be there'],
    [broken((b) => { b.unit = 'cm'; }), 'unit: found "cm"', 'one of mm, in'],
    [broken((b) => { b.regions = (b.regions as { id: string }[]).filter((r) => r.id !== 'day-4'); }), '0 columns for day 4', 'one region of kind "day"'],
    [broken((b) => { (b.marks as { y: number }[])[0]!.y = 400; }), 'marks[0]', 'a place on one of the pages'],
    ['{"format":\n "hobnail.book/1",', 'line 2', 'JSON'],
  ])('says what is wrong (%#)', (text, where, expected) => {
    const said = refused(() => readBook(text, 'b.book.json'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });
});

describe('options', () => {
  it('takes known keys and refuses others by name', () => {
    expect(readOptions('{"gap":3,"headers":"fanned"}', 'o.json')).toEqual({ gap: 3, headers: 'fanned' });
    expect(refused(() => readOptions('{"gaps":3}', 'o.json'))).toContain('gaps: found an unknown key');
    expect(refused(() => readOptions('{"whiteSpace":2}', 'o.json'))).toContain('whiteSpace: found "2"');
  });
});

describe('a calendar file', () => {
  const event = 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:a\nDTSTART:20270208T100000\nSUMMARY:x';
  it.each([
    [event, 'line 5', 'END:VEVENT, for the BEGIN on line 2; the file seems cut off'],
    [`${event}\nEND:VCALENDAR`, 'line 6', 'END:VEVENT'],
    [`${event}\nEND:VEVENT\nEND:VCALENDAR`.replace('20270208T100000', '2027-02-31'), 'DTSTART', 'a date such as'],
    [`${event}\nEND:VEVENT\nEND:VCALENDAR`.replace('DTSTART:20270208T100000\n', ''), 'DTSTART: found nothing', 'the day or time'],
    ['hello', 'line 1', 'BEGIN:VCALENDAR'],
    [`${event}\nno colon here\nEND:VEVENT\nEND:VCALENDAR`, 'line 6', 'NAME:VALUE'],
  ])('says what is wrong (%#)', (text, where, expected) => {
    const said = refused(() => readCalendar(text, 'c.ics'));
    expect(said).toContain(where);
    expect(said).toContain(expected);
  });
});
