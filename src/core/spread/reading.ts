import type { Kind } from '../kit/kinds';
import { pieceKey } from '../kit/kit';
import type { Demand } from '../week/demand';
import { inTimeOrder } from '../week/demand';
import type { Context, Placement } from './placement';
import { isWriting, pieceIndex } from './placement';

/** A sticker as it is read out; its kind is null where it is ink on the paper. */
export interface ReadPiece {
  readonly id: string;
  readonly kind: Kind | null;
  /** what is written or printed on it, or pictured */
  readonly words: string;
  readonly locked: boolean;
}

/** An item of a day with all that carries it, the lowest layer first; nothing: it has no place. */
export interface ReadItem {
  readonly demand: Demand;
  readonly carriers: readonly ReadPiece[];
}

/** A day of the spread, or what lies on it beside the days. */
export interface ReadPart {
  /** 0-6 from the first day of the week on; null: beside the days */
  readonly day: number | null;
  readonly items: readonly ReadItem[];
  /** stickers that carry no item, from the top of the page down */
  readonly others: readonly ReadPiece[];
}

/** A spread in the order in which it would be read out: day by day its items in time order, then what adorns it. */
export function readingOf(
  context: Pick<Context, 'kit' | 'stash' | 'week'>,
  placements: readonly Placement[],
): ReadPart[] {
  const index = pieceIndex(context);
  const read = (p: Placement): ReadPiece => {
    const piece = index.get(pieceKey(p));
    const words = (p.text ?? '').split('\n').join(' ') || piece?.words || piece?.motif || piece?.icon || '';
    return { id: p.id, kind: isWriting(p) ? null : (piece?.kind ?? null), words, locked: p.locked };
  };
  const down = [...placements].sort((a, b) => a.page - b.page || a.y - b.y || a.x - b.x || a.layer - b.layer);
  const carriersOf = ({ uid, day: begins, lastDay }: Demand, day: number): ReadPiece[] =>
    down
      .filter(
        (p) => p.items.includes(uid) && (p.day === day || p.day === null || (begins < lastDay && p.day === begins)),
      )
      .sort((a, b) => a.layer - b.layer)
      .map(read);
  const part = (day: number | null): ReadPart => ({
    day,
    items:
      day === null
        ? []
        : context.week.demands
            .filter((d) => d.day <= day && d.lastDay >= day)
            .sort(inTimeOrder)
            .map((demand) => ({ demand, carriers: carriersOf(demand, day) })),
    others: down.filter((p) => p.day === day && p.items.length === 0).map(read),
  });
  return [...context.week.days.map((_, day) => part(day)), part(null)];
}
