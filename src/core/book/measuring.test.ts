import { MEASURES } from '../../../tests/samples';
import { PDFDocument } from 'pdf-lib';
import fc from 'fast-check';
import { printFonts } from '../../server/fonts';
import { bookPdf } from '../format/book-pdf';
import { readBook, writeBook } from '../format/book-json';
import { ruled } from '../measure/fraction';
import { parseLength } from '../measure/parse-length';
import { contains } from '../measure/rect';
import type { Part } from './change-book';
import { addMark, addRegion, placeOf, removePart, repeatRight, setPlace, setRegion } from './change-book';
import { openPaper } from './columns';
import type { Measures } from './from-measures';
import { bookFromMeasures, faultsOfMeasures } from './from-measures';
import { threeBox } from './three-box';

const measures: Measures = {
  ...MEASURES,
  name: 'mine',
  weekStart: 'sunday',
  binding: { kind: 'rings', width: 12 },
};

describe('a book from its measures', () => {
  it.each([2, 4] as const)('is whole, on %i pages, and out of the binding', (pages) => {
    const book = bookFromMeasures({ ...measures, pages, column: pages === 4 ? 60 : 37 });
    expect(readBook(writeBook(book), 'x')).toEqual(book);
    for (const r of book.regions) expect(contains(openPaper(book, r.page), r)).toBe(true);
    expect(book.regions.find((r) => r.kind === 'day')?.rows).toHaveLength(3);
  });
  it('says what does not add up, with the millimeters', () => {
    expect(faultsOfMeasures(measures)).toEqual([]);
    expect(faultsOfMeasures({ ...measures, column: 45 })).toEqual([
      'The columns with their margin and the binding take 204 mm, and the page is 178 mm wide.',
    ]);
    expect(faultsOfMeasures({ ...measures, dayHeight: 300 }).join()).toContain('below the page');
  });
});

describe('changing a book', () => {
  const day: Part = { of: 'region', id: 'day-0' };
  it('moves and sizes within the page only', () => {
    expect(placeOf(setPlace(threeBox, day, { x: 170, y: -5 }), day)).toMatchObject({ x: 139.7, y: 0, w: 38.1 });
    expect(placeOf(setPlace(threeBox, { of: 'mark', at: 0 }, { w: 20 }), { of: 'mark', at: 0 })?.w).toBe(20);
  });
  it('gives a fresh column the first day that has none, and takes parts away', () => {
    const without = removePart(threeBox, { of: 'region', id: 'day-4' });
    const { book, part } = addRegion(without, 'day', 1, { x: 60, y: 31, w: 38, h: 100 });
    expect(book.regions.at(-1)).toMatchObject({ kind: 'day', day: 4 });
    expect(removePart(book, part).regions).toHaveLength(without.regions.length);
    expect(addMark(book, 'line', 0, { x: 1, y: 1, w: 30, h: 0 }).book.marks.at(-1)).toMatchObject({ h: 0.1 });
  });
  it('repeats across the page, days counting on, no further than the paper', () => {
    const one = { ...threeBox, regions: threeBox.regions.filter((r) => r.kind !== 'day' || r.day === 0) };
    const again = repeatRight(one, day, 9, 40.1);
    expect(again.regions.filter((r) => r.kind === 'day').map((r) => [r.day, Math.round(r.x)])).toEqual([
      [0, 46],
      [1, 86],
      [2, 126],
    ]);
  });
  it('keeps days and rows only where the kind has them', () => {
    expect(setRegion(threeBox, 'day-0', { kind: 'free' }).regions.find((r) => r.id === 'day-0')).toEqual({
      id: 'day-0',
      kind: 'free',
      page: 0,
      x: 46.1,
      y: 31,
      w: 38.1,
      h: 171.4,
    });
  });
});

describe('a length as typed', () => {
  it.each([
    ['38.1', 'mm', 38.1],
    ['38,1 mm', 'in', 38.1],
    ['1 1/2', 'in', 38.1],
    ['3/16"', 'mm', 4.76],
    ['4 cm', 'in', 40],
    ['-2', 'mm', -2],
    ['1-1/2 in', 'mm', 38.1],
  ] as const)('%s in %s is %d mm', (text, unit, mm) => expect(parseLength(text, unit)).toBe(mm));
  it.each(['', 'two', '1/0', '1..2', '1 1 1/2'])('%p is none', (text) => expect(parseLength(text, 'in')).toBeNull());
  it('reads what is shown, to the sixteenth', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 300, noNaN: true }), (mm) => {
        expect(Math.abs((parseLength(ruled(mm, 'in'), 'in') as number) - mm)).toBeLessThanOrEqual(25.4 / 32 + 0.01);
      }),
      { numRuns: 200, seed: 1 },
    );
  });
});

it('the test print has every page at 100 %, and a card', async () => {
  const bytes = await bookPdf(threeBox, printFonts());
  const pdf = await PDFDocument.load(bytes);
  expect(pdf.getPageCount()).toBe(3);
  expect(pdf.getPage(0).getWidth()).toBeCloseTo((Math.max(210, 177.8 + 32) * 72) / 25.4, 1);
  expect(Buffer.from(await bookPdf(threeBox, printFonts())).equals(Buffer.from(bytes))).toBe(true);
});
