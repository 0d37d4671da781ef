import type { LikedChoice } from '../core/manner/choices';
import type { Database } from './database';
import { MOST_LIKED } from './likes';

/** What was learned of a school's choices. */
export interface LearnedChoice extends LikedChoice {
  readonly manner: string;
  /** its owner does not want it heeded */
  readonly off: boolean;
}

export async function listChoices(db: Database): Promise<LearnedChoice[]> {
  const rows = await db
    .selectFrom('learned_choice')
    .selectAll()
    .where('weight', '!=', 0)
    .orderBy('weight', 'desc')
    .orderBy('manner')
    .orderBy('choice')
    .execute();
  return rows.map((r) => ({ ...r, off: r.off === 1 }));
}

/** What is to be heeded, by school. */
export async function heededChoices(db: Database): Promise<ReadonlyMap<string, readonly LikedChoice[]>> {
  const heeded = (await listChoices(db)).filter((c) => !c.off);
  return new Map(heeded.map(({ manner }) => [manner, heeded.filter((c) => c.manner === manner)]));
}

/** Learns by how much each choice of a school is liked more, or less. */
export async function learnChoices(trx: Database, manner: string, by: ReadonlyMap<string, number>): Promise<void> {
  for (const [choice, change] of by) {
    const known = await trx
      .selectFrom('learned_choice')
      .select('weight')
      .where('manner', '=', manner)
      .where('choice', '=', choice)
      .executeTakeFirst();
    const weight = Math.max(-MOST_LIKED, Math.min(MOST_LIKED, (known?.weight ?? 0) + change));
    await trx
      .insertInto('learned_choice')
      .values({ manner, choice, weight })
      .onConflict((c) => c.columns(['manner', 'choice']).doUpdateSet({ weight }))
      .execute();
  }
}

export async function switchChoice(db: Database, manner: string, choice: string, off: boolean): Promise<void> {
  await db
    .updateTable('learned_choice')
    .set({ off: off ? 1 : 0 })
    .where('manner', '=', manner)
    .where('choice', '=', choice)
    .execute();
}

export async function forgetChoices(db: Database): Promise<void> {
  await db.deleteFrom('learned_choice').execute();
}
