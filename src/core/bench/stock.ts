import type { Context, Placement } from '../spread/placement';
import type { Offcut } from '../kit/offcut';
import { worthKeeping } from '../kit/offcut';
import type { Cut } from './cuts';
import { pieceKey } from '../kit/kit';

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
  const elsewhere = copiesByDesign(context.usedElsewhere);
  const used = copiesByDesign(placements);
  return [context.kit, ...context.stash].flatMap((kit) =>
    kit.pieces.flatMap((piece) => {
      const touched = used.get(pieceKey(piece)) ?? new Set<number>();
      if (!touched.size && kit !== context.kit) return [];
      const gone = [...(elsewhere.get(pieceKey(piece)) ?? [])].filter(
        (copy) => copy <= piece.count && !touched.has(copy),
      );
      const had = piece.count - gone.length;
      const offcuts = cuts
        .filter((c) => c.kit === piece.kit && c.code === piece.code)
        .flatMap((c) => c.left.filter(worthKeeping));
      return [{ kit: piece.kit, code: piece.code, had, used: touched.size, left: had - touched.size, offcuts }];
    }),
  );
}

function copiesByDesign(list: readonly Pick<Placement, 'kit' | 'code' | 'copy'>[]): Map<string, Set<number>> {
  const copies = new Map<string, Set<number>>();
  for (const p of list) copies.set(pieceKey(p), (copies.get(pieceKey(p)) ?? new Set()).add(p.copy));
  return copies;
}
