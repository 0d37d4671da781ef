import { fromInches, tidy } from '../measure/length';
import type { Book } from './book';
import { daysIn, headedDay, inEveryDay } from './week-grid';

const COLUMN = 38.1;
const GAP = 2;
const PITCH = COLUMN + GAP;
const DISCS = 9.5;
const HEADER = { y: 20, h: 11 };
const DAY = { y: 33, h: 196 };
const LEFT = [4.5, 4.5 + PITCH, 4.5 + 2 * PITCH, 4.5 + 3 * PITCH].map(tidy);
const RIGHT = LEFT.map((x) => tidy(x + DISCS - 0.5));
const DAYS = daysIn([LEFT.slice(1), RIGHT]);

/**
 * Pages on discs, 7 x 9.25 in, that come out to be written on; open columns between printed divider lines, no bottom
 * strip. Sizes from memory.
 */
export const discOpen: Book = {
  format: 'hobnail.book/1',
  name: 'Open week on discs, 7 × 9 1/4 in',
  unit: 'in',
  weekStart: 'monday',
  dated: true,
  binding: { kind: 'discs', width: DISCS },
  pages: [
    { width: fromInches(7), height: fromInches(9.25), bindingSide: 'right' },
    { width: fromInches(7), height: fromInches(9.25), bindingSide: 'left' },
  ],
  regions: [
    { id: 'sidebar', kind: 'sidebar', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: tidy(DAY.y + DAY.h - HEADER.y) },
    ...DAYS.flatMap((d) => headedDay(d, COLUMN, HEADER, DAY)),
  ],
  marks: [
    { kind: 'box', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: 44 },
    ...inEveryDay(DAYS, 'box', { dx: 0, y: HEADER.y, w: COLUMN, h: HEADER.h }),
    ...inEveryDay(DAYS, 'label', { dx: 2, y: HEADER.y + 4, w: 16, h: 3 }),
    ...inEveryDay(DAYS, 'line', { dx: COLUMN + GAP / 2 - 0.15, y: DAY.y, w: 0.3, h: DAY.h }).filter(
      (_, i) => i !== 2 && i !== 6,
    ),
    ...[98, 164].flatMap((y) => inEveryDay(DAYS, 'line', { dx: 0, y, w: COLUMN, h: 0.3 })),
  ],
};
