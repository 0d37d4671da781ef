import { sql } from 'kysely';
import type { DesignUse, KitCost, WeekUse } from '../core/keep/tables-of-kits';
import { calledName } from '../core/kit/kit';
import type { Database } from './database';
import { gatheredFacts } from './gathered';
import { listKits } from './kits';

/** Every design of some kits with the copies that there are, and those that were begun: laid, used or spoiled. */
export async function designUse(db: Database, kits: readonly string[]): Promise<DesignUse[]> {
  if (!kits.length) return [];
  const { rows } = await sql<DesignUse>`
    select p.kit_id as kit, p.code, p.kind, p.count,
      (select count(*) from copy_state c where c.kit_id = p.kit_id and c.code = p.code and c.copy <= p.count
        and (c.placed > 0 or c.gone > 0 or c.spoiled > 0)) as used
    from piece p where p.kit_id in (${sql.join([...kits])}) order by p.kit_id, p.position`.execute(db);
  return rows.map((r) => ({ ...r }));
}

/** Kits that were bought and that nothing was taken from yet; a stash is no kit, nor is what was gathered. */
export const untouchedKits = async (db: Database): Promise<string[]> =>
  (
    await db
      .selectFrom('kit_stock')
      .innerJoin('kit', 'kit.id', 'kit_stock.kit_id')
      .select(['kit_id', 'facts'])
      .where('role', '=', 'kit')
      .where('touched', '=', 0)
      .orderBy('kit_id')
      .execute()
  ).flatMap((r) => (gatheredFacts(r.facts) ? [] : [r.kit_id]));

/** Stickers of each kit on the spreads of some weeks; one that is cut in parts is one. */
export async function weekUse(db: Database, first: string, last: string): Promise<WeekUse[]> {
  const { rows } = await sql<WeekUse>`
    select s.week, p.kit_id as kit, count(distinct p.code || '#' || p.copy) as stickers
    from spread s join placement p on p.spread_id = s.id
    where s.week between ${first} and ${last} group by s.week, p.kit_id order by s.week`.execute(db);
  return rows.map((r) => ({ ...r }));
}

export async function kitCosts(db: Database): Promise<KitCost[]> {
  return (await listKits(db)).map(({ id, role, facts }) => ({
    kit: id,
    title: calledName({ name: id, ...(facts.title ? { title: facts.title } : {}) }),
    price: facts.price,
    stash: role === 'stash',
  }));
}
