import type { Placement } from '../spread/placement';
import type { Piece } from '../kit/kit';
import { copyKey } from '../kit/ledger';
import { dayColumn } from '../book/columns';
import type { Height } from '../manner/rhythm';
import { bounds, centerY } from '../measure/rect';
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

/** How high the box of each day stands in its column; null where none does. */
export const heightsOf = (
  { context }: Pick<View, 'context'>,
  boxes: readonly Pick<WholeBox, 'days' | 'rect'>[],
): (Height | null)[] =>
  context.week.days.map((_, day) => {
    const [box, column] = [boxes.find((b) => b.days.includes(day)), dayColumn(context.book, day)];
    return box && column ? (centerY(box.rect) < centerY(column) ? 'high' : 'low') : null;
  });
