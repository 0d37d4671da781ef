import { USUAL_HABITS } from './options/registry';
import type { Manner } from './manner';
import { USUAL_WORK } from './manner';
import { USUAL_WAYS } from './ways/registry';

/**
 * Crowned: flowers and garlands along the top, headers lowered under them, framed boxes, round and diamond bases
 * (handbook 5).
 */
export const crowned: Manner = {
  name: 'crowned',
  says: 'A band of garlands along the top, date headers lowered under it, framed boxes, round bases.',
  habits: { ...USUAL_HABITS, headers: 'fanned' },
  ways: {
    ...USUAL_WAYS,
    topBand: true,
    framed: true,
    stand: 'hill',
    roundBases: true,
    times: 'in circles',
    listColors: 'fanned',
  },
  work: USUAL_WORK,
};
