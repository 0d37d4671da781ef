import { piecesOfStep } from '../core/bench/step-key';
import type { Database } from './database';

export async function ticksOf(db: Database, spreadId: number): Promise<string[]> {
  const rows = await db.selectFrom('tick').select('step').where('spread_id', '=', spreadId).execute();
  return rows.map((r) => r.step);
}

export async function setTick(db: Database, spreadId: number, step: string, done: boolean): Promise<void> {
  if (done)
    await db
      .insertInto('tick')
      .values({ spread_id: spreadId, step })
      .onConflict((c) => c.doNothing())
      .execute();
  else await db.deleteFrom('tick').where('spread_id', '=', spreadId).where('step', '=', step).execute();
}

/** Forgets that pieces were stuck down, which were lifted again. */
export async function untickPieces(db: Database, spreadId: number, ids: ReadonlySet<string>): Promise<void> {
  if (!ids.size) return;
  const steps = (await ticksOf(db, spreadId)).filter((step) => piecesOfStep(step).some((id) => ids.has(id)));
  if (steps.length) await db.deleteFrom('tick').where('spread_id', '=', spreadId).where('step', 'in', steps).execute();
}
