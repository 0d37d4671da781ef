import type { Correction, Hold, Objection } from '../core/kit/correction';
import { objectionsTo } from '../core/kit/correction';
import type { Kit } from '../core/kit/kit';
import type { Database } from './database';

/** A line or a kit that weeks have already: it cannot be changed or taken out so. Nothing was changed. */
export class Held extends Error {
  constructor(readonly objections: readonly (Objection | KitObjection)[]) {
    super(objections.map((o) => o.is).join(', '));
  }
}

/** A kit is what weeks are laid out with. */
export interface KitObjection {
  readonly is: 'kit of weeks';
  readonly kit: string;
  readonly weeks: readonly string[];
}

/** What holds the designs of a kit, by code. */
export async function holdsOf(db: Database, kit: string): Promise<Map<string, Hold>> {
  const placed = await db
    .selectFrom('placement')
    .innerJoin('spread', 'spread.id', 'placement.spread_id')
    .select(['code', 'week', (e) => e.fn.max('copy').as('highest')])
    .where('placement.kit_id', '=', kit)
    .groupBy(['code', 'week'])
    .orderBy('week')
    .execute();
  const gone = await db
    .selectFrom('stock_event')
    .select((e) => [
      'code',
      e.fn.max('copy').filterWhere('what', '!=', 'found').as('highest'),
      e.fn.countAll<number>().filterWhere('what', '=', 'found').as('found'),
    ])
    .where('kit_id', '=', kit)
    .groupBy('code')
    .execute();
  const holds = new Map<string, Hold>();
  const blank: Hold = { weeks: [], highest: 0, found: 0 };
  for (const { code, week, highest } of placed) {
    const { weeks, ...rest } = holds.get(code) ?? blank;
    holds.set(code, { ...rest, weeks: [...weeks, week], highest: Math.max(rest.highest, highest) });
  }
  for (const { code, highest, found } of gone) {
    const hold = holds.get(code) ?? blank;
    holds.set(code, { ...hold, found, highest: Math.max(hold.highest, highest ?? 0) });
  }
  return holds;
}

/** @throws Held where a week has what a correction would change */
export async function mustNotBeHeld(db: Database, kit: Kit['name'], correction: Correction): Promise<void> {
  const objections = objectionsTo(correction, await holdsOf(db, kit));
  if (objections.length) throw new Held(objections);
}

/** @throws Held where weeks are laid out with a kit */
export async function mustBeNoWeeks(db: Database, kit: string): Promise<void> {
  const rows = await db.selectFrom('spread').select('week').where('kit_id', '=', kit).orderBy('week').execute();
  if (rows.length) throw new Held([{ is: 'kit of weeks', kit, weeks: rows.map((r) => r.week) }]);
}
