import { fromInches, tidy } from '../measure/length';
import type { Book, Row } from './book';
import { daysIn, headedDay, inEveryDay } from './week-grid';

const COLUMN = 38.1;
const GAP = 2;
const PITCH = COLUMN + GAP;
const COIL = 11.4;
const HEADER = { y: 12, h: 11 };
const DAY = { y: 25, h: 189 };
const FIRST_HOUR = 6;
const HOURS = 16;
const HOUR = 11.5;
const TOP = 29;
const LEFT = [6, 6 + PITCH, 6 + 2 * PITCH, 6 + 3 * PITCH].map(tidy);
const RIGHT = LEFT.map((x) => tidy(x + COIL - 4));
const DAYS = daysIn([LEFT.slice(1), RIGHT]);
const ROWS = Array.from({ length: HOURS }, (_, i): Row => ({
  y: tidy(TOP + i * HOUR),
  h: HOUR,
  label: String(FIRST_HOUR + i),
}));

/**
 * Hour lines from six in the morning to ten at night, 7 x 9 in on a coil; a row's label is its hour. Sizes from
 * memory.
 */
export const hourly: Book = {
  format: 'hobnail.book/1',
  name: 'Hourly week, 7 × 9 in',
  unit: 'in',
  weekStart: 'monday',
  dated: true,
  binding: { kind: 'coil', width: COIL },
  pages: [
    { width: fromInches(7), height: fromInches(9), bindingSide: 'right' },
    { width: fromInches(7), height: fromInches(9), bindingSide: 'left' },
  ],
  regions: [
    { id: 'sidebar', kind: 'sidebar', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: tidy(DAY.y + DAY.h - HEADER.y) },
    ...DAYS.flatMap((d) => headedDay(d, COLUMN, HEADER, DAY).map((r) => (r.kind === 'day' ? { ...r, rows: ROWS } : r))),
  ],
  marks: [
    { kind: 'box', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: 44 },
    ...inEveryDay(DAYS, 'box', { dx: 0, y: HEADER.y, w: COLUMN, h: HEADER.h }),
    ...inEveryDay(DAYS, 'label', { dx: 2, y: HEADER.y + 4, w: 14, h: 3 }),
    ...ROWS.flatMap((r) => [
      ...inEveryDay(DAYS, 'line', { dx: 0, y: r.y, w: COLUMN, h: 0.2 }),
      ...inEveryDay(DAYS, 'label', { dx: 0.4, y: tidy(r.y + 0.8), w: 2.6, h: 2.2 }),
    ]),
  ],
};
