import { USUAL_HAND } from '../measure/hand';
import type { Height, Manner } from './manner';

const rhythm = (letters: string): Height[] => [...letters].map((l) => (l === 'H' ? 'high' : 'low'));

/** Scattered: open columns, full boxes that rise and fall, the best one high in the middle of the week (handbook 5). */
export const scattered: Manner = {
  name: 'scattered',
  keepsRows: false,
  rhythms: [rhythm('LHLHLHL'), rhythm('HLHLHLH')],
  habits: {
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
  },
};
