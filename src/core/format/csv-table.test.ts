import fc from 'fast-check';
import Papa from 'papaparse';
import { readTable, writeTable } from './csv-table';
import { BadInput } from './fault';

const NEEDED = ['what', 'count'];
const read = (text: string, optional: readonly string[] = ['note']) => readTable(text, 'a.csv', NEEDED, optional);
const cells = (text: string) =>
  read(text).rows.map((r) => [r.line, r.text('what'), r.whole('count', 0, 999), r.text('note')]);
const faultOf = (text: string): string => {
  try {
    read(text);
  } catch (error) {
    if (error instanceof BadInput) return error.message;
    throw error;
  }
  return 'it was taken';
};

describe('a table as a spreadsheet saves it is read the same', () => {
  it.each([
    ['commas', 'what,count,note\nheaders,7,blue\n'],
    ['semicolons', 'what;count;note\nheaders;7;blue\n'],
    ['tabs', 'what\tcount\tnote\nheaders\t7\tblue\n'],
    ['a mark of the byte order', '\uFEFFwhat,count,note\nheaders,7,blue\n'],
    ['the line ends of another system', 'what,count,note\r\nheaders,7,blue\r\n'],
    ['quotes', '"what","count","note"\n"headers","7","blue"\n'],
    ['names in capitals, with room round them', ' What , COUNT ,Note\n headers , 7 , blue \n'],
    ['columns in another order, and one that is not known', 'note,price,count,what\nblue,3,7,headers\n'],
    ['no line end at the last', 'what,count,note\nheaders,7,blue'],
  ])('%s', (_, text) => {
    expect(cells(text)).toEqual([[2, 'headers', 7, 'blue']]);
  });
  it('blank lines are passed over, and lines are counted as the file has them, also over a cell of several', () => {
    expect(cells('what,count,note\n\n"a\nb",1,\n,,\nc,2,\n')).toEqual([
      [3, 'a\nb', 1, ''],
      [6, 'c', 2, ''],
    ]);
  });
  it('a column that may be missing is empty', () => {
    expect(cells('what,count\nheaders,7\n')).toEqual([[2, 'headers', 7, '']]);
    expect(read('what,count\nheaders,7\n').rows[0]!.has('note')).toBe(false);
  });
});

it.each([
  ['nothing', '', 'line 1: found an empty file, expected a first line with the columns what, count'],
  ['a column too few', 'what,note\n', 'line 1: found the columns what, note, expected a column named count'],
  ['a column twice', 'what,count,count\n', 'found two columns named count, expected each column once'],
  ['a quote that never ends', 'what,count\n"headers,7\n', 'a quoted field that never ends'],
])('%s is refused with where and what', (_, text, said) => {
  expect(faultOf(text)).toContain(said);
});

describe('a cell', () => {
  const one = (value: string, column = 'count', head = 'what,count,note') => {
    const table = read(`${head}\nheaders,${value},\n`);
    return { row: table.rows[0]!, faults: table.faults, column };
  };
  it.each([
    ['7', 7, 0],
    ['-1', 1, 1],
    ['1000', 1, 1],
    ['seven', 1, 1],
    ['', 1, 1],
    ['7.5', 8, 1],
    ['1e2', 1, 1],
    ['0x7', 1, 1],
  ])('%j as a whole number from 0 to 999', (text, value, faults) => {
    const { row, faults: found } = one(text);
    expect([row.whole('count', 0, 999), found.length]).toEqual([value, faults]);
    if (faults) expect(found[0]).toMatchObject({ file: 'a.csv', where: 'line 2, count' });
  });
  it('has decimal commas only where the separator is a semicolon', () => {
    const semicolons = read('what;count;note\nheaders;1,5;\n').rows[0]!;
    expect(semicolons.length('count', 10)).toBe(1.5);
    const { row, faults } = one('"1,5"');
    expect([row.length('count', 10), faults.length]).toEqual([1, 1]);
  });
  it('is one of some words, the usual one where it is empty, and says which where it is none', () => {
    const table = read('what,count,note\nheaders,,RED\nheaders,,\nheaders,,mauve\n');
    const words = table.rows.map((r) => r.oneOf('note', ['red', 'blue'], 'blue'));
    expect(words).toEqual(['red', 'blue', 'blue']);
    expect(table.faults).toEqual([
      { file: 'a.csv', where: 'line 4, note', found: '"mauve"', expected: 'one of red, blue' },
    ]);
  });
  it('is a color, or the usual one', () => {
    const table = read('what,count,note\na,,#1F6F78\na,,\na,,Teal\na,,seaweed\n');
    expect(table.rows.map((r) => r.color('note', '#ffffff'))).toEqual(['#1f6f78', '#ffffff', '#008080', '#ffffff']);
    expect(table.faults).toHaveLength(1);
  });
  it('that is needed says so where it is empty', () => {
    const table = read('what,count,note\n,3,x\n');
    expect([table.rows[0]!.needed('what'), table.faults[0]!.found]).toEqual(['', 'nothing']);
  });
});

it('what is written is read by another reader (Papa Parse), and comes back as it was; no cell is a formula', () => {
  const cell = fc.string({ maxLength: 12 }).map((s) => s.trim().replace(/[\r\u0000]/g, ''));
  fc.assert(
    fc.property(
      fc.array(fc.tuple(cell.filter(Boolean), fc.integer({ min: 0, max: 999 })), { minLength: 1 }),
      (rows) => {
        const text = writeTable(['what', 'count'], rows);
        const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: true });
        expect(errors).toEqual([]);
        expect(data).toHaveLength(rows.length + 1);
        for (const [what] of data.slice(1)) expect(what).not.toMatch(/^[=+\-@\t\r]/);
        const back = readTable(text, 'a.csv', NEEDED, []).rows.map((r) => [r.text('what'), r.whole('count', 0, 999)]);
        expect(back).toEqual(rows.map(([what, count]) => [what.trim(), count]));
      },
    ),
    { seed: 7, numRuns: 200 },
  );
});

it('of more lines than any table has is refused at once', () => {
  expect(() => readTable('\n'.repeat(4_000_000), 'a.csv', ['code'], [])).toThrow('at most 50000 lines');
});
