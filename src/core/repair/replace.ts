import type { Deed } from '../edit/deed';
import { Draft } from '../spread/draft';
import type { Context, Placement } from '../spread/placement';
import { matchDemands, pieceIndex } from '../spread/placement';
import { apply, between } from '../edit/change';
import { thingOf } from '../edit/thing';
import { removePiece } from '../edit/remove';
import { looksName } from '../spread/looks-name';
import { swapPiece, swapsFor } from '../edit/swap';
import { pieceKey } from '../kit/kit';
import { letIn } from './let-in';
import type { Repair } from './let-in';

/**
 * A sticker was spoiled: another copy in its stead, or the best suited other piece in the same place; where nothing
 * fits there, its items are let in again on other bases with the fewest moves. The spoiled copy is not used again.
 * @returns null when nothing can take its place
 * @example replaceSpoiled(context, placements, 'p12')?.change // to be given to `apply`
 */
export function replaceSpoiled(
  context: Context,
  placements: readonly Placement[],
  id: string,
  what: 'replace spoiled' | 'take another' = 'replace spoiled',
): Repair | null {
  const p = placements.find((q) => q.id === id);
  const piece = p && pieceIndex(context).get(pieceKey(p));
  if (!p || !piece) return null;
  const deed: Deed = { do: what, thing: thingOf(context, p) };
  const rest = placements.filter((q) => q.id !== id);
  const left = without(context, [p]); // what is lost is lost before another is looked for
  const ledger = Draft.begin(left, rest).ledger;
  const rows = piece.rows > 0 && p.cut ? Math.round(p.h / (piece.height / piece.rows)) : 0;
  const again = rows
    ? ledger.takeRows(piece, rows, p.w)
    : ledger.untouched(piece) > 0
      ? ledger.take(piece, p.cut)
      : null;
  if (again)
    return {
      change: { deed, before: [p], after: [{ ...p, copy: again.copy, cut: again.cut ?? p.cut, locked: false }] },
      moved: 0,
      day: p.day,
    };
  return inItsStead(left, placements, id, deed);
}

/** The week without some parts of stickers: nothing is made of them any more. */
const without = (context: Context, lost: readonly Pick<Placement, 'kit' | 'code' | 'copy' | 'cut'>[]): Context => ({
  ...context,
  usedElsewhere: [...context.usedElsewhere, ...lost.map(({ kit, code, copy, cut }) => ({ kit, code, copy, cut }))],
});

/**
 * Its owner changed their mind about a piece: the best suited other one lies there instead. The sticker itself is not
 * lost.
 * @returns null when nothing else fits there
 */
export function takeAnother(context: Context, placements: readonly Placement[], id: string): Repair | null {
  const p = placements.find((q) => q.id === id);
  // it is not lost, but it is not wanted there either
  return p
    ? inItsStead(without(context, [p]), placements, id, { do: 'take another', thing: thingOf(context, p) })
    : null;
}

/**
 * No copy of a piece is left: every placement of it that is not stuck down gets another piece. @returns one repair
 * for all; null when there is nothing to do or one cannot be replaced
 */
export function replaceAll(
  context: Context,
  placements: readonly Placement[],
  kit: string,
  code: string,
): Repair | null {
  const own = placements.filter((p) => p.kit === kit && p.code === code && !p.locked);
  if (!own.length) return null;
  const piece = pieceIndex(context).get(pieceKey({ kit, code }));
  const deed: Deed = { do: 'replace all', code, ...(piece && { looks: looksName(piece) }) };
  const copies = Array.from({ length: piece?.count ?? 0 }, (_, i) => ({ kit, code, copy: i + 1, cut: null }));
  const left = without(context, copies);
  let now = placements;
  let moved = 0;
  for (const p of own) {
    const repair = inItsStead(left, now, p.id, deed);
    if (!repair) return null;
    now = apply(now, repair.change);
    moved += repair.moved;
  }
  return { change: between(placements, now, deed), moved, day: null };
}

function inItsStead(context: Context, placements: readonly Placement[], id: string, deed: Deed): Repair | null {
  const unlocked = placements.map((p) => (p.id === id ? { ...p, locked: false } : p));
  const p = unlocked.find((q) => q.id === id) as Placement;
  const other = swapsFor(context, unlocked, id)[0];
  const swapped = other && swapPiece(context, unlocked, id, other.piece);
  if (swapped) return { change: between(placements, apply(unlocked, swapped), deed), moved: 0, day: p.day };
  const carried = [...matchDemands(placements, context.week.demands)]
    .filter(([, q]) => q.id === id)
    .map(([key]) => key);
  const removal = removePiece(context, unlocked, id);
  if (!removal) return null;
  let now: readonly Placement[] = apply(unlocked, removal);
  let moved = 0;
  for (const key of carried) {
    const repair = letIn(context, now, key);
    if (!repair) return null;
    now = apply(now, repair.change);
    moved += repair.moved;
  }
  return { change: between(placements, now, deed), moved, day: p.day };
}
