import { centerY } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

/** So near above itself, and so near in the neighbor column, a picture is seen as a repeat, mm. From memory. */
const NEAR = 70;
const BESIDE = 20;
const TWICE = 16;
const IN_LINE = 4;
/** The same picture in another color is that much of a repeat. From memory. */
const OTHER_COLOR = 0.6;

/** Never the same picture under itself, nor beside itself; a box that was added neither. */
export const twins: Term = {
  name: 'twins',
  says: 'the same picture twice, close together',
  looksAtDesigns: true,
  ofDay({ byDay, columns }, day) {
    const here = (byDay[day] ?? []).filter(isLookedAt);
    const before = columns[day - 1]?.page === columns[day]?.page ? (byDay[day - 1] ?? []).filter(isLookedAt) : [];
    const repeats = (p: Mark, of: readonly Mark[], near: number): number =>
      of
        .filter((q) => q.shows === p.shows && (p.isFinish || q.isFinish) && Math.abs(centerY(q) - centerY(p)) < near)
        .reduce((sum, q) => sum + (q.design === p.design ? 1 : OTHER_COLOR), 0);
    return here.reduce(
      (sum, p, i) => sum + repeats(p, here.slice(i + 1), NEAR) * TWICE + repeats(p, before, BESIDE) * IN_LINE,
      0,
    );
  },
};

const isLookedAt = (m: Mark): boolean =>
  m.kind === 'full-box' || m.kind === 'half-box' || (m.kind === 'deco' && m.isFinish);
