import type { Stand } from './rhythm';
import { STANDS } from './rhythm';

/** Orders of colors over the week (handbook 5, color habits). */
export const SEQUENCES = ['alternating', 'fanned', 'blocked', 'same'] as const;
export type Sequence = (typeof SEQUENCES)[number];

/**
 * What schools do differently beyond the options of a spread (handbook 5). Each is a setting with the school's habit
 * as its default.
 */
export interface Ways {
  /** the printed rows are a system with a job for each row, or only marks to hide */
  readonly keepsRows: boolean;
  /** full boxes wanted in a week, 0-7, one a day at most */
  readonly boxes: number;
  readonly stand: Stand;
  /** a strip above each full box and one below */
  readonly framed: boolean;
  /** a band of flowers and strips along the top, date headers lowered under it */
  readonly topBand: boolean;
  /** date headers raised to win room in the column */
  readonly raised: boolean;
  /** where a day's lists stand */
  readonly lists: 'by time' | 'top' | 'foot';
  readonly listColors: Sequence;
  /** leaves a color out of the headers' sequence that shouts */
  readonly leaveOutLoud: boolean;
  readonly sidebarColors: 'one family' | 'varied';
  readonly banner: 'both days' | 'mostly Saturday';
  /** two strips under the weekend banner */
  readonly bannerGround: boolean;
  /** the common edge of what is narrower than its column (handbook F4) */
  readonly align: 'centered' | 'flush left';
  readonly deco: 'spread' | 'cluster' | 'none';
  /** round bases and squares turned to diamonds come first */
  readonly roundBases: boolean;
  /** times written before the words, or in small circles of their own beside them */
  readonly times: 'written' | 'in circles';
  /** a picture of a thing stands for its chore, with nothing written: a watering can for watering (handbook 3, deco) */
  readonly picturesServe: boolean;
  /** texts near the binding are written with all others, or before their stickers go down (handbook P3) */
  readonly nearBinding: 'ink last' | 'written first';
  /** what is not planned ahead keeps a marked empty place, to be written in afterwards (handbook 4) */
  readonly marksPlaces: boolean;
}

/** The values each way may have; numbers as a range from the first to the last. One line a way. */
export const WAY_VALUES: { readonly [W in keyof Ways]: readonly Ways[W][] } = {
  keepsRows: [true, false],
  boxes: [0, 1, 2, 3, 4, 5, 6, 7],
  stand: Object.keys(STANDS) as Stand[],
  framed: [true, false],
  topBand: [true, false],
  raised: [true, false],
  lists: ['by time', 'top', 'foot'],
  listColors: SEQUENCES,
  leaveOutLoud: [true, false],
  sidebarColors: ['varied', 'one family'],
  banner: ['both days', 'mostly Saturday'],
  bannerGround: [true, false],
  align: ['centered', 'flush left'],
  deco: ['spread', 'cluster', 'none'],
  roundBases: [true, false],
  times: ['written', 'in circles'],
  picturesServe: [true, false],
  nearBinding: ['ink last', 'written first'],
  marksPlaces: [true, false],
};

/** The usual ways, from which each school departs. Common practice. */
export const USUAL_WAYS: Ways = {
  keepsRows: false,
  boxes: 7,
  stand: 'up-and-down',
  framed: false,
  topBand: false,
  raised: false,
  lists: 'by time',
  listColors: 'alternating',
  leaveOutLoud: true,
  sidebarColors: 'varied',
  banner: 'both days',
  bannerGround: true,
  align: 'centered',
  deco: 'spread',
  roundBases: false,
  times: 'written',
  picturesServe: true,
  nearBinding: 'ink last',
  marksPlaces: true,
};
