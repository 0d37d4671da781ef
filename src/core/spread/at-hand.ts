import { pieceKey } from '../kit/kit';
import { Ledger } from '../kit/ledger';
import type { Context } from './placement';
import { pieceIndex } from './placement';

const known = new WeakMap<Context, Ledger>();

/**
 * What is there for a week before anything of it is laid: all copies but those that other weeks have used, and those
 * that are spoiled. K1, K2 and "is it enough" all count here. Not to be taken from.
 */
export function atHand(context: Context): Ledger {
  const before = known.get(context);
  if (before) return before;
  const pieces = pieceIndex(context);
  const ledger = Ledger.empty();
  for (const taken of context.usedElsewhere) {
    const piece = pieces.get(pieceKey(taken));
    if (piece) ledger.note(piece, taken);
  }
  known.set(context, ledger);
  return ledger;
}
