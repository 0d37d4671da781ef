import { swapPiece, swapsFor } from '../../edit/swap';
import type { Idea } from '../remedy';
import { asItIs, exchange, involved, singleBoxes } from './case';

/** Of each sticker so many others are tried, the nearest first. */
const MOST_SWAPS = 6;

/** Another piece in the stead of one it is about. */
export const swapOne: Idea = (c) =>
  involved(c)
    .slice(-4)
    .reverse()
    .flatMap((p) =>
      swapsFor(c.context, c.placements, p.id)
        .slice(0, MOST_SWAPS)
        .flatMap(({ piece }) => asItIs(swapPiece(c.context, c.placements, p.id, piece))),
    );

/** A box it is about changes places with another. */
export const exchangeBoxes: Idea = (c) => {
  const boxes = singleBoxes(c);
  return involved(c)
    .filter((p) => boxes.includes(p))
    .flatMap((a) => boxes.flatMap((b) => exchange(c, a, b)));
};
