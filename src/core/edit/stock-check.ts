import type { Context, Placement } from '../spread/placement';
import { isWriting, pieceIndex } from '../spread/placement';
import { pieceKey } from '../kit/kit';
import { Ledger } from '../kit/ledger';

/** Placements whose sticker does not exist, or is used already, here or in another week. */
export function overdrawnPlacements(context: Context, placements: readonly Placement[]): Placement[] {
  const pieces = pieceIndex(context);
  const ledger = Ledger.empty();
  for (const taken of context.usedElsewhere) {
    const piece = pieces.get(pieceKey(taken));
    if (piece) ledger.note(piece, taken);
  }
  return placements.filter((p) => {
    if (isWriting(p)) return false;
    const piece = pieces.get(pieceKey(p));
    return !piece || !ledger.note(piece, p);
  });
}
