import { columnInBook, openBook } from './open-book';
import { BOOKS } from './registry';
import { threeBox } from './three-box';

it('a column is where the drawing of the open book has it, with its header', () => {
  const thursday = columnInBook(threeBox, 3)!;
  const region = threeBox.regions.find((r) => r.kind === 'day' && r.day === 3)!;
  expect(region.page).toBe(1);
  expect(thursday.x).toBeCloseTo(threeBox.pages[0]!.width + region.x - 1.5, 5);
  expect(thursday.h).toBeGreaterThan(region.h);
});

it('of each book it lies within the open pages', () => {
  for (const book of Object.values(BOOKS))
    for (const day of [0, 1, 2, 3, 4, 5, 6]) {
      const column = columnInBook(book, day)!;
      const { w, h } = openBook(book);
      expect(column.x).toBeGreaterThan(-2);
      expect(column.x + column.w).toBeLessThan(w + 2);
      expect(column.y + column.h).toBeLessThan(h + 2);
    }
  expect(columnInBook({ ...threeBox, regions: [] }, 0)).toBeNull();
});
