import { USUAL_HABITS } from './options/registry';
import type { Manner } from './manner';
import { USUAL_WORK } from './manner';
import { USUAL_WAYS } from './ways/registry';

/**
 * Grounded: no bottom washi; the full boxes stand in line on the bottom edge, the list starts above the printed top
 * (handbook 5).
 */
export const grounded: Manner = {
  name: 'grounded',
  says: 'No bottom washi: all full boxes stand in line on the bottom edge, the lists start high.',
  habits: { ...USUAL_HABITS, bottomWashi: 'none' },
  ways: { ...USUAL_WAYS, stand: 'floor', raised: true, lists: 'top' },
  work: { ...USUAL_WORK, boxesFirst: true },
};
