'use server';

import { revalidatePath } from 'next/cache';
import { contextFrom } from '../core/spread/context';
import { BadInput } from '../core/format/fault';
import type { Repair } from '../core/repair/let-in';
import { replaceAll, replaceSpoiled } from '../core/repair/replace';
import { stockOfKit } from '../core/kit/stock';
import { editKits } from '../db/kit-edits';
import { findKit } from '../db/kits';
import { together } from '../db/database';
import { makeEdit } from '../db/spread-edits';
import { stockEvents, usesOf } from '../db/stock';
import type { Database } from '../db/database';
import { check } from './dto/check';
import { MishapDto } from './dto/spread.dto';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** What became of a mishap, and the spread as it is now. */
export interface Mended {
  readonly repair: Repair;
  readonly changed: readonly string[];
  readonly spread: SpreadData;
}

/**
 * A sticker was spoiled, or none of its design is left: another takes its place with the fewest moves, what is locked
 * stays, and the stock knows of it.
 */
export async function mend(input: unknown): Promise<Outcome<Mended>> {
  return outcome(async () => {
    const { spreadId, placement: id, what } = check(MishapDto, input, 'sticker');
    const db = await store();
    const before = await loadSpread(spreadId);
    const gone = before?.placements.find((p) => p.id === id);
    if (!before || !gone)
      throw new BadInput([{ file: 'sticker', where: 'placement', found: id, expected: 'a piece of this spread' }]);
    const context = contextFrom(before.context);
    const repair =
      what === 'spoiled'
        ? replaceSpoiled(context, before.placements, id)
        : replaceAll(context, before.placements, gone.kit, gone.code);
    if (!repair)
      throw new BadInput([
        {
          file: 'sticker',
          where: gone.code,
          found: 'no other sticker that fits there',
          expected: 'that it is taken off; its items then wait for a place',
        },
      ]);
    await together(db, async (trx) => {
      await makeEdit(trx, spreadId, repair.change);
      await noteStock(trx, gone.kit, gone.code, what, gone.copy);
    });
    revalidatePath('/', 'layout');
    const spread = await loadSpread(spreadId);
    if (!spread) throw new BadInput([{ file: 'sticker', where: 'spread', found: 'none', expected: 'a spread' }]);
    return { repair, changed: repair.change.after.map((p) => p.id), spread };
  });
}

/** A copy that was spoiled; or all that are whole, when there is none. */
async function noteStock(
  db: Database,
  kitName: string,
  code: string,
  what: 'spoiled' | 'out',
  copy: number,
): Promise<void> {
  const kit = await findKit(db, kitName);
  const line =
    kit &&
    stockOfKit(kit, await usesOf(db, kitName), await stockEvents(db, kitName)).find((l) => l.piece.code === code);
  if (!line) return;
  const copies = line.copies.filter((c) => c.state === 'whole' && (what === 'out' || c.copy === copy));
  const reason = what === 'spoiled' ? 'spoiled while sticking' : 'none was left';
  if (copies.length)
    await editKits(
      db,
      { do: 'stock', what: what === 'spoiled' ? 'spoiled' : 'used', code, reason },
      copies.map((c) => ({
        table: 'stock_event' as const,
        key: null,
        row: { what: what === 'spoiled' ? 'spoiled' : 'used', kit_id: kitName, code, copy: c.copy, reason },
      })),
    );
}
