import { tablesOfBench } from '../../core/keep/tables-of-bench';
import type { LogRoom } from './room';
import { weeksOf } from './room';

export const bench: LogRoom = {
  name: 'bench',
  title: 'At the bench',
  searched: false,
  of: 'a year',
  load: async (db, asked) => {
    const [first, last] = weeksOf({ year: asked.year ?? asked.today.slice(0, 4) });
    const rows = await db
      .selectFrom('tick as t')
      .innerJoin('spread as s', 's.id', 't.spread_id')
      .select(['s.week', 't.step', 't.at'])
      .where('t.at', '<>', '')
      .where('s.week', '>=', first)
      .where('s.week', '<=', last)
      .execute();
    return tablesOfBench(rows.map((r) => ({ ...r, at: Date.parse(r.at) })));
  },
};
