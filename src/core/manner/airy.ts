import { USUAL_HABITS } from './options/registry';
import type { Manner } from './manner';
import { USUAL_WORK } from './manner';
import { USUAL_WAYS } from './ways/registry';

/**
 * Airy: white space is the design; few boxes, one cluster of deco, a cap on how much of a day is covered (handbook
 * 5). Numbers from memory.
 */
export const airy: Manner = {
  name: 'airy',
  says: 'White space is the design: headers, a few labels and lists, few boxes, one cluster of deco.',
  habits: {
    ...USUAL_HABITS,
    bottomWashi: 'none',
    whiteSpace: 0.5,
    gap: 3,
    weekendBanner: false,
    sidebar: ['quote', 'habits', 'next-week'],
  },
  ways: {
    ...USUAL_WAYS,
    boxes: 3,
    listColors: 'same',
    sidebarColors: 'one family',
    deco: 'cluster',
    bannerGround: false,
  },
  work: USUAL_WORK,
};
