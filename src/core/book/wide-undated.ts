import { fromInches, tidy } from '../measure/length';
import type { Book, Mark } from './book';
import { daysIn, headedDay, inEveryDay } from './week-grid';

const COLUMN = 38.1;
const GAP = 2;
const PITCH = COLUMN + GAP;
const COIL = 11.4;
const HEADER = { y: 3.2, h: 12 };
const DAY = { y: 17, h: 190 };
const STRIP = { y: 210, h: 12.7 };
const GUIDES = [48, 79, 110, 141, 172];
const LEFT = [6, 6 + PITCH, 6 + 2 * PITCH, 6 + 3 * PITCH].map(tidy);
const RIGHT = LEFT.map((x) => tidy(x + COIL - 4));
const DAYS = daysIn([LEFT.slice(1), RIGHT]);
const THREE = tidy(3 * COLUMN + 2 * GAP);
const FOUR = tidy(4 * COLUMN + 3 * GAP);

/**
 * Wide undated pages, 7 x 9 in on a coil: headers close to the top edge, open columns with faint guides, and a bottom
 * strip under the days only, so that an extender carries the washi into the sidebar. Sizes from memory.
 */
export const wideUndated: Book = {
  format: 'hobnail.book/1',
  name: 'Undated wide week, 7 × 9 in',
  unit: 'in',
  weekStart: 'monday',
  dated: false,
  binding: { kind: 'coil', width: COIL },
  pages: [
    { width: fromInches(7), height: fromInches(9), bindingSide: 'right' },
    { width: fromInches(7), height: fromInches(9), bindingSide: 'left' },
  ],
  regions: [
    {
      id: 'sidebar',
      kind: 'sidebar',
      page: 0,
      x: LEFT[0]!,
      y: HEADER.y,
      w: COLUMN,
      h: tidy(STRIP.y + STRIP.h - HEADER.y),
    },
    ...DAYS.flatMap((d) => headedDay(d, COLUMN, HEADER, DAY)),
    { id: 'strip-left', kind: 'bottom-strip', page: 0, x: LEFT[1]!, y: STRIP.y, w: THREE, h: STRIP.h },
    { id: 'strip-right', kind: 'bottom-strip', page: 1, x: RIGHT[0]!, y: STRIP.y, w: FOUR, h: STRIP.h },
  ],
  marks: [
    { kind: 'box', page: 0, x: LEFT[0]!, y: HEADER.y, w: COLUMN, h: 40 },
    ...inEveryDay(DAYS, 'box', { dx: 0, y: HEADER.y, w: COLUMN, h: HEADER.h }),
    ...inEveryDay(DAYS, 'circle', { dx: COLUMN - 10, y: HEADER.y + 2, w: 8, h: 8 }),
    ...GUIDES.flatMap((y) => inEveryDay(DAYS, 'line', { dx: 0, y, w: COLUMN, h: 0.2 })),
    strip(0, LEFT[1]!, THREE),
    strip(1, RIGHT[0]!, FOUR),
  ],
};

function strip(page: number, x: number, w: number): Mark {
  return { kind: 'box', page, x, y: STRIP.y, w, h: STRIP.h };
}
