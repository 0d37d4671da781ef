import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';
import type { Region } from '../book/book';
import { pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import { dayColumn } from '../book/columns';
import { bottom, intersect, right } from '../measure/rect';
import type { Demand } from '../week/demand';
import { sortMinute } from '../week/demand';
import { stackOf } from '../edit/stack';

/** What moves in one piece down a column: a base with what lies on it, a list with its header and its second part. */
export interface Unit {
  readonly parts: readonly Placement[];
  readonly y: number;
  readonly h: number;
  /** minutes of its item; null for boxes and pictures */
  readonly minute: number | null;
  /** where in the day's order it stands; null for bands, and what has no part of the day: others may stand around it */
  readonly order: number | null;
  /** stuck down, or a header, a band, a banner: it never moves */
  readonly fixed: boolean;
  /** name of the list it is */
  readonly list: string | null;
}

/** mm */
const OVER = 1;
/** A header this near above a list belongs to it, mm. */
const BELONGS = 1.2;

/** What stands in a day's column, from its top on. */
export function unitsOf(context: Context, placements: readonly Placement[], column: Region): Unit[] {
  const pieces = pieceIndex(context);
  const kindOf = (p: Placement) => pieces.get(pieceKey(p))?.kind;
  const here = placements
    .filter((p) => p.page === column.page && p.layer === 0 && intersect(footprint(p), column))
    .sort((a, b) => a.y - b.y);
  const done = new Set<string>();
  const demands = context.week.demands;
  return here.flatMap((p, i): Unit[] => {
    if (done.has(p.id)) return [];
    const group = [p];
    for (const next of here.slice(i + 1)) {
      const last = group.at(-1) as Placement;
      const apart = footprint(next).y - bottom(footprint(last));
      const headed =
        group.length === 1 &&
        kindOf(p) === 'header' &&
        p.role === 'day' &&
        kindOf(next) === 'checklist' &&
        apart <= BELONGS;
      const joined =
        kindOf(last) === 'checklist' &&
        kindOf(next) === 'checklist' &&
        Math.abs(apart) < 0.2 &&
        pieceKey(last) === pieceKey(next);
      // a band's line goes on beside its label
      const beside = apart < 0 && isBandStrip(next, context);
      if (headed || joined || beside) group.push(next);
    }
    for (const q of group) done.add(q.id);
    const parts = [...new Map(group.flatMap((q) => stackOf(placements, q.id)).map((q) => [q.id, q])).values()];
    const items = demands.filter((d) => group.some((q) => q.items.includes(d.uid)) && d.day === p.day);
    const first = items[0];
    const feet = group.map((q) => bottom(footprint(q)));
    return [
      {
        parts,
        y: footprint(p).y,
        h: Math.max(...feet) - footprint(p).y,
        minute: first ? Math.min(...items.map(sortMinute)) : null,
        order: earliest(items, context),
        fixed:
          parts.some((q) => q.locked) ||
          p.role === 'base' ||
          first?.kind === 'band' ||
          (p.day !== column.day && !traits(kindOf(p) ?? 'label').overlay) ||
          isBandStrip(p, context),
        list: first?.list ?? null,
      },
    ];
  });
}

/** What keeps a unit in its order: the earliest of its hours and parts of the day. */
function earliest(items: readonly Demand[], { ways }: Context): number | null {
  const bound = items.filter(
    (d) => d.kind !== 'band' && (d.start !== null || d.part !== 'day') && (d.list === null || ways.lists === 'by time'),
  );
  return bound.length ? Math.min(...bound.map(sortMinute)) : null;
}

/** A strip, or a line of ink, that reaches over its day's column belongs to a band. */
const isBandStrip = (p: Placement, { week, book }: Context): boolean =>
  p.role === 'day' &&
  p.items.length === 0 &&
  week.demands.some((d) => d.kind === 'band' && d.day <= (p.day ?? -1) && d.lastDay >= (p.day ?? -1)) &&
  right(p) > right(dayColumn(book, p.day ?? 0) ?? p) + OVER;
