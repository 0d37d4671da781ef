import { houseWeekStart } from '../week-start';
import { tablesOfDinners } from '../../core/keep/tables-of-dinners';
import { recordsBetween } from '../../db/records';
import type { LogRoom } from './room';

/** Dinners of all years: how long since does not stop at New Year. */
export const dinners: LogRoom = {
  name: 'dinners',
  title: 'Dinners',
  searched: false,
  of: 'all years',
  load: async (db, { today }) =>
    tablesOfDinners(await recordsBetween(db, '0000-01-01', today, 'dinner'), today, await houseWeekStart(db)),
};
