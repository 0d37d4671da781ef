import fc from 'fast-check';
import { checkMarkup } from '../../../tests/xml';
import { context, demand, demoKit, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { benchOf } from '../bench/bench';
import { BOOKS } from '../book/registry';
import { threeBox } from '../book/three-box';
import { arrange } from '../arrange/arrange';
import { KIND_NAMES, SHAPES, FINISHES, FACES, WRITABLE } from '../kit/kinds';
import { MANNERS } from '../manner/registry';
import { readBook, writeBook } from './book-json';
import { readCalendar } from './calendar';
import { cutsSvg } from './cuts-svg';
import { BadInput, faultLine, quoted } from './fault';
import { readKit, writeKit } from './kit-csv';
import { readOptions } from './options-json';
import { readOrders, writeOrders } from './orders-csv';
import { parseJson } from './parse-json';
import { spreadSvg } from './spread-svg';

/** The faults of a reader that must refuse. */
function faultsOf(read: () => unknown): string[] {
  try {
    read();
  } catch (error) {
    if (error instanceof BadInput) return error.faults.map(faultLine);
    throw error;
  }
  throw new Error('it was accepted');
}

const HEAD = 'code,kind,count,width_mm,height_mm';
/** What people write into cells: quotes, separators, formulas, other scripts. */
const words = fc.constantFrom(
  '',
  'to do',
  'a,b',
  'a;b',
  'say "hi"',
  '=1+1',
  '@home',
  '-',
  '合唱',
  'café 🐕',
  "o'clock",
);
const size = fc.integer({ min: 1, max: 5999 }).map((n) => n / 10);

describe('a kit file', () => {
  const anyPiece = fc.record({
    kind: fc.constantFrom(...KIND_NAMES),
    count: fc.integer({ min: 0, max: 10_000 }),
    width: size,
    height: size,
    sheet: fc.integer({ min: 1, max: 1000 }),
    shape: fc.constantFrom(...SHAPES),
    color: fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`),
    words: words.map((w) => w.trim()),
    writable: fc.constantFrom(...WRITABLE),
    finish: fc.constantFrom(...FINISHES),
    faces: fc.constantFrom(...FACES),
    opacity: fc.constantFrom(0, 0.55, 1),
    rows: fc.integer({ min: 1, max: 60 }),
  });
  it('gives back whatever it was written from, and nothing of it is run by a spreadsheet', () => {
    fc.assert(
      fc.property(fc.array(anyPiece, { minLength: 1, maxLength: 8 }), (list) => {
        const kit = {
          name: 'k',
          pieces: list.map((p, i) => piece({ ...p, kit: 'k', code: `C-${i}`, accent: p.color })),
        };
        const csv = writeKit(kit);
        expect(csv).not.toMatch(/(?:^|[,"])[=+@]/m);
        expect(readKit(csv, 'k.kit.csv', 'k').pieces).toEqual(kit.pieces);
      }),
      { numRuns: 150, seed: 21 },
    );
  });

  it('never has a kit of half of its lines: what is refused is refused whole', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.constantFrom('0', 'x', '-1', '1e3', ''), (at, bad) => {
        const lines = Array.from({ length: 10 }, (_, i) => `c${i},icon,1,${i === at ? bad : 9},9`);
        const [only, ...others] = faultsOf(() => readKit([HEAD, ...lines].join('\n'), 'k.csv', 'k'));
        expect(only).toContain(`line ${at + 2}, width_mm`);
        expect(others).toEqual([]);
      }),
      { seed: 22 },
    );
  });

  it('with a column twice is refused, since either could be meant; columns nobody knows may come twice', () => {
    expect(faultsOf(() => readKit(`${HEAD},Count\na,icon,1,9,9,7`, 'k.csv', 'k'))).toEqual([
      'k.csv, line 1: found two columns named count, expected each column once',
    ]);
    expect(readKit(`${HEAD},note,note\na,icon,1,9,9,x,y`, 'k.csv', 'k').pieces).toHaveLength(1);
  });

  it('of more designs than any table holds is refused at once', () => {
    const text = [HEAD, ...Array.from({ length: 20_001 }, (_, i) => `c${i},icon,1,9,9`)].join('\n');
    expect(faultsOf(() => readKit(text, 'k.csv', 'k'))).toEqual([
      'k.csv, the whole file: found 20001 designs, expected at most 20000',
    ]);
  });

  it('tells forty faults and no more', () => {
    const text = [HEAD, ...Array.from({ length: 500 }, (_, i) => `c${i},icon,1,0,9`)].join('\n');
    expect(faultsOf(() => readKit(text, 'k.csv', 'k'))).toHaveLength(40);
  });

  it.each(['constructor', '__proto__', 'toString'])('may have a code, a kind of words and an icon %s', (word) => {
    const kit = readKit(`${HEAD},words,icon\n${word},icon,1,9,9,${word},${word}`, 'k.csv', 'k');
    expect(kit.pieces[0]).toMatchObject({ code: word, words: word, icon: word.toLowerCase() });
    expect(faultsOf(() => readKit(`${HEAD}\na,${word},1,9,9`, 'k.csv', 'k'))[0]).toContain('kind');
  });
});

describe('JSON', () => {
  it.each([
    ['{"gap": NaN}', 'line 1', '"NaN}"'],
    ['{\n"gap": 2,\n"headers": undefined\n}', 'line 3', '"undefined'],
    ['{\n"gap": 2\n"headers": "same"\n}', 'line 3', '"\\"headers\\"'],
    ['{"gap": 2', 'line 1', 'the end of the file'],
    ['{"gap": 2} extra', 'line 1', 'extra'],
    ['', 'line 1', 'the end of the file'],
    ['{\n// two\n"gap": 2}', 'line 2', '// two'],
  ])('%j stops making sense at %s', (text, where, found) => {
    const [said] = faultsOf(() => parseJson(text, 'o.json'));
    expect(said).toContain(`o.json, ${where}: found`);
    expect(said?.replace(/^.*found /, '')).toContain(found.replace(/\\"/g, '"').replace(/^"/, ''));
  });
  it('is read with the mark that some programs put before it', () =>
    expect(parseJson('\uFEFF{"gap": 2}', 'o.json')).toEqual({ gap: 2 }));
  it.each([
    ['lists', '['],
    ['objects', '{"a":'],
  ])('of a hundred thousand %s one in another is refused in a moment', (_, open) => {
    const [said] = faultsOf(() => parseJson(`\n${open.repeat(100_000)}`, 'o.json'));
    expect(said).toContain('o.json, line 2: found more than 60 levels');
  });
  it('may have any number of brackets in its texts', () => {
    const text = '[{'.repeat(500);
    expect(parseJson(JSON.stringify({ text, more: '\\"[' }), 'o.json')).toEqual({ text, more: '\\"[' });
  });
  it('gives back what was written, whatever it is', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (value) =>
        expect(parseJson(JSON.stringify(value), 'o.json')).toEqual(JSON.parse(JSON.stringify(value))),
      ),
      { numRuns: 200, seed: 23 },
    );
  });
});

describe('options', () => {
  it.each(['constructor', '__proto__', 'toString', 'ways.constructor'])('know no key %s', (key) => {
    const [outer, inner] = key.split('.') as [string, string?];
    const text = inner ? `{"${outer}":{"${inner}":1}}` : `{"${outer}":1}`;
    expect(faultsOf(() => readOptions(text, 'o.json'))[0]).toContain('an unknown key');
  });
  it('are an object', () => {
    for (const text of ['[]', '7', 'null', '"gap"'])
      expect(faultsOf(() => readOptions(text, 'o.json'))).toHaveLength(1);
  });
});

describe('a book file', () => {
  it.each(Object.entries(BOOKS))('of %s is read back the same', (_, book) =>
    expect(readBook(writeBook(book), 'b.book.json')).toEqual(book),
  );
  it('with a row outside its column is refused, with the millimeters', () => {
    const rows = [{ y: 190, h: 40 }];
    const book = { ...threeBox, regions: threeBox.regions.map((r) => (r.id === 'day-2' ? { ...r, rows } : r)) };
    expect(faultsOf(() => readBook(writeBook(book), 'b.book.json'))).toEqual([
      expect.stringMatching(
        /"day-2"\.rows\[0\]: found 190 to 230 mm, expected a row inside its column, 31 to 202\.4 mm/,
      ),
    ]);
  });
});

describe('a time in a calendar', () => {
  const read = (time: string) =>
    readCalendar(
      ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:a', `DTSTART:${time}`, 'SUMMARY:x', 'END:VEVENT', 'END:VCALENDAR'].join(
        '\r\n',
      ),
      'c.ics',
    );
  it.each(['20270208T996000', '20270208T250000', '20270208T126000', '20270208T120075', '20270229T100000'])(
    '%s is none',
    (time) => expect(faultsOf(() => read(time))[0]).toMatch(/line 2, VEVENT "a", DTSTART/),
  );
  it.each(['20270208T000000', '20270208T235959', '20270208T235960', '20270208T240000', '20270208T100000Z'])(
    '%s is one',
    (time) => expect(read(time).root.getAllSubcomponents('vevent')).toHaveLength(1),
  );
});

describe('an order list', () => {
  const line = fc.record({
    what: words.filter((w) => w.trim() !== '' && !/^[=@-]/.test(w)),
    count: fc.integer({ min: 1, max: 9999 }),
    shop: words.filter((w) => !/^[=@-]/.test(w)),
    days: fc.integer({ min: 0, max: 365 }),
    neededBy: fc.constantFrom('2027-02-15', '2028-02-29'),
    state: fc.constantFrom('to order' as const, 'ordered' as const, 'here' as const),
  });
  it('gives back whatever it was written from', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) =>
        expect(readOrders(writeOrders(lines), 'o.csv')).toEqual(lines),
      ),
      { numRuns: 100, seed: 24 },
    );
  });
});

describe('a value in a fault', () => {
  it('is cut when it is long, and always said', () => {
    expect(quoted('x'.repeat(100))).toBe(`"${'x'.repeat(60)}…"`);
    expect([quoted(undefined), quoted(null), quoted(7), quoted({ a: 1 })]).toEqual([
      '"undefined"',
      '"null"',
      '"7"',
      '"{"a":1}"',
    ]);
  });
});

const withoutDeclaration = (svg: string): string => svg.replace(/^<\?xml[^>]*>/, '');

describe('the drawing of a spread', () => {
  const hostile = '<script>alert("1")</script> & \u0007 合唱';
  const week = weekWith(
    demand({ title: hostile, start: 600 }),
    demand({ key: 'b', uid: 'b', title: 'to buy', list: hostile, kind: 'to-do', day: 2 }),
    demand({ key: 'c', uid: 'c', title: hostile, kind: 'band', day: 3, lastDay: 5 }),
  );
  it.each(Object.keys(BOOKS).flatMap((book) => Object.keys(MANNERS).map((manner) => [book, manner] as const)))(
    'in %s, %s: is markup that no title breaks, as large as its pages',
    (name, manner) => {
      const book = BOOKS[name] ?? threeBox;
      const c = context({ book, manner, kit: demoKit('rockpool'), week });
      const placements = arrange(c);
      const { whiteOut, cuts } = benchOf(c, placements);
      const svg = spreadSvg(c, placements, whiteOut);
      checkMarkup(withoutDeclaration(svg));
      checkMarkup(withoutDeclaration(cutsSvg(c, cuts)));
      expect(svg).not.toContain('<script');
      expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      const width = book.pages.reduce((sum, p) => sum + p.width, 0);
      expect(Number(/width="([\d.]+)mm"/.exec(svg)?.[1])).toBeCloseTo(width, 1);
    },
  );
  it('leaves out what is in no kit at hand', () => {
    const c = context({ kit: kitOf(piece()) });
    expect(spreadSvg(c, [placement({ code: 'gone' })], [])).not.toContain('id="p1"');
  });
});
