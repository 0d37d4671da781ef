import { centerX } from '../../measure/rect';
import { companyOf, isLarge } from '../company';
import { picturesOf } from '../sight';
import type { Term } from '../term';

const ALONE = 14;
/** Beside something, not upon it: less good than the corner of a box or of another picture. From memory. */
const COSTS = { upon: 0, beside: 7 };
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
      .filter((p) => !isLarge(p, column))
      .reduce((sum, p) => {
        const with_ = companyOf(p, marks);
        return sum + (with_ ? COSTS[with_] : ALONE) + (Math.abs(centerX(p) - centerX(column)) < MIDDLE ? ON_AXIS : 0);
      }, 0);
  },
};
