import type { Sight } from './sight';

/** One thing that the eye minds, with its weight; the sum of all is what a spread costs it. */
export interface Term {
  readonly name: string;
  /** what is minded, as it is said in Finish and in Other ways */
  readonly says: string;
  /**
   * it holds designs against each other, on a day and the one at its left; all others go by places, kinds and layers
   * alone
   */
  readonly looksAtDesigns?: true;
  /** cost of one day; 0 where there is nothing to mind */
  readonly ofDay?: (sight: Sight, day: number) => number;
  /** cost of the week as a whole */
  readonly ofWeek?: (sight: Sight) => number;
}
