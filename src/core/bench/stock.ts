import type { Context, Placement } from '../spread/placement';
import type { Offcut } from '../kit/offcut';
import { worthKeeping } from '../kit/offcut';
import type { Cut } from './cuts';
import { copyKey } from '../kit/ledger';

/**
 * What a spread leaves of one design (handbook K5): copies there were, copies touched, copies whole, offcuts worth
 * keeping.
 */
export interface StockLine {
  readonly kit: string;
  readonly code: string;
  readonly had: number;
  readonly used: number;
  readonly left: number;
  readonly offcuts: readonly Offcut[];
}

/** A line for every piece of the kit, and for each stash piece that the spread uses. */
export function stockOf(context: Context, placements: readonly Placement[], cuts: readonly Cut[]): StockLine[] {
  const elsewhere = new Set(context.usedElsewhere.map(copyKey));
  const used = new Set(placements.map(copyKey));
  return [context.kit, ...context.stash].flatMap((kit) =>
    kit.pieces.flatMap((piece) => {
      const copies = Array.from({ length: piece.count }, (_, i) => copyKey({ ...piece, copy: i + 1 }));
      const touched = copies.filter((c) => used.has(c));
      if (!touched.length && kit !== context.kit) return [];
      const had = copies.filter((c) => !elsewhere.has(c) || used.has(c)).length;
      const offcuts = cuts
        .filter((c) => c.kit === piece.kit && c.code === piece.code)
        .flatMap((c) => c.left.filter(worthKeeping));
      return [{ kit: piece.kit, code: piece.code, had, used: touched.length, left: had - touched.length, offcuts }];
    }),
  );
}
