import { dayColumn, runsOfDays, weekendDays } from '../book/columns';
import { bottom } from '../measure/rect';
import { FOREIGN, byCost, piecesOf, strangeness } from './choose';
import type { Stage } from './draft';
import { topOfDay } from './room';

/** The weekend banner over Saturday and Sunday, under their headers, when the book has them side by side. */
export const banner: Stage = (before, context) => {
  if (!context.options.weekendBanner) return before;
  const draft = before.clone();
  const [saturday, sunday] = weekendDays(context.book);
  const runs = runsOfDays(context.book, [saturday, sunday].sort((a, b) => a - b));
  const run = runs[0];
  if (!run || runs.length > 1 || run.days.length < 2 || draft.placements.some((p) => draft.pieceOf(p)?.kind === 'banner')) return draft;
  const pieces = piecesOf(context, 'banner').filter((p) => draft.ledger.untouched(p) > 0);
  const piece = byCost(pieces, (p) => {
    const strange = strangeness(p, context);
    return p.width > run.span.w || strange > FOREIGN ? Infinity : strange + Math.abs(run.span.w - p.width) / 10 + p.height / 10;
  })[0];
  if (!piece) return draft; // K1 says what is lacking
  const y = Math.max(...run.days.map((d) => topOfDay(draft, context, d)));
  const column = dayColumn(context.book, run.days[0] as number);
  const taken = column && y + piece.height < bottom(column) ? draft.ledger.take(piece) : null;
  if (taken) draft.add(piece, taken, { page: run.page, x: run.span.x + (run.span.w - piece.width) / 2, y, role: 'base' });
  return draft;
};
