import { tablesOfKits } from '../../core/keep/tables-of-kits';
import { designUse, kitCosts, untouchedKits, weekUse } from '../../db/kit-use';
import type { LogRoom } from './room';
import { weeksOf } from './room';

/** The kits of a year: those that lie on its weeks, and those that lie in the drawer still whole. */
export const kits: LogRoom = {
  name: 'kits',
  title: 'Kits',
  searched: false,
  of: 'a year',
  load: async (db, asked) => {
    const weeks = await weekUse(db, ...weeksOf({ year: asked.year ?? asked.today.slice(0, 4) }));
    const names = new Set([...weeks.map((w) => w.kit), ...(await untouchedKits(db))]);
    const costs = (await kitCosts(db)).filter((k) => names.has(k.kit));
    return tablesOfKits(await designUse(db, [...names]), weeks, costs);
  },
};
