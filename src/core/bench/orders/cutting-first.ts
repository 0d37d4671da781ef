import { overTheWeek } from './over-the-week';
import type { WorkOrder } from './work-order';

/** All knife work in one go after the white-out, while the mat lies there. */
export const cuttingFirst: WorkOrder = {
  name: 'cutting first',
  says: 'All the cutting in one go, then the knife is put away.',
  rank: (work, manner) => (work.step.do === 'cut' ? [0.5] : overTheWeek.rank(work, manner)),
  groupOf: (work) => (work.step.do === 'cut' ? { is: 'knife' } : overTheWeek.groupOf(work)),
};
