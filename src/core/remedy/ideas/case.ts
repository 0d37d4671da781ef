import { thingOf } from '../../edit/thing';
import { between } from '../../edit/change';
import type { Deed } from '../../edit/deed';
import type { Change } from '../../edit/change';
import { footprint, pieceIndex } from '../../spread/placement';
import type { Placement } from '../../spread/placement';
import type { Region } from '../../book/book';
import { openPaper } from '../../book/columns';
import { pieceKey } from '../../kit/kit';
import { intersect } from '../../measure/rect';
import type { Rect } from '../../measure/rect';
import { asEdit } from '../remedy';
import type { Case, Remedy } from '../remedy';

export const involved = ({ placements, finding }: Case): Placement[] =>
  finding.placements.flatMap((id) => placements.find((p) => p.id === id && !p.locked) ?? []);
export const pieceOf = ({ context }: Case, p: Placement) => pieceIndex(context).get(pieceKey(p));
/** One placement otherwise. */
export const altered = (deed: Deed, p: Placement, to: Partial<Placement>): Remedy[] =>
  asEdit(deed, { deed, before: [p], after: [{ ...p, ...to }] });

/** The spread as it shall be. */
export const reached = (c: Case, deed: Deed, after: readonly Placement[]): Remedy[] =>
  asEdit(deed, between(c.placements, after, deed));

/** An edit that says itself what it does. */
export const asItIs = (change: Change | null): Remedy[] => (change ? asEdit(change.deed, change) : []);

export const homeOf = (c: Case, p: Placement): Region | (Rect & { page: number }) | undefined => {
  if (p.role === 'sidebar') return c.context.book.regions.find((r) => r.kind === 'sidebar' && r.page === p.page);
  const kind = pieceOf(c, p)?.kind;
  const header = kind === 'date-cover' || kind === 'date-dot';
  if (p.day !== null)
    return c.context.book.regions.find((r) => r.kind === (header ? 'date-header' : 'day') && r.day === p.day);
  return (
    c.context.book.regions.find((r) => r.page === p.page && intersect(r, footprint(p))) ?? {
      page: p.page,
      ...openPaper(c.context.book, p.page),
    }
  );
};

/** Full boxes of one piece that may be moved. */
export const singleBoxes = (c: Case): Placement[] =>
  c.placements.filter(
    (p) =>
      p.role === 'box' &&
      !p.locked &&
      pieceOf(c, p)?.kind === 'full-box' &&
      c.placements.filter((q) => q.kit === p.kit && q.code === p.code && q.copy === p.copy).length === 1,
  );

/** Two boxes of one size change places. */
export function exchange(c: Case, a: Placement, b: Placement): Remedy[] {
  if (a === b || Math.abs(a.w - b.w) > 0.1 || Math.abs(a.h - b.h) > 0.1) return [];
  const face = ({ kit, code, copy, cut }: Placement) => ({ kit, code, copy, cut });
  const deed: Deed = { do: 'change places', things: [thingOf(c.context, a), thingOf(c.context, b)] };
  return asEdit(deed, {
    deed,
    before: [a, b],
    after: [
      { ...a, ...face(b) },
      { ...b, ...face(a) },
    ],
  });
}
