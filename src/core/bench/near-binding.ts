import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import type { Book } from '../book/book';
import { openPaper, pageOf } from '../book/columns';
import { right } from '../measure/rect';

/** Writing nearer to the binding than this comes out crooked, mm. From memory. */
export const NEAR = 8;
/** A binding thinner than this is in nobody's way, mm. From memory. */
const THICK = 5;

/**
 * True for a text of a day that would be written beside the coil or the fold; pages on discs and rings come out to be
 * written on (handbook P3).
 */
export function isNearBinding(book: Book, p: Placement): boolean {
  if (
    !p.text ||
    p.role !== 'day' ||
    book.binding.kind === 'discs' ||
    book.binding.kind === 'rings' ||
    book.binding.width < THICK
  )
    return false;
  const paper = openPaper(book, p.page);
  return (
    (pageOf(book, p.page).bindingSide === 'right' ? right(paper) - right(footprint(p)) : footprint(p).x - paper.x) <
    NEAR
  );
}
