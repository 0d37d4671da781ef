import type { Taste } from '../core/edit/liking';
import type { Database } from './database';

/** What was learned of one sticker's design: over nothing it is liked, under nothing it is not. */
export interface Like {
  readonly piece: string;
  readonly weight: number;
  /** its owner does not want it heeded */
  readonly off: boolean;
}

/** A taste never weighs more than this, however often it was shown. */
const MOST = 5;

export async function listLikes(db: Database): Promise<Like[]> {
  const rows = await db
    .selectFrom('learned_like')
    .selectAll()
    .where('weight', '!=', 0)
    .orderBy('weight', 'desc')
    .orderBy('piece')
    .execute();
  return rows.map((r) => ({ piece: r.piece, weight: r.weight, off: r.off === 1 }));
}

export async function learn(db: Database, tastes: readonly Taste[]): Promise<void> {
  for (const { piece, by } of tastes) {
    const known = await db.selectFrom('learned_like').select('weight').where('piece', '=', piece).executeTakeFirst();
    const weight = Math.max(-MOST, Math.min(MOST, (known?.weight ?? 0) + by));
    await db
      .insertInto('learned_like')
      .values({ piece, weight, off: 0 })
      .onConflict((c) => c.column('piece').doUpdateSet({ weight }))
      .execute();
  }
}

export async function switchLike(db: Database, piece: string, off: boolean): Promise<void> {
  await db
    .updateTable('learned_like')
    .set({ off: off ? 1 : 0 })
    .where('piece', '=', piece)
    .execute();
}

export async function forgetLikes(db: Database): Promise<void> {
  await db.deleteFrom('learned_like').execute();
}
