import { benchOf } from '../core/bench/bench';
import { sayStep } from '../core/bench/say-step';
import { review, viewOf } from '../core/review/review';
import { sayFinding } from '../core/review/say';
import { findingKey } from '../core/review/wave';
import { contextFrom } from '../core/spread/context';
import { voiceOf } from '../core/spread/voice';
import type { Database } from '../db/database';
import { transaction } from '../db/database';
import { asObject, asStrings } from '../db/json';
import { setTick } from '../db/ticks';
import { spreadOf } from './spread-of';

interface SaidOf {
  readonly waved: readonly string[];
  readonly ticks: readonly string[];
}

/**
 * Waves and ticks of databases from before their keys: they were named by their words. Each spread's findings and
 * steps are said once, as they were said then, and what matches is kept by its key. What is not said any more was
 * about something that is not there any more.
 */
export async function lookUpSaid(db: Database): Promise<void> {
  const rows = await db.selectFrom('spread').select(['id', 'said', 'waved']).where('said', 'is not', null).execute();
  for (const row of rows) {
    const said = asObject(row.said ?? '{}') as SaidOf;
    const keys = await keysOf(db, row.id, said);
    await transaction(db, async (trx) => {
      const waved = [...new Set([...asStrings(row.waved), ...keys.waved])];
      await trx
        .updateTable('spread')
        .set({ said: null, waved: JSON.stringify(waved) })
        .where('id', '=', row.id)
        .execute();
      for (const key of keys.ticks) await setTick(trx, row.id, key, true);
    });
  }
}

async function keysOf(db: Database, id: number, said: SaidOf): Promise<SaidOf> {
  const spread = await spreadOf(db, id);
  if (!spread) return { waved: [], ticks: [] };
  const context = contextFrom(spread.context);
  const voice = voiceOf(context, spread.placements);
  const [waved, ticks] = [new Set(said.waved), new Set(said.ticks)];
  const findings = waved.size ? review(viewOf(context, spread.placements)) : [];
  const steps = ticks.size ? benchOf(context, spread.placements).steps : [];
  return {
    waved: findings.filter((f) => waved.has(`${f.rule}: ${sayFinding(f, voice).message}`)).map(findingKey),
    // of steps that are said alike one was done
    ticks: steps.filter((s) => ticks.delete(sayStep(s, voice))).map((s) => s.key),
  };
}
