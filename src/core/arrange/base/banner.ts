import { dayColumn, runsOfDays, weekendDays } from '../../book/columns';
import { right } from '../../measure/rect';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { layStrip } from './makeshift';
import { firstFree } from '../../spread/free-room';

/**
 * The weekend banner over Saturday and Sunday, under their headers, on two strips, when the book has them side by
 * side.
 */
export const banner: Stage = (before, context) => {
  if (!context.options.weekendBanner) return before;
  const draft = before.clone();
  const [saturday, sunday] = weekendDays(context.book);
  const runs = runsOfDays(
    context.book,
    [saturday, sunday].sort((a, b) => a - b),
  );
  const run = runs[0];
  if (
    !run ||
    runs.length > 1 ||
    run.days.length < 2 ||
    draft.placements.some((p) => draft.pieceOf(p)?.kind === 'banner')
  )
    return draft;
  const pieces = piecesOf(context, 'banner').filter((p) => draft.ledger.untouched(p) > 0);
  const piece = byCost(pieces, (p) => {
    const strange = strangeness(p, context);
    return p.width > run.span.w || strange > FOREIGN
      ? Infinity
      : strange + Math.abs(run.span.w - p.width) / 10 + p.height / 10;
  })[0];
  if (!piece) return draft; // K1 says what is lacking
  const y = firstFree(draft, context, run.days, piece.height);
  const taken = y === null ? null : draft.ledger.take(piece);
  if (y === null || !taken) return draft;
  const ground = context.ways.bannerGround
    ? layGround(draft, context, { ...run.span, page: run.page, y, h: piece.height })
    : 0;
  const first = dayColumn(context.book, saturday)?.x ?? run.span.x;
  const beginning = Math.min(first, right(run.span) - piece.width);
  const x = context.ways.banner === 'mostly Saturday' ? beginning : run.span.x + (run.span.w - piece.width) / 2;
  draft.add(piece, taken, { page: run.page, x, y, role: 'base', layer: ground });
  return draft;
};

/** Two strips over both days, one under the banner's upper half and one under its lower; gives the banner's layer. */
function layGround(
  draft: Draft,
  context: Context,
  at: { page: number; x: number; w: number; y: number; h: number },
): 0 | 1 {
  const half = at.h / 2;
  const upper = layStrip(
    draft,
    context,
    { page: at.page, x: at.x, w: at.w, y: 0, role: 'base', day: null, floor: at.y + half },
    Math.min(9, half),
  );
  const lower =
    upper &&
    layStrip(draft, context, { page: at.page, x: at.x, w: at.w, y: at.y + half, role: 'base', day: null }, upper.h);
  return upper || lower ? 1 : 0;
}
