import { picturesOf } from '../sight';
import type { Term } from '../term';

/** So many pictures make a day full of them. From memory. */
const MOST = 3;
const ONE_MORE = 5;

/** Not all of it in one day. */
export const crowd: Term = {
  name: 'crowd',
  says: 'more pictures than a day wants',
  ofDay: ({ byDay }, day) => Math.max(0, picturesOf(byDay[day] ?? []).length - MOST) * ONE_MORE,
};
