import type { WorkOrder } from './work-order';
import { partGroup, partRank, within } from './work-order';

/** Part by part over the whole week, each with its own cuts first (handbook 4). */
export const overTheWeek: WorkOrder = {
  name: 'over the week',
  says: 'Base, sidebar, boxes, then day by day; each part is cut just before it is laid. Ink last.',
  rank: (work, manner) => [
    partRank(work.part, manner),
    work.part === 'base' || work.part === 'white-out' ? work.page : 0,
    work.part === 'day' || work.part === 'ink' ? work.day : 0,
    ...within(work, manner),
  ],
  groupOf: partGroup,
};
