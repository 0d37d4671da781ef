import type { Kit } from '../core/kit/kit';
import { untouchedOf } from '../core/kit/stock';
import type { Candidate } from '../core/kit/suggest';
import { daysOfWeek } from '../core/week/week';
import type { Database } from '../db/database';
import type { KitRow } from '../db/kits';
import type { KitSums } from '../db/stock';

/** The kits that a week can be laid out with, with what is left of each. */
export const candidatesOf = (
  rows: readonly KitRow[],
  kits: ReadonlyMap<string, Kit>,
  sums: readonly KitSums[],
  weeksAgo: ReadonlyMap<string, number> = new Map(),
): Candidate[] =>
  rows.flatMap(({ id, role, facts }): Candidate[] => {
    const [kit, sum] = [kits.get(id), sums.find((s) => s.kit === id)];
    if (role !== 'kit' || facts.retired || !kit || !sum) return [];
    return [{ kit, facts, left: sum.total ? untouchedOf(sum) / sum.total : 0, weeksAgo: weeksAgo.get(id) ?? null }];
  });

const DAY = 86_400_000;

/** How many weeks before a week each kit was laid out last. */
export async function weeksSince(db: Database, week: string): Promise<Map<string, number>> {
  const first = (name: string): number => Date.parse(daysOfWeek(name)[0] as string);
  const rows = await db
    .selectFrom('spread')
    .select((e) => ['kit_id', e.fn.max('week').as('last')])
    .where('week', '<', week)
    .groupBy('kit_id')
    .execute();
  return new Map(rows.map((r) => [r.kit_id, Math.round((first(week) - first(String(r.last))) / (7 * DAY))]));
}
