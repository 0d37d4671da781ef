import { sql } from 'kysely';
import type { DesignUse, KitCost, WeekUse } from '../core/keep/tables-of-kits';
import { calledName } from '../core/kit/kit';
import type { Database } from './database';
import { listKits } from './kits';

/** Every design with the copies that there are, and those that were begun: laid, used or spoiled. */
export async function designUse(db: Database): Promise<DesignUse[]> {
  const { rows } = await sql<DesignUse>`
    select p.kit_id as kit, p.code, p.kind, p.count,
      (select count(*) from copy_state c where c.kit_id = p.kit_id and c.code = p.code and c.copy <= p.count
        and (c.placed > 0 or c.gone > 0 or c.spoiled > 0)) as used
    from piece p order by p.kit_id, p.position`.execute(db);
  return rows.map((r) => ({ ...r }));
}

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
