import type { Placement } from '../core/spread/placement';
import { INK, isWriting } from '../core/spread/placement';
import type { Database } from './database';
import { asRect, asStrings } from './json';
import type { PlacementTable, WritingTable } from './schema';

/** SQLite takes so many values at once; a placement has twenty. */
const AT_ONCE = 200;

/** @param ids those that are asked for; all where none are given */
export async function placementsOf(db: Database, spreadId: number, ids?: readonly string[]): Promise<Placement[]> {
  const stickersOf = db.selectFrom('placement').selectAll().where('spread_id', '=', spreadId);
  const writingsOf = db.selectFrom('writing').selectAll().where('spread_id', '=', spreadId);
  const [stickers, writings] = await Promise.all([
    (ids ? stickersOf.where('id', 'in', ids) : stickersOf).execute(),
    (ids ? writingsOf.where('id', 'in', ids) : writingsOf).execute(),
  ]);
  return [...stickers.map(fromRow), ...writings.map(fromWriting)].sort(
    (a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)),
  );
}

/** Takes some placements away and adds others. */
export async function replacePlacements(
  trx: Database,
  spreadId: number,
  gone: readonly string[],
  come: readonly Placement[],
): Promise<void> {
  if (gone.length)
    for (const table of ['placement', 'writing'] as const)
      await trx.deleteFrom(table).where('spread_id', '=', spreadId).where('id', 'in', gone).execute();
  const stickers = come.filter((p) => !isWriting(p)).map((p) => toRow(spreadId, p));
  for (let i = 0; i < stickers.length; i += AT_ONCE)
    await trx
      .insertInto('placement')
      .values(stickers.slice(i, i + AT_ONCE))
      .execute();
  const writings = come.filter(isWriting).map((p) => toWriting(spreadId, p));
  for (let i = 0; i < writings.length; i += AT_ONCE)
    await trx
      .insertInto('writing')
      .values(writings.slice(i, i + AT_ONCE))
      .execute();
}

const toRow = (spread_id: number, { kit, cut, items, locked, ...rest }: Placement): PlacementTable => ({
  ...rest,
  spread_id,
  kit_id: kit,
  cut: cut && JSON.stringify(cut),
  items: JSON.stringify(items),
  locked: locked ? 1 : 0,
});

function toWriting(spread_id: number, p: Placement): WritingTable {
  const { id, page, x, y, w, h, layer, role, day, items, text, ink, size, locked } = p;
  const place = { id, page, x, y, w, h, layer, role, day };
  return { spread_id, ...place, items: JSON.stringify(items), text, ink, size, locked: locked ? 1 : 0 };
}

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

const fromWriting = ({ spread_id: _, items, locked, role, ...rest }: WritingTable): Placement => ({
  ...INK,
  ...rest,
  role: isRole(role) ? role : 'day',
  items: asStrings(items),
  locked: locked === 1,
});
