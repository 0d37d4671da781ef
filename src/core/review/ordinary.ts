import type { Finding } from './finding';

/** Rules that in nearly every week tell no more than a step of the work: white-out, writing by the binding. */
const ORDINARY: ReadonlySet<string> = new Set(['B1', 'P3']);

/**
 * True for what is a step of the work rather than something amiss: it is told as a total beside its step, and as a
 * finding only where it is worse than that.
 */
export const isOrdinary = (f: Pick<Finding, 'rule' | 'severity'>): boolean =>
  f.severity === 'look' && ORDINARY.has(f.rule);
