import { demoAgenda } from '../demo/agenda';
import type { Kit } from '../src/core/kit/kit';
import type { Placement } from '../src/core/spread/placement';
import { daysOfWeek, weekAfter } from '../src/core/week/week';
import { putCalendar } from '../src/db/calendars';
import type { Database } from '../src/db/database';
import { addKit } from '../src/db/kits';
import { makeEdit } from '../src/db/spread-edits';
import { addSpread, chooseStash } from '../src/db/spreads';
import { usualStash } from '../src/server/stash';
import { demoKit, demoSpread } from './fixtures';

export const FIRST_WEEK = '2027-W06';

/** How many sheets of each are bought, so that a well filled week has copies enough. */
const SHEETS = 2;

/** The demo kit under another name, as one buys another every week. */
const another = (n: number): Kit => {
  const name = n === 0 ? 'rockpool' : `rockpool ${n}`;
  return { name, pieces: demoKit('rockpool').pieces.map((p) => ({ ...p, kit: name, count: p.count * SHEETS })) };
};

/** The demo spread's own, and of its day's things once more from the second sheet till there are as many. */
function filled(placements: readonly Placement[], least: number): Placement[] {
  const counts = new Map(demoKit('rockpool').pieces.map((p) => [p.code, p.count]));
  const again = placements
    .filter((p) => p.cut === null && counts.has(p.code))
    .slice(0, Math.max(0, least - placements.length))
    .map((p) => ({
      ...p,
      id: `p${1000 + Number(p.id.slice(1))}`,
      copy: p.copy + (counts.get(p.code) ?? 0),
      layer: p.layer + 2,
    }));
  return [...placements, ...again];
}

/** A calendar that holds a full demo week, and nothing of another time. */
export const putWeek = (db: Database, week: string): Promise<void> =>
  putCalendar(db, 'household', demoAgenda(daysOfWeek(weekAfter(week, -1))[2] as string));

/**
 * A history of one kit and one spread a week. The last week is begun and not laid out.
 * @param least placements a week
 * @returns ids of the spreads
 */
export async function layWeeks(db: Database, weeks: number, least: number): Promise<number[]> {
  const placements = filled(
    demoSpread().placements.filter((p) => p.kit === 'rockpool'),
    least,
  );
  const ids: number[] = [];
  await addKit(db, demoKit('stash'), 'stash');
  await putWeek(db, FIRST_WEEK);
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
    ids.push(id);
    if (n === 0 || n === weeks - 1) continue;
    await makeEdit(db, id, {
      deed: { do: 'arrange', what: 'week' },
      before: [],
      after: placements.map((p): Placement => ({ ...p, kit: kit.name })),
    });
  }
  return ids;
}
