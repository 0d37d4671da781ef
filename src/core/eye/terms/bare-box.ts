import type { Kind } from '../../kit/kinds';
import { intersect } from '../../measure/rect';
import type { Mark } from '../sight';
import type { Term } from '../term';

/** By kind: a low one is an empty label. From memory. */
const BARE: Partial<Record<Kind, number>> = { 'half-box': 6, 'third-box': 7, 'quarter-box': 10, checklist: 6 };
/** A full box with a pattern is prettier with a picture at its corner; a scene is one itself. From memory. */
const PLAIN = 8;

/** A box to write on that nothing is written or lies on looks left over; a full one less so. */
export const bareBox: Term = {
  name: 'bare box',
  says: 'boxes with nothing on them',
  ofDay: ({ byDay }, day) =>
    (byDay[day] ?? [])
      .filter((m, _, all) => !m.written && !all.some((o) => o.layer > m.layer && dresses(o) && intersect(o, m)))
      .reduce((sum, m) => sum + bareness(m), 0),
};

/** A picture, an icon, a word, what is written; another bare box upon it does not. */
const dresses = ({ kind, written }: Mark): boolean => written || kind === null || !(kind in BARE);

function bareness({ kind, isFinish, isPlain }: Mark): number {
  if (kind === 'full-box') return isPlain ? PLAIN : 0;
  return isFinish && kind !== null ? (BARE[kind] ?? 0) : 0;
}
