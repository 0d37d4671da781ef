import { intersect } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

const BARE = 6;

/** A box to write on that nothing is written or lies on looks left over. */
export const bareBox: Term = {
  name: 'bare box',
  says: 'boxes with nothing on them',
  ofDay: ({ byDay }, day) => (byDay[day] ?? []).filter((m, _, all) => isBare(m, all)).length * BARE,
};

const isBare = (m: Mark, all: readonly Mark[]): boolean =>
  m.isFinish &&
  (m.kind === 'half-box' || m.kind === 'third-box') &&
  !m.written &&
  !all.some((o) => o.layer > m.layer && intersect(o, m));
