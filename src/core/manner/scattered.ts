import { USUAL_HABITS } from './options/registry';
import type { Manner } from './manner';
import { USUAL_WORK } from './manner';
import { USUAL_WAYS } from './ways/registry';

/** Scattered: open columns, full boxes that rise and fall, the best one high in the middle of the week (handbook 5). */
export const scattered: Manner = {
  name: 'scattered',
  says: 'Open columns; full boxes rise and fall over the week and the days flow round them.',
  habits: USUAL_HABITS,
  ways: USUAL_WAYS,
  work: USUAL_WORK,
};
