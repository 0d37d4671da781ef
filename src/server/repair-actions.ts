'use server';

import { contextFrom } from '../core/spread/context';
import { BadInput } from '../core/format/fault';
import type { Repair } from '../core/repair/let-in';
import { replaceAll, replaceSpoiled, takeAnother } from '../core/repair/replace';
import { stuckOff } from '../core/repair/stuck-off';
import type { StockEvent } from '../core/kit/stock';
import { stockOfKit } from '../core/kit/stock';
import { keepForLater } from '../core/edit/remove';
import type { Context, Placement } from '../core/spread/placement';
import { findKit } from '../db/kits';
import { makeEdit } from '../db/spread-edits';
import { stockEvents, usesOf } from '../db/stock';
import type { Database } from '../db/database';
import { check } from './dto/check';
import type { Mishap } from './dto/spread.dto';
import { MishapDto } from './dto/spread.dto';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';

/** What became of a mishap, and the spread as it is now. */
export interface Mended {
  readonly repair: Repair;
  readonly changed: readonly string[];
  readonly spread: SpreadData;
}

/**
 * A sticker was spoiled, or none of its design is left: another takes its place with the fewest moves, what is locked
 * stays, and the stock knows of it. One that is kept for later goes off, and no week takes it till it is used again.
 */
export async function mend(input: unknown): Promise<Outcome<Mended>> {
  return inOneStroke(async (trx) => {
    const { spreadId, placement: id, what, dx, dy } = check(MishapDto, input, 'sticker');
    const before = await loadSpread(spreadId);
    const gone = before?.placements.find((p) => p.id === id);
    if (!before || !gone)
      throw new BadInput([{ file: 'sticker', where: 'placement', found: id, expected: 'a piece of this spread' }]);
    const context = contextFrom(before.context);
    const repair = repairs[what](context, before.placements, gone, { dx, dy });
    if (!repair)
      throw new BadInput([
        {
          file: 'sticker',
          where: gone.code,
          ...(what === 'kept'
            ? { found: 'that it is locked, or carries others', expected: 'to be unlocked, and freed of them, first' }
            : {
                found: 'no other sticker that fits there',
                expected: 'that it is taken off; its items then wait for a place',
              }),
        },
      ]);
    const lost = what === 'out' ? await allWhole(trx, gone, before.context.week.week, repair) : lostBy(gone, what);
    await makeEdit(trx, spreadId, repair.change, lost);
    const spread = await loadSpread(spreadId);
    if (!spread) throw new BadInput([{ file: 'sticker', where: 'spread', found: 'none', expected: 'a spread' }]);
    return { repair, changed: repair.change.after.map((p) => p.id), spread };
  });
}

type Mend = (
  context: Context,
  placements: readonly Placement[],
  gone: Placement,
  off: { readonly dx: number; readonly dy: number },
) => Repair | null;
const repairs: { readonly [M in Mishap]: Mend } = {
  spoiled: (context, placements, { id }) => replaceSpoiled(context, placements, id),
  torn: (context, placements, { id }) => replaceSpoiled(context, placements, id),
  missing: (context, placements, { id }) => replaceSpoiled(context, placements, id, 'take another'),
  out: (context, placements, { kit, code }) => replaceAll(context, placements, kit, code),
  kept: (context, placements, { id, day }) => {
    const change = keepForLater(context, placements, id);
    return change && { change, moved: 0, day };
  },
  off: (context, placements, { id }, { dx, dy }) => stuckOff(context, placements, id, dx, dy),
  other: (context, placements, { id }) => takeAnother(context, placements, id),
};

/** What the stock loses by a mishap to one sticker. */
function lostBy(gone: Placement, what: Exclude<Mishap, 'out'>): StockEvent[] {
  switch (what) {
    case 'spoiled':
      return [thatPart(gone, 'spoiled', 'spoiled while sticking')];
    case 'torn':
      return [thatPart(gone, 'spoiled', 'torn')];
    case 'missing':
      return [thatPart(gone, 'used', 'was not on its sheet')];
    case 'kept':
      return [thatPart(gone, 'kept', 'kept for later')];
    default:
      return [];
  }
}

/** The part of a sticker that lies there; what else is left of it stays. */
const thatPart = ({ kit, code, copy, cut }: Placement, what: StockEvent['what'], reason: string): StockEvent => ({
  what,
  kit,
  code,
  copy,
  cut,
  reason,
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
