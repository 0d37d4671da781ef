import type { Context } from '../../spread/placement';
import type { Draft } from '../../spread/draft';
import type { Block } from '../days/day-blocks';
import type { Choice } from './choice';

/** What a rung looks at: the spread as it is, and the column that the item is to stand in. */
export interface Ground {
  readonly draft: Draft;
  readonly context: Context;
  /** mm of the column */
  readonly width: number;
  /** what a mm of the day's column costs: little where it has room, much where it is full; the usual where not given */
  readonly perMm?: number;
  /** grounds that differ in nothing but the day share this, and what is grouped for it once */
  readonly shared?: object;
}

/** A way that practitioners carry an item when the kit is rich, thin, or used up (handbook K7). */
export interface Rung {
  readonly name: string;
  /** one sentence that a decorator would know it by */
  readonly says: string;
  /** true where the words stand on the paper, not on a sticker */
  readonly onPaper?: boolean;
  /** how much there is of what it takes, by the keys of its choices */
  readonly supply?: (ground: Ground) => ReadonlyMap<string, number>;
  readonly choices: (block: Block, ground: Ground) => readonly Choice[];
}
