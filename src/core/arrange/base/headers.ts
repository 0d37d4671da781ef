import { dayColumn } from '../../book/columns';
import { rowFrames } from '../../book/rows';
import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import type { Rect } from '../../measure/rect';
import { bottom, centerY } from '../../measure/rect';
import { alignX } from '../../spread/align';
import type { ColorStock } from '../exact/color-sequence';
import { cheapestSequence, habitCost, withoutLoud } from '../exact/color-sequence';
import { colorBlocks } from '../days/color-blocks';
import { blocksOfDay } from '../days/day-blocks';
import { leastHeight } from '../days/least-height';
import type { Draft, Stage } from '../../spread/draft';
import type { Choice } from '../ladder/choice';
import { listRows } from '../ladder/list-rows';
import { UNRESERVED } from '../days/reserved';
import { FOREIGN, byCost, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import { foilCost } from '../../spread/foil';
import { layStrip } from './makeshift';
import type { Context } from '../../spread/placement';
import { topOfDay } from '../../spread/free-room';
import { restDays } from '../../spread/rest-days';
import { trimTo } from '../../spread/trim';
import { whim } from '../../spread/whim';

/** Words that open a whole day, best first; a blank or glitter strip serves as well. */
const OPENERS = ['today', 'this day', ''];
/** Words over the rows of a three-rows day, from its second row on. */
const ROW_WORDS: readonly (readonly string[])[] = [
  ['littles', 'daily', ''],
  ['to do', 'list', ''],
];
/** However few there are of a word, in this order of days they are on both pages, and apart (handbook K3). */
const EVENLY = [0, 4, 2, 6, 1, 5, 3];
/** A day's lists may take this share of its column before its header. From memory. */
const MOST_OF_LISTS = 0.6;

const printed = (p: Piece): string => p.words.trim().toLowerCase();

/** True for a header that may open a whole day. */
export const opensDay = (p: Piece): boolean => OPENERS.includes(printed(p));

/**
 * One header at the top of each day, its colors in the sequence of the habit (handbook C4); over each of its rows where
 * the rows are kept; under the day's lists where these stand at the top.
 */
export const headers: Stage = (before, context) => {
  if (context.options.headers === 'none') return before;
  const draft = before.clone();
  const wanted = wantedColors(draft, context);
  const rest = restDays(context);
  const bare = EVENLY.flatMap((day) => {
    const column = dayColumn(context.book, day);
    const taken =
      !column ||
      rest.has(day) ||
      draft.placements.some((p) => p.day === day && p.role === 'base' && draft.pieceOf(p)?.kind === 'header') ||
      topOfDay(draft, context, day) > column.y;
    return taken
      ? []
      : [{ day, column, color: wanted[day], frames: context.ways.keepsRows ? rowFrames(context.book, day) : [] }];
  });
  for (const { day, column, color, frames } of bare) {
    if (context.ways.lists === 'top') layLists(draft, context, day, column);
    layHeader(draft, context, {
      day,
      column,
      y: frames[0] ? Math.max(column.y, frames[0].y - HEADER) : topOfDay(draft, context, day),
      words: OPENERS,
      color,
    });
  }
  const blocks = colorBlocks(context);
  for (const { day, column, color, frames } of bare) {
    frames.slice(1).forEach((frame, i) =>
      layHeader(draft, context, {
        day,
        column,
        y: frame.y - HEADER,
        words: rowWords(context, day, i),
        color: blocks ? (frame.y < centerY(column) ? blocks.upper : blocks.lower) : color,
        floor: frame.y,
      }),
    );
  }
  return draft;
};

/** The words that are true over a row: none speaks of a list on a day that has none. */
function rowWords({ week }: Context, day: number, row: number): readonly string[] {
  const words = ROW_WORDS[Math.min(row, ROW_WORDS.length - 1)] as readonly string[];
  const isForLists = row >= ROW_WORDS.length - 1;
  const hasList = week.demands.some((d) => d.day === day && (d.list !== null || d.kind === 'to-do'));
  return isForLists && !hasList ? [...words].reverse() : words;
}

/** Of colors about as plentiful a seed may take another. From memory. */
const WHIM = 0.2;
/** The usual height of a header, mm (handbook 3). */
const HEADER = 6.4;

interface HeaderPlace {
  readonly day: number;
  readonly column: Rect & { readonly page: number };
  readonly y: number;
  readonly words: readonly string[];
  readonly color: string | undefined;
  /** where its foot must be, mm; its top otherwise */
  readonly floor?: number;
}

function layHeader(draft: Draft, context: Context, at: HeaderPlace): void {
  const { column, day } = at;
  const piece = byCost(piecesOf(context, 'header'), (p) => {
    const word = at.words.indexOf(printed(p));
    if (
      word < 0 ||
      draft.ledger.untouched(p) === 0 ||
      strangeness(p, context) > FOREIGN ||
      trimTo(p, column.w) === undefined
    )
      return Infinity;
    return (
      (at.color ? Math.min(60, difference(p.color, at.color)) : 0) +
      word * 8 +
      strangeness(p, context) * 3 +
      tasteCost(p, context) +
      foilCost(context, p, day)
    );
  })[0];
  const cut = piece ? (trimTo(piece, column.w) ?? null) : null;
  const taken = piece && draft.ledger.take(piece, cut);
  if (piece && taken) {
    const w = cut?.w ?? piece.width;
    draft.add(piece, taken, {
      page: column.page,
      x: alignX(context, column, w),
      y: at.floor === undefined ? at.y : at.floor - piece.height,
      role: 'base',
      day,
    });
  } else {
    layStrip(
      draft,
      context,
      { page: column.page, x: column.x, w: column.w, y: at.y, day, role: 'base', ...floorOf(at) },
      HEADER,
      at.color,
    );
  }
}

const floorOf = ({ floor }: HeaderPlace): { floor?: number } => (floor === undefined ? {} : { floor });

/** The color wanted for each of the seven days, from the colors there are enough of. Exact. */
function wantedColors(draft: Draft, context: Context): (string | undefined)[] {
  const { headers: habit } = context.options;
  if (habit === 'none') return [];
  const designs = piecesOf(context, 'header').filter((p) => opensDay(p) && strangeness(p, context) <= FOREIGN);
  const stock = stockOfColors(designs, draft);
  const used = context.ways.leaveOutLoud ? withoutLoud(stock, 7) : stock;
  const base = habitCost(habit, used, 7);
  const metal = (color: string, day: number): number =>
    Math.min(...designs.filter((p) => p.color === color).map((p) => foilCost(context, p, day)));
  return cheapestSequence(
    used,
    7,
    (c, day, last, before) =>
      base(c, day, last, before) +
      metal((used[c] as ColorStock).color, day) +
      whim(context, (used[c] as ColorStock).color) * WHIM,
  ).map((c) => (c === null ? undefined : used[c]?.color));
}

/** The most plentiful colors of some designs, at most five. */
export function stockOfColors(designs: readonly Piece[], draft: Draft, each = 1): ColorStock[] {
  const counts = new Map<string, number>();
  for (const p of designs) counts.set(p.color, (counts.get(p.color) ?? 0) + draft.ledger.untouched(p) * each);
  return [...counts]
    .filter(([, n]) => n > 0)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 5)
    .map(([color, n]) => ({ color, stock: Math.min(n, 7) }));
}

/** The day's lists under its date, before its header, where the day still holds the rest (handbook 5, grounded). */
function layLists(draft: Draft, context: Context, day: number, column: Rect & { readonly page: number }): void {
  let y = column.y;
  for (const block of blocksOfDay(draft, context, day).filter((b) => b.list !== null)) {
    const ground = { draft, context, width: column.w };
    const there = listRows.supply?.(ground);
    const choice = listRows
      .choices(block, ground)
      .filter((c) => c.uses !== null && c.uses.amount <= (there?.get(c.uses.key) ?? 0))
      .reduce<Choice | null>((a, b) => (a && a.cost <= b.cost ? a : b), null);
    if (
      choice === null ||
      y + choice.height > column.y + column.h * MOST_OF_LISTS ||
      y + choice.height + leastHeight(draft, context, day) > bottom(column)
    )
      continue;
    if (choice.lay(draft, { page: column.page, day, column, y }, UNRESERVED)) y += choice.height + context.options.gap;
  }
}
