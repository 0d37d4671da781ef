import { tableOfAmounts } from '../../core/keep/tables-of-amounts';
import { recordsBetween } from '../../db/records';
import { houseWeekStart } from '../week-start';
import type { LogRoom } from './room';
import { daysOf } from './room';

export const hours: LogRoom = {
  name: 'hours',
  title: 'Hours and spending',
  searched: false,
  of: 'any years',
  load: async (db, asked) => {
    const weekStart = await houseWeekStart(db);
    return [
      tableOfAmounts(
        await recordsBetween(db, ...daysOf(asked), 'hours'),
        {
          name: 'hours',
          title: 'Hours',
          nothing: 'No hours are written down yet: the week’s screen takes them by the half.',
        },
        weekStart,
      ),
      tableOfAmounts(
        await recordsBetween(db, ...daysOf(asked), 'spending'),
        {
          name: 'spending',
          title: 'Spending',
          isMoney: true,
          nothing: 'No spending is written down yet.',
        },
        weekStart,
      ),
    ];
  },
};
