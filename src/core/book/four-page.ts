import { PAPER } from '../measure/paper';
import { tidy } from '../measure/length';
import type { Book } from './book';
import { daysIn, headedDay, inEveryDay } from './week-grid';

const COLUMN = 62;
const GAP = 4;
const RINGS = 12;
const HEADER = { y: 16, h: 11 };
const DAY = { y: 29, h: 152 };
const STRIP = { y: 185, h: 12 };
const WIDE = tidy(2 * COLUMN + GAP);
const OUTER = [4, 4 + COLUMN + GAP];
const INNER = OUTER.map((x) => x + RINGS);
const DAYS = daysIn([OUTER.slice(1), INNER, OUTER, INNER]);

/**
 * Four A5 pages a week in rings, two days a page, the weekend on a page of its own; the sidebar stands where an
 * eighth day would. Sizes from memory.
 */
export const fourPage: Book = {
  format: 'hobnail.book/1',
  name: 'Four-page week, A5',
  unit: 'mm',
  weekStart: 'monday',
  dated: false,
  binding: { kind: 'rings', width: RINGS },
  pages: [0, 1, 2, 3].map((n) => ({ ...PAPER.A5, bindingSide: n % 2 ? 'left' : 'right' })),
  regions: [
    {
      id: 'sidebar',
      kind: 'sidebar',
      page: 0,
      x: OUTER[0]!,
      y: HEADER.y,
      w: COLUMN,
      h: tidy(DAY.y + DAY.h - HEADER.y),
    },
    ...DAYS.flatMap((d) => headedDay(d, COLUMN, HEADER, DAY)),
    ...[0, 1, 2, 3].map((page) => ({
      id: `strip-${page}`,
      kind: 'bottom-strip' as const,
      page,
      x: (page % 2 ? INNER : OUTER)[0]!,
      y: STRIP.y,
      w: WIDE,
      h: STRIP.h,
    })),
  ],
  marks: [
    { kind: 'box', page: 0, x: OUTER[0]!, y: HEADER.y, w: COLUMN, h: 44 },
    ...inEveryDay(DAYS, 'box', { dx: 0, y: HEADER.y, w: COLUMN, h: HEADER.h }),
    ...inEveryDay(DAYS, 'circle', { dx: 1.5, y: HEADER.y + 1.5, w: 8, h: 8 }),
    ...[79, 130].flatMap((y) => inEveryDay(DAYS, 'line', { dx: 0, y, w: COLUMN, h: 0.2 })),
    ...[0, 1, 2, 3].map((page) => ({
      kind: 'line' as const,
      page,
      x: (page % 2 ? INNER : OUTER)[0]!,
      y: STRIP.y,
      w: WIDE,
      h: 0.3,
    })),
  ],
};
