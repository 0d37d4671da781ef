import { USUAL_HAND } from '../measure/hand';
import type { Options } from './options';

/** What most decorators do, from which each school departs. Common practice. */
export const USUAL_HABITS: Options = {
  bottomWashi: 'one',
  dateCovers: true,
  monthFlags: true,
  weekendBanner: true,
  headers: 'alternating',
  foils: [],
  whiteSpace: 0.05,
  gap: 2,
  kitOnly: false,
  writeOnBoxes: false,
  littles: 'spaced',
  sidebar: ['quote', 'habits', 'dinners', 'next-week'],
  hand: USUAL_HAND,
  tapeMeters: 10,
  ahead: 'all',
};
