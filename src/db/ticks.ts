import type { TickedAt } from '../core/bench/pace';
import { piecesOfStep, tapeOfStep, workOfStep } from '../core/bench/step-key';
import type { Database } from './database';
import { giveTape, takeTape } from './tape';

export async function ticksOf(db: Database, spreadId: number): Promise<string[]> {
  const rows = await db.selectFrom('tick').select('step').where('spread_id', '=', spreadId).execute();
  return rows.map((r) => r.step);
}

/**
 * Ticks a step, or takes its tick away; the tape that it takes is counted off what is in the house, and given back.
 * @param at ISO 8601
 */
export async function setTick(
  db: Database,
  spreadId: number,
  step: string,
  done: boolean,
  at = new Date().toISOString(),
): Promise<void> {
  const known = await db
    .selectFrom('tick')
    .select('tape')
    .where('spread_id', '=', spreadId)
    .where('step', '=', step)
    .executeTakeFirst();
  if (done === (known !== undefined)) return;
  if (known) {
    await db.deleteFrom('tick').where('spread_id', '=', spreadId).where('step', '=', step).execute();
    await giveTape(db, known.tape);
  } else {
    const tape = await takeTape(db, tapeOfStep(step));
    await db.insertInto('tick').values({ spread_id: spreadId, step, at, tape }).execute();
  }
}

/** The latest ticks whose time is known, of all spreads: what the owner's pace is told by. */
export async function lastTicks(db: Database, most = 600): Promise<TickedAt[]> {
  const rows = await db
    .selectFrom('tick')
    .select(['step', 'at'])
    .where('at', '!=', '')
    .orderBy('at', 'desc')
    .limit(most)
    .execute();
  return rows.flatMap(({ step, at }) => {
    const work = workOfStep(step);
    return work ? [{ ...work, at: Date.parse(at) }] : [];
  });
}

/** Forgets that pieces were stuck down, which were lifted again. */
export async function untickPieces(db: Database, spreadId: number, ids: ReadonlySet<string>): Promise<void> {
  if (!ids.size) return;
  const steps = (await ticksOf(db, spreadId)).filter((step) => piecesOfStep(step).some((id) => ids.has(id)));
  if (steps.length) await db.deleteFrom('tick').where('spread_id', '=', spreadId).where('step', 'in', steps).execute();
}
