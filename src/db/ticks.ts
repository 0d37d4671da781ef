import type { Database } from './database';

export async function ticksOf(db: Database, spreadId: number): Promise<string[]> {
  const rows = await db.selectFrom('tick').select('step').where('spread_id', '=', spreadId).execute();
  return rows.map((r) => r.step);
}

export async function setTick(db: Database, spreadId: number, step: string, done: boolean): Promise<void> {
  if (done) await db.insertInto('tick').values({ spread_id: spreadId, step }).onConflict((c) => c.doNothing()).execute();
  else await db.deleteFrom('tick').where('spread_id', '=', spreadId).where('step', '=', step).execute();
}
