import { PAPER } from '../measure/paper';
import { tidy } from '../measure/length';
import type { Book, Mark, Region } from './book';

const COLUMN = 28.8;
const GAP = 1;
const HEADER = { y: 8, h: 9 };
const DAY = { y: 18, h: 140 };
const STRIP = { y: 160, h: 9 };
const GUIDES = [41, 64, 87, 110, 133];
const LEFT = [2.6, 3.6 + COLUMN, 4.6 + 2 * COLUMN, 5.6 + 3 * COLUMN].map(tidy);
const RIGHT = LEFT.map((x) => tidy(x + 1.2));
const WIDE = tidy(4 * COLUMN + 3 * GAP);
const DAYS = [
  ...LEFT.slice(1).map((x, i) => ({ page: 0, day: i, x })),
  ...RIGHT.map((x, i) => ({ page: 1, day: i + 3, x })),
];

/** A small sewn book: ISO B6 pages, undated, open columns with five faint guide lines. Column width from memory. */
export const openB6: Book = {
  format: 'hobnail.book/1',
  name: 'Open week, B6',
  unit: 'mm',
  weekStart: 'monday',
  dated: false,
  binding: { kind: 'sewn', width: 3.5 },
  pages: [
    { ...PAPER.B6, bindingSide: 'right' },
    { ...PAPER.B6, bindingSide: 'left' },
  ],
  regions: [
    { id: 'sidebar', kind: 'sidebar', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: 150 },
    ...DAYS.flatMap(({ page, day, x }): Region[] => [
      { id: `header-${day}`, kind: 'date-header', page, day, x, y: HEADER.y, w: COLUMN, h: HEADER.h },
      { id: `flag-${day}`, kind: 'month-flag', page, day, x: tidy(x + COLUMN - 8), y: 2, w: 8, h: 4.5 },
      { id: `day-${day}`, kind: 'day', page, day, x, y: DAY.y, w: COLUMN, h: DAY.h },
    ]),
    { id: 'strip-left', kind: 'bottom-strip', page: 0, x: LEFT[0]!, y: STRIP.y, w: WIDE, h: STRIP.h },
    { id: 'strip-right', kind: 'bottom-strip', page: 1, x: RIGHT[0]!, y: STRIP.y, w: WIDE, h: STRIP.h },
  ],
  marks: [
    { kind: 'box', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: 36 },
    ...DAYS.flatMap(({ page, x }): Mark[] => [
      { kind: 'line', page, x, y: tidy(HEADER.y + HEADER.h - 0.3), w: COLUMN, h: 0.3 },
      { kind: 'circle', page, x: tidy(x + 1), y: tidy(HEADER.y + 0.8), w: 7, h: 7 },
      { kind: 'label', page, x: tidy(x + COLUMN - 8), y: 2.5, w: 7, h: 3 },
      ...GUIDES.map((y): Mark => ({ kind: 'line', page, x, y, w: COLUMN, h: 0.2 })),
    ]),
    { kind: 'line', page: 0, x: LEFT[0]!, y: STRIP.y, w: WIDE, h: 0.3 },
    { kind: 'line', page: 1, x: RIGHT[0]!, y: STRIP.y, w: WIDE, h: 0.3 },
  ],
};
