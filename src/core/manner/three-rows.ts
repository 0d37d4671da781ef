import { USUAL_HABITS } from './options/registry';
import type { Manner } from './manner';
import { USUAL_WORK } from './manner';
import { USUAL_WAYS } from './ways/registry';

/**
 * Three rows: every day has the same jobs for its rows: full box, littles, to-do list; built from the bottom up
 * (handbook 5).
 */
export const threeRows: Manner = {
  name: 'three-rows',
  says: 'Every day keeps the same three rows: a full box, the littles, a to-do list.',
  habits: { ...USUAL_HABITS, littles: 'stacked', weekendBanner: false },
  ways: { ...USUAL_WAYS, keepsRows: true, stand: 'top', lists: 'foot', listColors: 'fanned' },
  work: { ...USUAL_WORK, upward: true },
};
