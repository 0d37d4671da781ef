import { centerY } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

/** So near above itself, and so near in the neighbor column, a picture is seen as a repeat, mm. From memory. */
const NEAR = 70;
const BESIDE = 20;
const TWICE = 12;
const IN_LINE = 4;

/** Never the same picture under itself, nor beside itself; a box that was added neither. */
export const twins: Term = {
  name: 'twins',
  says: 'the same picture twice, close together',
  ofDay({ byDay, columns }, day) {
    const here = (byDay[day] ?? []).filter(isLookedAt);
    const before = columns[day - 1]?.page === columns[day]?.page ? (byDay[day - 1] ?? []).filter(isLookedAt) : [];
    const repeats = (p: Mark, of: readonly Mark[], near: number): number =>
      of.filter((q) => q.design === p.design && (p.isFinish || q.isFinish) && Math.abs(centerY(q) - centerY(p)) < near)
        .length;
    return here.reduce(
      (sum, p, i) => sum + repeats(p, here.slice(i + 1), NEAR) * TWICE + repeats(p, before, BESIDE) * IN_LINE,
      0,
    );
  },
};

const isLookedAt = (m: Mark): boolean =>
  m.kind === 'full-box' || m.kind === 'half-box' || (m.kind === 'deco' && m.isFinish);
