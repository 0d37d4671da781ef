import type { Taste } from '../core/edit/liking';
import type { Database } from './database';

/** What was learned of one sticker's design: over nothing it is liked, under nothing it is not. */
export interface Like {
  readonly kit: string;
  readonly code: string;
  readonly weight: number;
  /** its owner does not want it heeded */
  readonly off: boolean;
}

/** A taste never weighs more than this, however often it was shown. */
export const MOST_LIKED = 5;

export async function listLikes(db: Database): Promise<Like[]> {
  const rows = await db
    .selectFrom('learned_like')
    .selectAll()
    .where('weight', '!=', 0)
    .orderBy('weight', 'desc')
    .orderBy('kit_id')
    .orderBy('code')
    .execute();
  return rows.map((r) => ({ kit: r.kit_id, code: r.code, weight: r.weight, off: r.off === 1 }));
}

/** What is to be heeded of some kits. */
export async function likesOf(db: Database, kits: readonly string[]): Promise<Like[]> {
  const rows = await db
    .selectFrom('learned_like')
    .selectAll()
    .where('kit_id', 'in', kits)
    .where('weight', '!=', 0)
    .where('off', '=', 0)
    .execute();
  return rows.map((r) => ({ kit: r.kit_id, code: r.code, weight: r.weight, off: false }));
}

/** Learns what an edit says. @returns by how much each weight truly changed: to unlearn it is to learn its opposite */
export async function learn(trx: Database, tastes: readonly Taste[]): Promise<Taste[]> {
  const learned: Taste[] = [];
  for (const { kit, code, by } of tastes) {
    const known = await trx
      .selectFrom('learned_like')
      .select('weight')
      .where('kit_id', '=', kit)
      .where('code', '=', code)
      .executeTakeFirst();
    const before = known?.weight ?? 0;
    const weight = Math.max(-MOST_LIKED, Math.min(MOST_LIKED, before + by));
    if (weight === before) continue;
    await trx
      .insertInto('learned_like')
      .values({ kit_id: kit, code, weight })
      .onConflict((c) => c.columns(['kit_id', 'code']).doUpdateSet({ weight }))
      .execute();
    learned.push({ kit, code, by: weight - before });
  }
  return learned;
}

export async function switchLike(db: Database, kit: string, code: string, off: boolean): Promise<void> {
  await db
    .updateTable('learned_like')
    .set({ off: off ? 1 : 0 })
    .where('kit_id', '=', kit)
    .where('code', '=', code)
    .execute();
}

export async function forgetLikes(db: Database): Promise<void> {
  await db.deleteFrom('learned_like').execute();
}
