import { readBook, writeBook } from '../format/book-json';
import { fromInches } from '../measure/length';
import { contains, intersect } from '../measure/rect';
import { openPaper, regionsOf, runsOfDays } from './columns';
import { BOOKS } from './registry';

describe.each(Object.entries(BOOKS))('the book %s', (_, book) => {
  it('reads back from its own file', () => expect(readBook(writeBook(book), 'x.book.json')).toEqual(book));

  it('keeps every region out of the binding and off the others', () => {
    for (const r of book.regions) expect(contains(openPaper(book, r.page), r)).toBe(true);
    const places = book.regions.filter((r) => r.kind !== 'free');
    for (const a of places)
      for (const b of places) if (a !== b && a.page === b.page) expect(intersect(a, b)).toBeNull();
  });

  it('has seven columns, three left and four right or two a page, each with its header', () => {
    expect(runsOfDays(book, [0, 1, 2, 3, 4, 5, 6]).map((r) => r.days)).toEqual(
      book.pages.length === 4
        ? [[0], [1, 2], [3, 4], [5, 6]]
        : [
            [0, 1, 2],
            [3, 4, 5, 6],
          ],
    );
    expect(regionsOf(book, 'date-header')).toHaveLength(7);
    expect(book.marks.length).toBeGreaterThan(20);
  });
});

it('has the sizes it says: 7 × 9 in and ISO B6', () => {
  expect(BOOKS['three-box']?.pages[0]).toMatchObject({ width: fromInches(7), height: fromInches(9) });
  expect(BOOKS['open-b6']?.pages[0]).toMatchObject({ width: 125, height: 176 });
  expect(BOOKS['disc-open']?.pages[1]).toMatchObject({ width: fromInches(7), height: fromInches(9.25) });
  expect(BOOKS['wide-undated']?.pages[1]).toMatchObject({ width: fromInches(7), height: fromInches(9) });
  expect(BOOKS['four-page']?.pages[3]).toMatchObject({ width: 148, height: 210 });
  expect(regionsOf(BOOKS['open-b6'] as never, 'day')[0]?.w).toBeCloseTo(29, 0);
});
