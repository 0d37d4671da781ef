import type { Change } from '../core/edit/change';
import { applies, invert } from '../core/edit/change';
import type { Deed } from '../core/edit/deed';
import { saysTaste, tasteOf } from '../core/edit/liking';
import type { Taste } from '../core/edit/liking';
import { stickingOf } from '../core/edit/peels';
import type { Sticking } from '../core/edit/peels';
import { imageOf } from '../core/format/image-of';
import { copyKey } from '../core/kit/ledger';
import type { StockEvent } from '../core/kit/stock';
import type { Placement } from '../core/spread/placement';
import { agendaHistory, stepAgenda } from './agenda-edits';
import { designsOf, mustBeThere } from './available';
import type { Database } from './database';
import { transaction } from './database';
import { learn } from './likes';
import type { Steps } from './log';
import { amend, nextStep, noteStep, record, stepsBack, stepsOf } from './log';
import { placementsOf, replacePlacements } from './placements';
import { rise } from './spreads';
import { addEvents, takeEventsBack } from './stock';
import { noteSticking, stuckDown } from './sticker-facts';
import { untickPieces } from './ticks';

/** What undo and redo would do next, and a number that rises with everything that may change the spread's picture. */
export interface History extends Steps<Deed> {
  readonly revision: number;
}

/** What an edit did, as the log keeps it. */
interface Effects {
  readonly before: readonly Placement[];
  readonly after: readonly Placement[];
  readonly sticking: Sticking;
  /** what was learned from it, as far as it changed what was known */
  readonly tastes: readonly Taste[];
  /** what the stock lost by it; logs from before say nothing of it */
  readonly stock?: readonly StockEvent[];
  /** number of the agenda's edit that was made with it */
  readonly agenda?: number;
}

/** An edit that was undone, or made again. */
export interface Step {
  readonly change: Change;
  readonly history: History;
  readonly withAgenda: boolean;
}

/** The spread is not in the state that an edit was made for. */
export class StaleEdit extends Error {}

export async function historyOf(db: Database, spreadId: number): Promise<History> {
  const row = await db.selectFrom('spread').select('revision').where('id', '=', spreadId).executeTakeFirst();
  return { revision: row?.revision ?? 0, ...(await stepsOf<Deed>(db, scopeOf(spreadId))) };
}

const scopeOf = (spread: number) => ({ room: 'spread', spread }) as const;

/**
 * Makes one edit with all that follows from it (stock, peels, learning, ticks) in one transaction; what was undone
 * before it can no longer be redone.
 * @param stock what the stock loses by it: a spoiled sticker
 * @throws StaleEdit, TakenSticker, StockClash
 */
export function makeEdit(
  db: Database,
  spreadId: number,
  change: Change,
  stock: readonly StockEvent[] = [],
): Promise<History> {
  return transaction(db, async (trx) => {
    try {
      await lay(trx, spreadId, change);
    } catch (error) {
      if (error instanceof StaleEdit && (await wasJustMade(trx, spreadId, change))) return historyOf(trx, spreadId);
      throw error;
    }
    await addEvents(trx, stock);
    const stuck = await stuckDown(trx, spreadId);
    const sticking = stickingOf(change, (copy) => stuck.has(copyKey(copy)));
    await noteSticking(trx, spreadId, sticking);
    const touched = saysTaste(change) ? [...change.before, ...change.after] : [];
    const tastes = await learn(trx, tasteOf(await designsOf(trx, touched), change));
    const effects: Effects = { before: change.before, after: change.after, sticking, tastes, stock };
    await record(trx, scopeOf(spreadId), change.deed, effects);
    return historyOf(trx, spreadId);
  });
}

/** Ties the last edit of a spread to one of the agenda: both are undone, and made again, in one stroke. */
export async function tieToAgenda(trx: Database, spreadId: number, agenda: number): Promise<void> {
  const last = await nextStep(trx, scopeOf(spreadId), 'undo');
  if (last) await amend(trx, last, { ...(last.effects as Effects), agenda });
}

/** An edit that is sent again, since its first answer never came: it is there already, and the last one. */
async function wasJustMade(trx: Database, spreadId: number, { deed, before, after }: Change): Promise<boolean> {
  const last = await nextStep(trx, scopeOf(spreadId), 'undo');
  const { undo } = await stepsOf<Deed>(trx, scopeOf(spreadId));
  if (!last || imageOf(undo) !== imageOf(deed)) return false;
  const made = last.effects as Effects;
  return imageOf([made.before.map(whole), made.after.map(whole)]) === imageOf([before, after]);
}

/**
 * Takes the last edit back, or makes the last one taken back again.
 * @param revision the one it was asked for at; null: whatever there is
 * @throws StaleEdit; TakenSticker, StockClash where a sticker is elsewhere by now
 * @returns the change made, and whether the agenda went with it: an edit of it that was tied to this one goes along
 * unless the agenda was changed since. null: there is none
 */
export function stepHistory(
  db: Database,
  spreadId: number,
  way: 'undo' | 'redo',
  revision: number | null = null,
): Promise<Step | null> {
  return transaction(db, async (trx) => {
    if (revision !== null && (await historyOf(trx, spreadId)).revision !== revision) throw new StaleEdit(way);
    const entry = await nextStep(trx, scopeOf(spreadId), way);
    if (!entry) return null;
    const { before, after, sticking, tastes, stock = [], agenda } = entry.effects as Effects;
    const { [way]: deed } = await stepsOf<Deed>(trx, scopeOf(spreadId));
    const made: Change = { deed: deed as Deed, before: before.map(whole), after: after.map(whole) };
    const change = way === 'undo' ? invert(made) : made;
    if (way === 'undo') await takeEventsBack(trx, stock);
    await lay(trx, spreadId, change);
    if (way === 'redo') await addEvents(trx, stock);
    await noteSticking(trx, spreadId, sticking, way === 'undo');
    await learn(trx, way === 'undo' ? tastes.map((t) => ({ ...t, by: -t.by })) : tastes);
    await noteStep(trx, entry, way);
    // an agenda that was changed since stays as it is
    const withAgenda =
      agenda !== undefined && (await agendaHistory(trx)).at[way] === agenda && (await stepAgenda(trx, way, agenda));
    return { change, history: await historyOf(trx, spreadId), withAgenda };
  });
}

/** What undo would change, one edit after the other, the next first; each with what it takes back. */
export async function changesBack(db: Database, spreadId: number, most: number): Promise<Change[]> {
  const steps = await stepsBack<Deed>(db, scopeOf(spreadId), most);
  return steps.map(({ deed, effects }) => {
    const { before, after } = effects as Effects;
    return invert({ deed, before: before.map(whole), after: after.map(whole) });
  });
}

/** A placement as it was stored, with what has been added to placements since. */
const whole = (stored: Placement): Placement => ({ ...NEW_FIELDS, ...stored });
const NEW_FIELDS: Partial<Placement> = { size: 1 };

const FEW = 40;

async function lay(trx: Database, spreadId: number, change: Change): Promise<void> {
  const ids = [...new Set([...change.before, ...change.after].map((p) => p.id))];
  // most edits are of a few pieces, and reading them all takes longer than anything else here
  const current = await placementsOf(trx, spreadId, ids.length < FEW ? ids : undefined);
  if (!applies(current, change)) throw new StaleEdit(change.deed.do);
  const gone = change.before.map((p) => p.id);
  await replacePlacements(trx, spreadId, gone, []);
  await mustBeThere(trx, change.after, change.before);
  await replacePlacements(trx, spreadId, [], change.after);
  await untickPieces(trx, spreadId, liftedBy(change));
  await rise(trx, spreadId);
}

/** Ids of the pieces that an edit lifts after they were stuck down. */
const liftedBy = ({ before, after }: Change): ReadonlySet<string> =>
  new Set(before.filter((p) => p.locked && !after.some((q) => q.id === p.id && q.locked)).map((p) => p.id));
