import type { Manner } from '../../manner/manner';
import type { Part, StepGroup, Work } from '../step';
import { PARTS } from '../step';

/** A ready-made order of work. */
export interface WorkOrder {
  readonly name: string;
  /** one sentence that its owner would choose it by */
  readonly says: string;
  /** a step's rank; compared number by number, the lower first */
  readonly rank: (work: Work, manner: Manner) => readonly number[];
  readonly groupOf: (work: Work) => StepGroup;
}

/** Where a part of the work stands, as the school works. */
export const partRank = (part: Part, { work }: Manner): number => {
  if (work.boxesFirst && part === 'box') return PARTS.indexOf('base') - 0.5;
  return PARTS.indexOf(part);
};

/** What comes first within a part: the knife; then from the floor up, what is written first with its piece. */
export const within = ({ step, layer, page, day, y, x }: Work, { work }: Manner): readonly number[] => [
  step.do === 'cut' ? 0 : 1,
  page,
  day,
  layer,
  work.upward ? -y : y,
  x,
  step.do === 'write' ? 0 : 1,
];

/** The part of the work, a page or a day of it by itself. */
export function partGroup({ part, page, day }: Work): StepGroup {
  switch (part) {
    case 'white-out':
      return { is: 'white-out', page };
    case 'base':
      return { is: 'base', page };
    case 'box':
      return { is: 'boxes' };
    case 'day':
      return day < 0 ? { is: 'finish' } : { is: 'day', day };
    default:
      return { is: part };
  }
}
