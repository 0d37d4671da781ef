import type { Placement } from '../core/spread/placement';
import type { Database } from './database';
import { asRect, asStrings } from './json';
import type { PlacementTable } from './schema';

/** SQLite takes so many values at once; a placement has twenty. */
const AT_ONCE = 200;

export async function placementsOf(db: Database, spreadId: number): Promise<Placement[]> {
  const rows = await db.selectFrom('placement').selectAll().where('spread_id', '=', spreadId).orderBy('id').execute();
  return rows.map(fromRow).sort((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
}

/** Takes some placements away and adds others. */
export async function replacePlacements(
  trx: Database,
  spreadId: number,
  gone: readonly string[],
  come: readonly Placement[],
): Promise<void> {
  if (gone.length)
    await trx.deleteFrom('placement').where('spread_id', '=', spreadId).where('id', 'in', gone).execute();
  for (let i = 0; i < come.length; i += AT_ONCE) {
    const rows = come.slice(i, i + AT_ONCE).map((p) => toRow(spreadId, p));
    await trx.insertInto('placement').values(rows).execute();
  }
}

const toRow = (spread_id: number, { kit, cut, items, locked, ...rest }: Placement): PlacementTable => ({
  ...rest,
  spread_id,
  kit_id: kit,
  cut: cut && JSON.stringify(cut),
  items: JSON.stringify(items),
  locked: locked ? 1 : 0,
});

const ROLES: ReadonlySet<string> = new Set<Placement['role']>(['base', 'sidebar', 'box', 'day', 'finish']);
const isRole = (role: string): role is Placement['role'] => ROLES.has(role);

function fromRow({ spread_id: _, kit_id, cut, items, locked, role, ...rest }: PlacementTable): Placement {
  return {
    ...rest,
    role: isRole(role) ? role : 'day',
    kit: kit_id,
    cut: asRect(cut),
    items: asStrings(items),
    locked: locked === 1,
  };
}
