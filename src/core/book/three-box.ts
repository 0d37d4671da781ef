import { fromInches, tidy } from '../measure/length';
import type { Book, Mark, Region } from './book';

const COLUMN = 38.1;
const GAP = 2;
const COIL = 11.4;
const HEADER = { y: 17, h: 12 };
const STRIP = { y: 205, h: 12.7 };
const LABEL = 5.8;
const BOX = 48.3;
const FIRST_ROW = 32;
const ROW_PITCH = LABEL + BOX + 2;
const ROWS = ['morning', 'day', 'evening'].map((label, i) => ({
  y: tidy(FIRST_ROW + i * ROW_PITCH),
  h: LABEL + BOX,
  label,
}));
const LEFT_COLUMNS = [6, 6 + COLUMN + GAP, 6 + 2 * (COLUMN + GAP), 6 + 3 * (COLUMN + GAP)].map(tidy);
const RIGHT_COLUMNS = LEFT_COLUMNS.map((x) => tidy(x + COIL - 4));

/** Wide pages, 7 x 9 in on a coil; three printed boxes a day, sidebar, bottom strip. Sizes from memory. */
export const threeBox: Book = {
  format: 'hobnail.book/1',
  name: 'Three-box week, 7 × 9 in',
  unit: 'in',
  weekStart: 'monday',
  dated: true,
  binding: { kind: 'coil', width: COIL },
  pages: [
    { width: fromInches(7), height: fromInches(9), bindingSide: 'right' },
    { width: fromInches(7), height: fromInches(9), bindingSide: 'left' },
  ],
  regions: [
    { id: 'sidebar', kind: 'sidebar', page: 0, x: LEFT_COLUMNS[0]!, y: HEADER.y, w: COLUMN, h: 185.4 },
    ...place(0).flatMap(dayRegions),
    ...place(1).flatMap(dayRegions),
    {
      id: 'strip-left',
      kind: 'bottom-strip',
      page: 0,
      x: LEFT_COLUMNS[0]!,
      y: STRIP.y,
      w: tidy(4 * COLUMN + 3 * GAP),
      h: STRIP.h,
    },
    {
      id: 'strip-right',
      kind: 'bottom-strip',
      page: 1,
      x: RIGHT_COLUMNS[0]!,
      y: STRIP.y,
      w: tidy(4 * COLUMN + 3 * GAP),
      h: STRIP.h,
    },
    { id: 'title', kind: 'top-strip', page: 0, x: LEFT_COLUMNS[0]!, y: 5, w: tidy(4 * COLUMN + 3 * GAP), h: 9 },
  ],
  marks: [
    { kind: 'box', page: 0, x: LEFT_COLUMNS[0]!, y: HEADER.y, w: COLUMN, h: BOX },
    ...[0, 1, 2, 3, 4].map((i): Mark => ({
      kind: 'line',
      page: 0,
      x: LEFT_COLUMNS[0]!,
      y: 80 + i * 25,
      w: COLUMN,
      h: 0.3,
    })),
    ...place(0).flatMap(dayMarks),
    ...place(1).flatMap(dayMarks),
    { kind: 'box', page: 0, x: LEFT_COLUMNS[0]!, y: STRIP.y, w: tidy(4 * COLUMN + 3 * GAP), h: STRIP.h },
    { kind: 'label', page: 0, x: LEFT_COLUMNS[0]! + 1.5, y: STRIP.y + 1.5, w: 12, h: 3 },
    { kind: 'box', page: 1, x: RIGHT_COLUMNS[0]!, y: STRIP.y, w: tidy(4 * COLUMN + 3 * GAP), h: STRIP.h },
    { kind: 'line', page: 0, x: LEFT_COLUMNS[0]!, y: 14, w: tidy(4 * COLUMN + 3 * GAP), h: 0.4 },
  ],
};

function place(page: number): { page: number; day: number; x: number }[] {
  return page === 0
    ? LEFT_COLUMNS.slice(1).map((x, i) => ({ page, day: i, x }))
    : RIGHT_COLUMNS.map((x, i) => ({ page, day: i + 3, x }));
}

function dayRegions({ page, day, x }: { page: number; day: number; x: number }): Region[] {
  return [
    { id: `header-${day}`, kind: 'date-header', page, day, x, y: HEADER.y, w: COLUMN, h: HEADER.h },
    { id: `day-${day}`, kind: 'day', page, day, x, y: 31, w: COLUMN, h: 171.4, rows: ROWS },
  ];
}

function dayMarks({ page, x }: { page: number; x: number }): Mark[] {
  return [
    { kind: 'box', page, x, y: HEADER.y, w: COLUMN, h: HEADER.h },
    { kind: 'circle', page, x: tidy(x + COLUMN / 2 - 4), y: HEADER.y + 2, w: 8, h: 8 },
    ...ROWS.flatMap(({ y, h }): Mark[] => [
      { kind: 'label', page, x: tidy(x + 1), y: tidy(y + 1.4), w: 14, h: 3 },
      { kind: 'box', page, x, y: tidy(y + LABEL), w: COLUMN, h: tidy(h - LABEL) },
    ]),
  ];
}
