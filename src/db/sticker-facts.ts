import { sql } from 'kysely';
import type { Copy, Sticking } from '../core/edit/peels';
import { copyKey } from '../core/kit/ledger';
import type { Database } from './database';

/** Stickers of a spread that are stuck down, by `copyKey`. */
export async function stuckDown(db: Database, spreadId: number): Promise<ReadonlySet<string>> {
  const rows = await db
    .selectFrom('sticker_fact')
    .select(['kit_id', 'code', 'copy'])
    .where('spread_id', '=', spreadId)
    .where('down', '=', 1)
    .execute();
  return new Set(rows.map((r) => copyKey({ ...r, kit: r.kit_id })));
}

/** How often stickers of a spread were lifted again after they had been stuck down, by `copyKey` (handbook R3). */
export async function peelsOf(db: Database, spreadId: number): Promise<Record<string, number>> {
  const rows = await db
    .selectFrom('sticker_fact')
    .select(['kit_id', 'code', 'copy', 'peels'])
    .where('spread_id', '=', spreadId)
    .where('peels', '>', 0)
    .execute();
  return Object.fromEntries(rows.map((r) => [copyKey({ ...r, kit: r.kit_id }), r.peels]));
}

/** Keeps what an edit did to stickers stuck down; with `back`, takes that back. */
export async function noteSticking(trx: Database, spreadId: number, sticking: Sticking, back = false): Promise<void> {
  for (const copy of sticking.down) await note(trx, spreadId, copy, { down: back ? 0 : 1, peels: 0 });
  for (const copy of sticking.freed) await note(trx, spreadId, copy, { down: back ? 1 : 0, peels: 0 });
  for (const copy of sticking.peeled) await note(trx, spreadId, copy, { down: null, peels: back ? -1 : 1 });
}

async function note(
  trx: Database,
  spread_id: number,
  { kit, code, copy }: Copy,
  { down, peels }: { down: number | null; peels: number },
): Promise<void> {
  await trx
    .insertInto('sticker_fact')
    .values({ spread_id, kit_id: kit, code, copy, down: down ?? 0, peels: Math.max(0, peels) })
    .onConflict((c) =>
      c.columns(['spread_id', 'kit_id', 'code', 'copy']).doUpdateSet({
        ...(down === null ? {} : { down }),
        peels: sql<number>`max(0, sticker_fact.peels + ${peels})`,
      }),
    )
    .execute();
}
