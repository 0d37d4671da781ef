import { tablesOfHabits } from '../../core/keep/tables-of-habits';
import { recordsBetween } from '../../db/records';
import { houseWeekStart } from '../week-start';
import type { LogRoom } from './room';
import { daysOf } from './room';

export const habits: LogRoom = {
  name: 'habits',
  title: 'Habits',
  searched: false,
  of: 'any years',
  load: async (db, asked) =>
    tablesOfHabits(await recordsBetween(db, ...daysOf(asked), 'habit'), asked.today, await houseWeekStart(db)),
};
