import { dateHeader, dayColumn } from '../../book/columns';
import type { Book, Region } from '../../book/book';
import type { Rect } from '../../measure/rect';
import { centerX, centerY, contains } from '../../measure/rect';
import { firstFree } from '../../spread/free-room';
import { PAPER, inkFor } from '../../spread/ink';
import type { Draft, Stage } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { datesOf } from '../../spread/dates-of';
import { dayOfMonth, shortDay } from '../../week/day-names';

/** Room that a number takes in a header, mm. From memory. */
const NUMBER = { w: 14, h: 8 };
/** A printed circle up to so many mm is there for the number. From memory. */
const FOR_NUMBER = 14;

/**
 * In a book without dates printed, the number of a day that got neither dot nor cover, in ink: in its header, in the
 * circle printed there; with the day's name at the top of its column where the book has no header (handbook B5).
 */
export const penDates: Stage = (before, context) => {
  if (context.book.dated || !context.options.onPaper) return before;
  const draft = before.clone();
  context.week.days.forEach((isoDay, day) => {
    if (datesOf(context, draft.placements, draft.pieceOf, day).length) return;
    const header = dateHeader(context.book, day);
    const number = String(dayOfMonth(isoDay));
    const place = header ? inHeader(draft, context.book, header) : overColumn(draft, context, day);
    if (!place) return;
    const text = header ? number : `${shortDay(isoDay)} ${number}`;
    draft.write({ ...place, role: 'base', day, text, ink: inkFor(PAPER) });
  });
  return draft;
};

function inHeader(draft: Draft, book: Book, header: Region): (Rect & { page: number }) | null {
  if (draft.lyingIn(header.page, header).length) return null;
  const circle = book.marks.find(
    (m) => m.page === header.page && m.kind === 'circle' && Math.max(m.w, m.h) <= FOR_NUMBER && contains(header, m),
  );
  const [w, h] = [Math.min(NUMBER.w, header.w), Math.min(NUMBER.h, header.h)];
  const { x, y } = { x: centerX(header) - w / 2, y: centerY(header) - h / 2 };
  return { page: header.page, ...(circle ? { x: circle.x, y: circle.y, w: circle.w, h: circle.h } : { x, y, w, h }) };
}

function overColumn(draft: Draft, context: Context, day: number): (Rect & { page: number }) | null {
  const column = dayColumn(context.book, day);
  const h = context.options.hand.linePitch;
  const y = column ? firstFree(draft, context, [day], h) : null;
  return column && y !== null ? { page: column.page, x: column.x, y, w: column.w, h } : null;
}
