import type { LogTable } from '../../core/keep/log-table';
import { tablesOfItems } from '../../core/keep/tables-of-items';
import { itemCounts, lastTimes } from '../../db/past-items';
import { wordsOf } from '../../db/week-text';
import type { LogRoom } from './room';
import { weeksOf } from './room';

const MOST_FOUND = 60;
const MOST_WORDS = 8;

/** Items by kind, day and week, and when something was last done. */
export const items: LogRoom = {
  name: 'items',
  title: 'Items',
  searched: true,
  of: 'any years',
  load: async (db, asked) => {
    const words = wordsOf(asked.words).slice(0, MOST_WORDS);
    const found = await lastTimes(db, words, asked.today, MOST_FOUND);
    const last: LogTable = {
      name: 'last-times',
      title: words.length ? 'When it was last done' : 'Done last',
      columns: ['item', 'last', 'times'],
      rows: found.map((t) => [t.title, t.last, t.times]),
      nothing: words.length ? 'Nothing that was done bears those words.' : 'Nothing was done yet.',
    };
    return [last, ...tablesOfItems(await itemCounts(db, ...weeksOf(asked)))];
  },
};
