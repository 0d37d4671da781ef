import { demoAgenda } from '../demo/agenda';
import { putCalendar } from '../src/db/calendars';
import type { Database } from '../src/db/database';
import { addKit } from '../src/db/kits';
import { placementsOf } from '../src/db/placements';
import { makeEdit } from '../src/db/spread-edits';
import { startSpread } from '../src/server/actions';
import type { Outcome } from '../src/server/outcome';
import { loadSpread } from '../src/server/spread-data';
import type { SpreadData } from '../src/server/spread-of';
import { store } from '../src/server/store';
import { demoKit, demoSpread } from './fixtures';

export const TODAY = '2027-02-03';

/** A house of its own, in memory: the demo kits, a stash, a calendar; no week is begun. */
export async function freshHouse(): Promise<Database> {
  process.env.HOBNAIL_DATA = ':memory:';
  process.env.HOBNAIL_TODAY = TODAY;
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  const db = await store();
  await addKit(db, demoKit('rockpool'), 'kit');
  await addKit(db, demoKit('night-almanac'), 'kit');
  await addKit(db, demoKit('stash'), 'stash');
  await putCalendar(db, 'household', demoAgenda(TODAY));
  return db;
}

/** What a use case answered; a test that expects it to do its work fails with its messages. */
export function done<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.messages.join('\n'));
  return outcome.value;
}

/** Why a use case refused. */
export const refusal = (outcome: Outcome<unknown>): string =>
  outcome.ok ? 'it was accepted' : outcome.messages.join('\n');

/** A week begun with the demo kit, empty. */
export const beginWeek = async (week = '2027-W06', kitId = 'rockpool'): Promise<number> =>
  done(await startSpread({ week, bookId: 'three-box', kitId, manner: 'scattered' })).id;

/** A week laid out as the demo spread is. */
export async function layWeek(db: Database): Promise<number> {
  const id = await beginWeek();
  const { placements } = demoSpread();
  await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: [], after: placements });
  return id;
}

export async function spreadNow(id: number): Promise<SpreadData> {
  const spread = await loadSpread(id);
  if (!spread) throw new Error(`there is no spread ${id}`);
  return spread;
}

export { placementsOf };
