import { bottom, centerX, intersect, right } from '../../measure/rect';
import type { Mark } from '../sight';
import { picturesOf } from '../sight';
import type { Term } from '../term';

/** Pieces this near keep each other company, mm. From memory. */
const NEAR = 1.3;
/** A picture this wide, as a share of its column, may stand alone. From memory. */
const LARGE = 0.7;
const ALONE = 14;
/** Beside something, not upon it: less good than the corner of a box or of another picture. From memory. */
const BESIDE = 7;
/** A small picture this near to the middle of its column looks hung there, mm. From memory. */
const MIDDLE = 1.5;
const ON_AXIS = 4;

/**
 * Deco in company: at a box, under a label, with another picture; small and alone on the axis of a column it floats.
 */
export const company: Term = {
  name: 'company',
  says: 'pictures that float by themselves',
  ofDay({ columns, byDay }, day) {
    const column = columns[day];
    const marks = byDay[day] ?? [];
    if (!column) return 0;
    return picturesOf(marks)
      .filter((p) => p.w < column.w * LARGE)
      .reduce((sum, p) => {
        const others = marks.filter((m) => m !== p);
        const alone = others.some((m) => isUpon(p, m)) ? 0 : others.some((m) => isNear(p, m)) ? BESIDE : ALONE;
        return sum + alone + (Math.abs(centerX(p) - centerX(column)) < MIDDLE ? ON_AXIS : 0);
      }, 0);
  },
};

const isUpon = (a: Mark, b: Mark): boolean => !b.written && b.kind !== 'header' && intersect(a, b) !== null;

const isNear = (a: Mark, b: Mark): boolean =>
  b.x - right(a) < NEAR && a.x - right(b) < NEAR && b.y - bottom(a) < NEAR && a.y - bottom(b) < NEAR;
