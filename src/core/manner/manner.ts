import type { Options } from './options/registry';
import type { Ways } from './ways/registry';

/** A school: its habits as default options, and the ways in which it differs from the others (handbook 5). */
export interface Manner {
  readonly name: string;
  /** one sentence that a decorator would know it by */
  readonly says: string;
  readonly habits: Options;
  readonly ways: Ways;
  readonly work: WorkHabits;
}

/** How a school works at the table. */
export interface WorkHabits {
  /** each day is built from the bottom up */
  readonly upward: boolean;
  /** boxes go down before headers and covers, which are laid over them */
  readonly boxesFirst: boolean;
}

export const USUAL_WORK: WorkHabits = { upward: false, boxesFirst: false };
