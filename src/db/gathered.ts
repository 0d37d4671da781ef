import type { Theme } from '../core/kit/gather';
import type { Database } from './database';
import { transaction } from './database';
import { asObject } from './json';

/** The kit that was gathered for a week, by its name. */
export const gatheredFor = (week: string): string => `gathered-${week}`;

/** What a gathered kit knows of itself: it has no lines of its own, only names of other kits' stickers. */
export interface GatheredFacts {
  readonly title: string;
  readonly theme: Theme;
  /** `kit/code` of its stickers */
  readonly gathered: readonly string[];
}

/** What a kit row knows of what was gathered into it; null: it is a kit of its own. */
export function gatheredFacts(facts: string): GatheredFacts | null {
  const known = asObject(facts) as Partial<GatheredFacts>;
  return Array.isArray(known.gathered) ? (known as GatheredFacts) : null;
}

/** Keeps what was gathered for a week, in place of what was before. */
export function putGathered(db: Database, week: string, facts: GatheredFacts): Promise<void> {
  const row = { id: gatheredFor(week), role: 'kit' as const, facts: JSON.stringify(facts) };
  return transaction(db, async (trx) => {
    await trx
      .insertInto('kit')
      .values(row)
      .onConflict((c) => c.column('id').doUpdateSet({ facts: row.facts }))
      .execute();
  });
}
