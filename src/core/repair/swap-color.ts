import { FOREIGN, strangeness } from '../spread/choose';
import { Draft } from '../spread/draft';
import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import type { Hex } from '../color/color';
import { ONE_COLOR, difference } from '../color/color';
import type { Change } from '../edit/change';
import { apply, between } from '../edit/change';
import { swapPiece, swapsFor } from '../edit/swap';
import { isStrip, traits } from '../kit/kinds';
import { palette, pieceKey } from '../kit/kit';

/** Of a kit's colors so many are offered, the most seen first. */
const PALETTE = 12;

/** A color of the kit changed for another of its colors. */
export interface ColorSwap {
  readonly to: Hex;
  readonly change: Change;
  /** pieces that change */
  readonly swapped: number;
  /** pieces of the old color that stay, since nothing of the new one fits there, or they are stuck down */
  readonly left: number;
}

/**
 * Another color in the stead of one, all over the spread: each piece of it for one of the new color that fits in its
 * very place, with its items and its text; nothing moves, and what is locked stays. For each color that the kit has,
 * the one that changes most first.
 */
export function colorSwaps(context: Context, placements: readonly Placement[], from: Hex): ColorSwap[] {
  const index = pieceIndex(context);
  const ofColor = placements.filter((p) => {
    const piece = index.get(pieceKey(p));
    return (
      piece && !isStrip(piece.kind) && traits(piece.kind).overlay !== true && difference(piece.color, from) < ONE_COLOR
    );
  });
  const ledger = Draft.begin(context, placements).ledger;
  const there = [context.kit, ...context.stash]
    .flatMap((k) => k.pieces)
    .filter((p) => ledger.untouched(p) > 0 && strangeness(p, context) <= FOREIGN);
  const colors = palette(context.kit, PALETTE)
    .reduce<Hex[]>((all, c) => (all.some((o) => difference(o, c) < ONE_COLOR) ? all : [...all, c]), [])
    .filter((c) => difference(c, from) >= ONE_COLOR && there.some((p) => difference(p.color, c) < ONE_COLOR));
  return colors
    .flatMap((to): ColorSwap[] => {
      let now = placements;
      let swapped = 0;
      for (const p of ofColor) {
        const offer = p.locked
          ? undefined
          : swapsFor(context, now, p.id).find((s) => difference(s.piece.color, to) < ONE_COLOR);
        const change = offer && swapPiece(context, now, p.id, offer.piece);
        if (!change) continue;
        now = apply(now, change);
        swapped++;
      }
      return swapped
        ? [
            {
              to,
              swapped,
              left: ofColor.length - swapped,
              change: between(placements, now, { do: 'recolor', from, to }),
            },
          ]
        : [];
    })
    .sort((a, b) => b.swapped - a.swapped);
}
