import { later } from './later';

/** What its owner chose: their own words, those of the other window, or to go on writing. */
export type Choice = 'mine' | 'theirs' | 'neither';

export interface Question {
  readonly messages: readonly string[];
  readonly decide: (choice: Choice) => void;
}

/** Asks what is to be kept of two windows' words; most never see it. */
export const Conflict = later(() => import('./ConflictDialog').then((m) => m.ConflictDialog));
