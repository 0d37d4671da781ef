import { dayColumn } from '../book/columns';
import { difference, luminance } from '../color/color';
import type { Piece } from '../kit/kit';
import type { Draft, Stage } from './draft';
import { FOREIGN, byCost, piecesOf, strangeness } from './choose';
import type { Context } from './spread';
import { topOfDay } from './room';
import { trimTo } from './trim';

/** Words that open a whole day, best first; a blank or glitter strip serves as well. */
const OPENERS = ['today', 'this day', ''];

const printed = (p: Piece): string => p.words.trim().toLowerCase();

/** True for a header that may open a whole day. */
export const opensDay = (p: Piece): boolean => OPENERS.includes(printed(p));

/** One header at the top of each day, its colors in the sequence of the manner (handbook C4). */
export const headers: Stage = (before, context) => {
  if (context.options.headers === 'none') return before;
  const draft = before.clone();
  const designs = piecesOf(context, 'header').filter((p) => opensDay(p) && strangeness(p, context) <= FOREIGN);
  const wanted = colorSequence(designs, context.options.headers, draft);
  for (let day = 0; day < 7; day++) {
    const column = dayColumn(context.book, day);
    if (!column || draft.placements.some((p) => p.day === day && p.role === 'base' && draft.pieceOf(p)?.kind === 'header') || topOfDay(draft, context, day) > column.y) continue;
    const color = wanted[day];
    const piece = byCost(designs, (p) => (draft.ledger.untouched(p) > 0 && trimTo(p, column.w) !== undefined ? rank(p, color) + strangeness(p, context) * 3 : Infinity))[0];
    if (!piece) continue;
    const cut = trimTo(piece, column.w) ?? null;
    const taken = draft.ledger.take(piece, cut);
    if (!taken) continue;
    draft.add(piece, taken, { page: column.page, x: column.x + (column.w - (cut?.w ?? piece.width)) / 2, y: column.y, role: 'base', day });
  }
  return draft;
};

const rank = (p: Piece, color: string | undefined): number =>
  (color ? Math.min(60, difference(p.color, color)) : 0) + OPENERS.indexOf(printed(p)) * 8;

/** The color wanted for each of the seven days, from the colors there are enough of. */
function colorSequence(designs: readonly Piece[], habit: Context['options']['headers'], draft: Draft): string[] {
  const counts = new Map<string, number>();
  for (const p of designs) counts.set(p.color, (counts.get(p.color) ?? 0) + draft.ledger.untouched(p));
  const colors = [...counts].filter(([, n]) => n > 0).sort((a, b) => b[1] - a[1]).map(([c]) => c);
  const at = (i: number): string => colors[Math.min(i, colors.length - 1)] ?? '';
  if (!colors.length) return [];
  const days = [0, 1, 2, 3, 4, 5, 6];
  switch (habit) {
    case 'same':
      return days.map(() => at(0));
    case 'blocked':
      return days.map((d) => at(d < 4 ? 0 : 1));
    case 'fanned': {
      const dark = [...colors].sort((a, b) => luminance(a) - luminance(b));
      return days.map((d) => dark[Math.min(Math.abs(d - 3), dark.length - 1)] as string);
    }
    default:
      return days.map((d) => at(d % 2));
  }
}
