import { dayColumn, pageOf } from '../book/columns';
import type { Book, Mark } from '../book/book';
import type { Rect } from '../measure/rect';
import { bottom, right } from '../measure/rect';
import type { Context, Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { fillsColumn } from './measure-from';
import type { WhiteOut } from './white-out';

/** An edge that can be found with a ruler, and how far a piece lies from it. */
export interface Measure {
  /** mm from the edge to the piece; 0: they touch */
  readonly mm: number;
  /** which side of the piece is measured */
  readonly side: 'left' | 'right' | 'top';
  readonly from: EdgeOf;
}

export type EdgeOf =
  | { readonly is: 'page' }
  | { readonly is: 'column'; readonly day: number }
  /** printed, and neither covered nor whited out */
  | { readonly is: 'mark'; readonly kind: Mark['kind'] }
  /** the foot of a piece that is down */
  | { readonly is: 'under'; readonly placement: string }
  /** the side of a piece that is down, to whose right or left it lies */
  | { readonly is: 'beside'; readonly placement: string }
  /** its top is level with that of a piece that is down */
  | { readonly is: 'level'; readonly placement: string };

/** The two measures that a piece is laid by; `across` is null where it fills its column from edge to edge. */
export interface TwoEdges {
  readonly across: Measure | null;
  readonly down: Measure;
}

/** Nearer than this they touch, mm. */
const TOUCH = 0.35;
/** Nearer than this two tops are level, mm: one is laid by the other, and so on over the week. */
const LEVEL = 0.2;
/** Farther than this a ruler is laid to the page's own edge, mm. From memory. */
const REACH = 60;
/** As much of the piece's width, or of its height, must lie beside an edge that it is measured from. */
const SHARED = 0.4;
/** A neighbor's side is taken only where it is nearer by so much: a column's edge is found more easily, mm. */
const NEARER = 2;

/**
 * From which edges a piece is measured: across from its column or the page's outer edge, or from a piece beside it that
 * is nearer; down from what lies nearest
 * above it, a piece or a printed line that still shows, or from the page's top.
 * @param laid what is down already
 * @param whiteOut printed lines under it are not to be seen any more
 */
export function twoEdges(
  { book }: Pick<Context, 'book'>,
  p: Placement,
  laid: readonly Placement[],
  whiteOut: readonly WhiteOut[],
): TwoEdges {
  const foot = footprint(p);
  const near = laid.filter((q) => q.page === p.page && q.id !== p.id).map((q) => ({ q, at: footprint(q) }));
  return {
    across: fillsColumn(book, p) ? null : across(book, p, foot, near),
    down: down(book, p, foot, near, whiteOut),
  };
}

/** A piece that is down, and the room it takes. */
interface Laid {
  readonly q: Placement;
  readonly at: Rect;
}

function across(book: Book, p: Placement, foot: Rect, near: readonly Laid[]): Measure {
  const ruled = acrossBook(book, p, foot);
  const [beside] = near.flatMap(({ q, at }) => sideOf(q, at, foot)).sort((a, b) => a.mm - b.mm);
  return beside && beside.mm + NEARER < ruled.mm ? beside : ruled;
}

/** How far a piece lies to the right or to the left of another one. */
function sideOf(q: Placement, at: Rect, foot: Rect): Measure[] {
  const shared = Math.min(bottom(at), bottom(foot)) - Math.max(at.y, foot.y);
  if (shared < SHARED * Math.min(at.h, foot.h)) return [];
  const from = { is: 'beside', placement: q.id } as const;
  const [left, over] = [foot.x - right(at), at.x - right(foot)];
  if (left > -TOUCH) return [{ mm: touching(left), side: 'left', from }];
  return over > -TOUCH ? [{ mm: touching(over), side: 'right', from }] : [];
}

function acrossBook(book: Book, p: Placement, foot: Rect): Measure {
  const column = p.day === null ? undefined : dayColumn(book, p.day);
  if (column && p.day !== null && foot.x >= column.x - TOUCH && right(foot) <= right(column) + TOUCH) {
    const [left, over] = [foot.x - column.x, right(column) - right(foot)];
    const from = { is: 'column', day: p.day } as const;
    return left <= over ? { mm: touching(left), side: 'left', from } : { mm: touching(over), side: 'right', from };
  }
  const page = pageOf(book, p.page);
  const from = { is: 'page' } as const;
  return page.bindingSide === 'right'
    ? { mm: foot.x, side: 'left', from }
    : { mm: page.width - right(foot), side: 'right', from };
}

const touching = (mm: number): number => (Math.abs(mm) < TOUCH ? 0 : mm);

function down(book: Book, p: Placement, foot: Rect, near: readonly Laid[], whiteOut: readonly WhiteOut[]): Measure {
  const beside = (r: Rect): boolean =>
    Math.min(right(r), right(foot)) - Math.max(r.x, foot.x) >= SHARED * Math.min(foot.w, r.w);
  const found: Measure[] = [];
  for (const { q, at } of near) {
    const under = foot.y - bottom(at);
    if (under > -TOUCH && q.layer <= p.layer && beside(at))
      found.push({ mm: touching(under), side: 'top', from: { is: 'under', placement: q.id } });
    else if (Math.abs(foot.y - at.y) < LEVEL && q.day !== p.day && Math.abs(foot.x - at.x) < REACH)
      found.push({ mm: 0, side: 'top', from: { is: 'level', placement: q.id } });
  }
  for (const mark of book.marks) {
    if (mark.page !== p.page || mark.kind === 'circle' || !beside(mark)) continue;
    const under = foot.y - (mark.kind === 'box' ? mark.y : bottom(mark));
    if (under < -TOUCH || under > REACH) continue;
    const line = { x: mark.x, y: mark.y, w: mark.w, h: mark.kind === 'box' ? 0.3 : mark.h };
    const gone = (r: Rect): boolean => r.y < bottom(line) + 0.1 && bottom(r) > line.y - 0.1 && beside(r);
    if (near.some(({ at }) => gone(at)) || whiteOut.some((w) => w.page === p.page && gone(w))) continue;
    found.push({ mm: touching(under), side: 'top', from: { is: 'mark', kind: mark.kind } });
  }
  const page: Measure = { mm: foot.y, side: 'top', from: { is: 'page' } };
  const [best] = found.filter((m) => m.mm <= REACH).sort((a, b) => a.mm - b.mm);
  return best && best.mm < page.mm ? best : page;
}
