import { bottom } from '../../measure/rect';
import { restDays } from '../../spread/rest-days';
import type { Term } from '../term';

/** Less of a piece than this in a row is its neighbor's edge, mm. From memory. */
const EDGE = 4;
const EMPTY = 9;

/** Where each row of a day has its job, none stays empty (handbook 5, three rows). */
export const emptyRow: Term = {
  name: 'empty row',
  says: 'rows with nothing in them',
  ofDay: ({ byDay, rows, context }, day) =>
    restDays(context).has(day)
      ? 0
      : (rows[day] ?? []).filter(
          (row) => !(byDay[day] ?? []).some((m) => Math.min(bottom(m), row.y + row.h) - Math.max(m.y, row.y) > EDGE),
        ).length * EMPTY,
};
