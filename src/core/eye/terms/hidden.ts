import { hidesMoreThan } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

/** So much of a piece may lie under another one before it is lost there, as a share. From memory. */
const SHARE = 0.45;
const LOST = 8;

/** A picture or box of which another piece hides the better part might as well stay on its sheet. */
export const hidden: Term = {
  name: 'hidden',
  says: 'pieces that others hide',
  ofDay: ({ byDay }, day) => (byDay[day] ?? []).filter((m, _, all) => all.some((o) => hides(o, m))).length * LOST,
};

const hides = (over: Mark, under: Mark): boolean =>
  over.layer > under.layer && over.isFinish && !under.written && hidesMoreThan(SHARE, over, under);
