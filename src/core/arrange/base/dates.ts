import { dateHeader } from '../../book/columns';
import type { Region } from '../../book/book';
import type { Piece } from '../../kit/kit';
import { centerX, centerY } from '../../measure/rect';
import { dayOfMonth } from '../../week/day-names';
import type { Draft, Stage } from '../../spread/draft';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import { inkFor } from '../../spread/ink';
import type { Context } from '../../spread/placement';
import { trimTo } from '../../spread/trim';

/**
 * Date covers, and a dot with the right number on each (handbook B3, B5). Where a dot is lacking the number is
 * written.
 */
export const dates: Stage = (before, context) => {
  const draft = before.clone();
  context.week.days.forEach((isoDay, day) => {
    const header = dateHeader(context.book, day);
    if (!header) return;
    const there = draft.lyingIn(header.page, header).map((p) => ({ p, kind: draft.pieceOf(p)?.kind }));
    const kept = there.find(({ kind }) => kind === 'date-cover');
    const keptDot = there.find(({ kind }) => kind === 'date-dot');
    if (there.length > Number(kept !== undefined) + Number(keptDot !== undefined)) return; // something else lies there
    if (keptDot ? kept !== undefined || keptDot.p.layer === 0 : kept?.p.text) return;
    const number = String(dayOfMonth(isoDay));
    const dot = byCost(piecesOf(context, 'date-dot'), (p) =>
      p.words.trim() === number && fits(p, header) && draft.ledger.untouched(p) > 0
        ? strangeness(p, context)
        : Infinity,
    )[0];
    const needsNumber = !dot && !keptDot;
    const cover = kept
      ? (draft.pieceOf(kept.p) ?? null)
      : context.options.dateCovers
        ? layCover(draft, context, header, day, needsNumber ? number : null)
        : null;
    if (!dot || keptDot) return;
    const taken = draft.ledger.take(dot);
    if (taken)
      draft.add(dot, taken, {
        page: header.page,
        x: centerX(header) - dot.width / 2,
        y: centerY(header) - dot.height / 2,
        role: 'base',
        day,
        layer: cover && !hasHole(cover) ? 1 : 0,
      });
  });
  return draft;
};

/**
 * A cover with a hole lies over its dot; on any other the dot sits on top (handbook B3). Told by its motif, `hole` or
 * `ring`.
 */
export const hasHole = (cover: Pick<Piece, 'motif'>): boolean => ['hole', 'ring'].includes(cover.motif);

const fits = (p: Piece, header: Region): boolean => p.width <= header.w && p.height <= header.h;

function layCover(draft: Draft, context: Context, header: Region, day: number, number: string | null): Piece | null {
  const covers = byCost(piecesOf(context, 'date-cover'), (p) => {
    const strange = strangeness(p, context);
    if (draft.ledger.untouched(p) === 0 || strange > FOREIGN || trimTo(p, header.w, header.h) === undefined)
      return Infinity;
    const used = draft.placements.filter((q) => q.kit === p.kit && q.code === p.code);
    const beside = used.some((q) => q.day === day - 1);
    return strange + (beside ? 6 : 0) + used.length;
  });
  const cover = covers[0];
  if (!cover) return null;
  const cut = trimTo(cover, header.w, header.h) ?? null;
  const taken = draft.ledger.take(cover, cut);
  if (!taken) return null;
  const h = cut?.h ?? cover.height;
  const w = cut?.w ?? cover.width;
  draft.add(cover, taken, {
    page: header.page,
    x: header.x + (header.w - w) / 2,
    y: header.y + (header.h - h) / 2,
    role: 'base',
    day,
    layer: hasHole(cover) ? 1 : 0,
    text: number,
    ink: number ? inkFor(cover) : null,
  });
  return cover;
}
