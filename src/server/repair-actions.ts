'use server';

import { revalidatePath } from 'next/cache';
import { contextFrom } from '../core/spread/context';
import { BadInput } from '../core/format/fault';
import type { Repair } from '../core/repair/let-in';
import { replaceAll, replaceSpoiled } from '../core/repair/replace';
import type { StockEvent } from '../core/kit/stock';
import { stockOfKit } from '../core/kit/stock';
import type { Placement } from '../core/spread/placement';
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
      const lost = what === 'spoiled' ? [spoiled(gone)] : await allWhole(trx, gone, before.context.week.week, repair);
      await makeEdit(trx, spreadId, repair.change, lost);
    });
    revalidatePath('/', 'layout');
    const spread = await loadSpread(spreadId);
    if (!spread) throw new BadInput([{ file: 'sticker', where: 'spread', found: 'none', expected: 'a spread' }]);
    return { repair, changed: repair.change.after.map((p) => p.id), spread };
  });
}

/** The part of a sticker that lies there, spoiled; what else is left of it stays. */
const spoiled = ({ kit, code, copy, cut }: Placement): StockEvent => ({
  what: 'spoiled',
  kit,
  code,
  copy,
  cut,
  reason: 'spoiled while sticking',
});

/** All copies of a design that are whole when a repair has taken up what it does, used: none of them was found. */
async function allWhole(
  db: Database,
  { kit: name, code }: Placement,
  week: string,
  { change }: Repair,
): Promise<StockEvent[]> {
  const kit = await findKit(db, name);
  const lifted = new Set(change.before.filter((p) => p.kit === name && p.code === code).map((p) => p.copy));
  const uses = (await usesOf(db, name)).filter((u) => u.where !== week || u.code !== code || !lifted.has(u.copy));
  const stock = kit ? stockOfKit(kit, uses, await stockEvents(db, name)) : [];
  const copies = stock.find((l) => l.piece.code === code)?.copies ?? [];
  return copies
    .filter((c) => c.state === 'whole')
    .map(({ copy }) => ({ what: 'used', kit: name, code, copy, cut: null, reason: 'none was left' }));
}
