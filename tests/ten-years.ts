import { demoAgenda } from '../demo/agenda';
import type { Kit } from '../src/core/kit/kit';
import type { Placement } from '../src/core/spread/placement';
import { weekAfter } from '../src/core/week/week';
import { putCalendar } from '../src/db/calendars';
import type { Database } from '../src/db/database';
import { addKit } from '../src/db/kits';
import { makeEdit } from '../src/db/spread-edits';
import { addSpread, chooseStash } from '../src/db/spreads';
import { usualStash } from '../src/server/stash';
import { demoKit, demoSpread } from './fixtures';

export const FIRST_WEEK = '2027-W06';

/** The demo kit under another name, as one buys another every week. */
const another = (n: number): Kit => {
  const name = n === 0 ? 'rockpool' : `rockpool ${n}`;
  return { name, pieces: demoKit('rockpool').pieces.map((p) => ({ ...p, kit: name })) };
};

/**
 * A history of one kit and one spread a week, each laid out and then changed by hand a little.
 * @param least placements a week: more are laid as the demo spread's own, over again
 * @returns ids of the spreads
 */
export async function layWeeks(db: Database, weeks: number): Promise<number[]> {
  const { placements } = demoSpread();
  const ids: number[] = [];
  await addKit(db, demoKit('stash'), 'stash');
  await putCalendar(db, 'household', demoAgenda('2027-02-03'));
  for (let n = 0; n < weeks; n++) {
    const kit = another(n);
    await addKit(db, kit, 'kit');
    const week = weekAfter(FIRST_WEEK, n);
    const id = await addSpread(db, {
      week,
      book_id: 'three-box',
      kit_id: kit.name,
      manner: 'scattered',
      seed: 1,
      options: '{}',
    });
    await chooseStash(db, id, await usualStash(db, week, kit.name));
    await makeEdit(db, id, {
      deed: { do: 'arrange', what: 'week' },
      before: [],
      after: placements.filter((p) => p.kit === 'rockpool').map((p): Placement => ({ ...p, kit: kit.name })),
    });
    ids.push(id);
  }
  return ids;
}
