import type { Bench } from '../../bench/bench';
import type { Cut } from '../../bench/cuts';

/** The number of the step that makes each cut. */
export const stepsOfCuts = ({ steps }: Bench): ReadonlyMap<Cut, number> =>
  new Map(steps.flatMap((s) => (s.about.is === 'cut' ? [[s.about.cut, s.n] as const] : [])));
