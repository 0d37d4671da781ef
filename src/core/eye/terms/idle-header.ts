import { bottom } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

/** Something of a header's section begins within so many mm under it. */
const SECTION = 15;
const IDLE = 14;

/** No header over nothing. */
export const idleHeader: Term = {
  name: 'idle header',
  says: 'headers that head nothing',
  ofDay: ({ byDay }, day) => (byDay[day] ?? []).filter((h, _, all) => isIdle(h, all)).length * IDLE,
};

/** True for a header under which nothing of a section begins. */
export const isIdle = (h: Mark, all: readonly Mark[]): boolean =>
  h.kind === 'header' &&
  h.layer === 0 &&
  !all.some((m) => m.kind !== 'header' && m.y > h.y && m.y <= bottom(h) + SECTION);
