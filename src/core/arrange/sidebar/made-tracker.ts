import type { Region } from '../../book/book';
import type { Piece } from '../../kit/kit';
import { bottom } from '../../measure/rect';
import { alignX } from '../../spread/align';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft } from '../../spread/draft';
import { fitText } from '../../spread/fit-text';
import { PAPER, inkFor } from '../../spread/ink';
import type { Context } from '../../spread/placement';
import { shortDay } from '../../week/day-names';
import { trimTo } from '../../spread/trim';
import { baseOf, writingRoom } from '../../spread/writing';
import { layStrip, stripFor } from '../base/makeshift';

/** One for each day of the week. */
const ROWS = 7;

/** As the page has them: a week may begin on Sunday. */
const daysOf = ({ week }: Context): string[] => week.days.map(shortDay);

/** mm from line to line drawn by hand, where the owner writes smaller. From memory. */
const LEAST_LINE = 5;
/** The height of a strip that a name is written on, mm (handbook 3: about a header's). */
const NAME_STRIP = 7;
/** mm between a name and what it names. From memory. */
const UNDER_NAME = 0.6;

/**
 * A tracker made of what there is (handbook K2): its name over a row for each day, the rows cut from lists that the
 * week's own can spare, else seven lines in ink.
 * @param name null: it has one over it already
 * @param jars what a list's color costs there
 * @returns the mm of height taken, 0 where there is no room for it
 */
export function madeTracker(
  draft: Draft,
  context: Context,
  bar: Region,
  name: string | null,
  top: number,
  jars: (p: Piece) => number,
): number {
  const room = bottom(bar) - top - (name === null ? 0 : nameHeight(context));
  const list = byCost(piecesOf(context, 'checklist'), (p) =>
    p.rows === 0 ||
    sizeOn(context, p.height / p.rows) === null ||
    p.words ||
    strangeness(p, context) > FOREIGN ||
    draft.ledger.rowsLeft(p) < ROWS ||
    trimTo(p, bar.w) === undefined ||
    (p.height / p.rows) * ROWS > room
      ? Infinity
      : strangeness(p, context) + jars(p),
  )[0];
  if (list && spareRows(draft, context) >= ROWS) {
    const h = name === null ? 0 : layName(draft, context, bar, name, top);
    return h + layDays(draft, context, bar, list, top + h);
  }
  const line = Math.max(LEAST_LINE, context.options.hand.linePitch);
  if (!context.options.onPaper || ROWS * line > room) return 0;
  const h = name === null ? 0 : layName(draft, context, bar, name, top);
  draft.write({
    page: bar.page,
    x: bar.x,
    y: top + h,
    w: bar.w,
    h: ROWS * line,
    role: 'sidebar',
    text: daysOf(context).join('\n'),
    ink: inkFor(PAPER),
  });
  return h + ROWS * line;
}

/** Rows of all lists beyond those that the week's own lists want. */
function spareRows(draft: Draft, context: Context): number {
  const there = piecesOf(context, 'checklist').reduce((n, p) => n + draft.ledger.rowsLeft(p), 0);
  return there - context.week.demands.filter((d) => d.list !== null).length;
}

/** How large is written on a row so high; null where it would be smaller than its owner writes. */
function sizeOn({ options: { hand, smallest } }: Context, pitch: number): number | null {
  const size = Math.min(1, Math.floor((pitch / hand.linePitch) * 100) / 100);
  return size >= smallest ? size : null;
}

/** A row for each day, joined of several copies where one has fewer. @returns the mm of height taken */
function layDays(draft: Draft, context: Context, bar: Region, list: Piece, top: number): number {
  const pitch = list.height / list.rows;
  let done = 0;
  while (done < ROWS) {
    const rows = Math.min(ROWS - done, draft.ledger.mostRows(list));
    const taken = rows > 0 ? draft.ledger.takeRows(list, rows, bar.w) : null;
    if (!taken) break;
    draft.add(list, taken, {
      page: bar.page,
      x: alignX(context, bar, taken.cut?.w ?? list.width),
      y: top + done * pitch,
      role: 'sidebar',
      text: daysOf(context)
        .slice(done, done + rows)
        .join('\n'),
      size: sizeOn(context, pitch) ?? 1,
      ink: inkFor(list),
    });
    done += rows;
  }
  return done * pitch;
}

const nameHeight = (context: Context): number =>
  Math.max(NAME_STRIP * 1.5, context.options.hand.linePitch) + UNDER_NAME;

/** The name on a strip of washi, or in ink. @returns the mm of height taken */
function layName(draft: Draft, context: Context, bar: Region, name: string, y: number): number {
  const place = { page: bar.page, x: bar.x, w: bar.w, y, role: 'sidebar' as const, day: null };
  const piece = stripFor(draft, context, bar.w, NAME_STRIP);
  const fitted = piece && fitText(name, writingRoom(baseOf(piece, { w: bar.w, h: piece.height })), context.options);
  const strip = fitted && layStrip(draft, context, place, NAME_STRIP);
  if (!strip) return writeName(draft, context, bar, name, y);
  draft.placements[draft.placements.indexOf(strip)] = { ...strip, ...fitted, ink: inkFor(piece) };
  return strip.h + UNDER_NAME;
}

/** A name in ink over what it names. @returns the mm of height taken; 0 where nothing is written on the paper */
export function writeName(draft: Draft, context: Context, bar: Region, name: string, y: number): number {
  const h = context.options.hand.linePitch;
  if (!context.options.onPaper || y + h > bottom(bar)) return 0;
  draft.write({ page: bar.page, x: bar.x, y, w: bar.w, h, role: 'sidebar', text: name, ink: inkFor(PAPER) });
  return h + UNDER_NAME;
}
