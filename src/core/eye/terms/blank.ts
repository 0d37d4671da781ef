import { blanksOf } from '../blanks';
import { floats } from '../company';
import { lengthOf, wantedWhite } from '../../spread/free-room';
import { restDays } from '../../spread/rest-days';
import type { Term } from '../term';

/** A bare run up to this is a gap; from the second on it is a hole, mm. From memory. */
const GAP = 18;
const HOLE = 45;
/** What a mm beyond a gap costs, and one beyond a hole more. From memory. */
const PER_MM = 0.5;
const HOLE_MM = 1.4;

/** No blank by accident: a bare run costs by what it is longer than a gap, or than the white that is wanted (W1). */
export const blank: Term = {
  name: 'blank',
  says: 'bare paper that nobody asked for',
  ofDay(sight, day) {
    const column = sight.columns[day];
    if (!column || restDays(sight.context).has(day)) return 0;
    const white = wantedWhite(sight.context, day);
    const marks = sight.byDay[day] ?? [];
    const there = marks.filter((m) => !floats(m, marks, column));
    return blanksOf(column, there).reduce((sum, run) => {
      const long = lengthOf(run) - Math.max(GAP, white);
      const hole = lengthOf(run) - Math.max(HOLE, white);
      return sum + Math.max(0, long) * PER_MM + Math.max(0, hole) * HOLE_MM;
    }, 0);
  },
};
