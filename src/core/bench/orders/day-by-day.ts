import { overTheWeek } from './over-the-week';
import type { WorkOrder } from './work-order';
import { within } from './work-order';

/** Base, sidebar and boxes ahead; then each day with its cuts, pieces and ink, to be stopped after any of them. */
export const dayByDay: WorkOrder = {
  name: 'day by day',
  says: 'Base, sidebar and boxes first; then one day at a time, written and done, for the evening before.',
  rank: (work, manner) =>
    isOfDay(work)
      ? [DAYS, work.day, work.part === 'ink' ? 2 : work.part === 'permanent' ? 1 : 0, ...within(work, manner)]
      : overTheWeek.rank(work, manner),
  groupOf: (work) => (isOfDay(work) ? { is: 'day', day: work.day } : overTheWeek.groupOf(work)),
};

/** After the banner, before the finish, as in `PARTS`. */
const DAYS = 5;

const isOfDay = ({ part, day }: Parameters<WorkOrder['groupOf']>[0]): boolean =>
  day >= 0 && (part === 'day' || part === 'ink' || part === 'permanent');
