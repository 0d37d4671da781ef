import { thingOf, thingOfPiece } from '../../edit/thing';
import { Draft } from '../../spread/draft';
import { swapPiece, swapsFor } from '../../edit/swap';
import { isStrip } from '../../kit/kinds';
import { tidy } from '../../measure/length';
import { replaceSpoiled } from '../../repair/replace';
import type { Idea } from '../remedy';
import { asEdit } from '../remedy';
import { altered, involved, pieceOf } from './case';

/** Another copy of the same design, or what suits best in its stead. */
export const anotherCopy: Idea = (c) =>
  involved(c).flatMap((p) =>
    asEdit(
      { do: 'take another', thing: thingOf(c.context, p) },
      replaceSpoiled(c.context, c.placements, p.id)?.change ?? null,
    ),
  );

/** A strip cut from what is left of a begun one. */
export const cutFromLeftover: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    if (!piece || !isStrip(piece.kind)) return [];
    const taken = Draft.begin(
      c.context,
      c.placements.filter((q) => q.id !== p.id),
    ).ledger.takeLength(piece, p.w, p.h);
    return taken && taken.copy !== p.copy
      ? altered({ do: 'cut', how: 'from the leftover' }, p, {
          copy: taken.copy,
          cut: taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: tidy(taken.cut.w), h: tidy(taken.cut.h) },
        })
      : [];
  });

/** Pieces tried for a stash that is soon over. */
const TRIED = 40;

/** A piece of the stash that is soon over, where it suits, in another's stead. */
export const useWhatIsSoonOver: Idea = (c) => {
  const { kit } = c.finding.about;
  if (!kit) return [];
  return c.placements
    .filter((p) => !p.locked && p.layer === 0 && ['day', 'box', 'finish'].includes(p.role))
    .slice(0, TRIED)
    .flatMap((p) =>
      swapsFor(c.context, c.placements, p.id)
        .filter((s) => s.piece.kit === kit)
        .slice(0, 1)
        .flatMap(({ piece }) =>
          asEdit(
            { do: 'swap', thing: thingOf(c.context, p), by: thingOfPiece(piece), soonOver: true },
            swapPiece(c.context, c.placements, p.id, piece),
          ),
        ),
    );
};
