import { nameOf } from '../../edit/name';
import { swapPiece, swapsFor } from '../../edit/swap';
import { asEdit } from '../remedy';
import type { Idea } from '../remedy';
import { exchange, involved, singleBoxes } from './case';

const MOST_SWAPS = 6;

/** Another piece in the stead of one it is about. */
export const swapOne: Idea = (c) =>
  involved(c)
    .slice(-4)
    .reverse()
    .flatMap((p) =>
      swapsFor(c.context, c.placements, p.id)
        .slice(0, MOST_SWAPS)
        .flatMap(({ piece }) =>
          asEdit(`Swap ${nameOf(c.context, p)} for ${piece.code}`, swapPiece(c.context, c.placements, p.id, piece)),
        ),
    );

/** A box it is about changes places with another. */
export const exchangeBoxes: Idea = (c) => {
  const boxes = singleBoxes(c);
  return involved(c)
    .filter((p) => boxes.includes(p))
    .flatMap((a) => boxes.flatMap((b) => exchange(c, a, b)));
};
