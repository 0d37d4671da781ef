import type { Placement } from '../spread/placement';
import type { Piece } from '../kit/kit';
import { copyKey } from '../kit/ledger';
import { bounds } from '../measure/rect';
import type { Rect } from '../measure/rect';
import type { View } from './finding';

/** One full or double box in the days, with all the parts it was cut into. */
export interface WholeBox {
  readonly piece: Piece;
  readonly parts: readonly Placement[];
  /** the days it stands on, first to last */
  readonly days: readonly number[];
  readonly rect: Rect & { readonly page: number };
}

/** The boxes of the days, each once, however many parts it has; Monday's first. */
export function boxesOf(view: Pick<View, 'placements' | 'pieceOf'>): WholeBox[] {
  const groups = new Map<string, Placement[]>();
  for (const p of view.placements) {
    const kind = view.pieceOf(p)?.kind;
    if (p.day !== null && p.role === 'box' && (kind === 'full-box' || kind === 'double-box'))
      groups.set(copyKey(p), [...(groups.get(copyKey(p)) ?? []), p]);
  }
  return [...groups.values()]
    .map((parts): WholeBox => {
      const first = parts[0] as Placement;
      return {
        piece: view.pieceOf(first) as Piece,
        parts,
        days: [...new Set(parts.map((p) => p.day as number))].sort((a, b) => a - b),
        rect: { ...bounds(parts), page: first.page },
      };
    })
    .sort((a, b) => (a.days[0] as number) - (b.days[0] as number));
}
