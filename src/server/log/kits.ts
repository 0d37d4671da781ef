import { tablesOfKits } from '../../core/keep/tables-of-kits';
import { designUse, kitCosts, weekUse } from '../../db/kit-use';
import type { LogRoom } from './room';
import { weeksOf } from './room';

export const kits: LogRoom = {
  name: 'kits',
  title: 'Kits',
  searched: false,
  load: async (db, asked) =>
    tablesOfKits(await designUse(db), await weekUse(db, ...weeksOf(asked)), await kitCosts(db)),
};
