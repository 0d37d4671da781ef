import { dateHeader } from '../book/columns';
import { intersect } from '../measure/rect';
import type { Piece } from '../kit/kit';
import type { Context, Placement } from './placement';
import { footprint, isWriting } from './placement';

/** The number of a day in ink on the page itself, in a book without dates printed (handbook B5). */
export const isPenDate = (p: Placement): boolean => isWriting(p) && p.role === 'base' && p.day !== null;

/** What shows the date of a day, and as which number: dots, covers that are written on, ink. */
export function datesOf(
  { book }: Pick<Context, 'book'>,
  placements: readonly Placement[],
  pieceOf: (p: Placement) => Piece | undefined,
  day: number,
): { readonly p: Placement; readonly number: string }[] {
  const header = dateHeader(book, day);
  return placements.flatMap((p) => {
    if (isPenDate(p)) return p.day === day && p.text ? [{ p, number: p.text.trim().split(' ').at(-1) as string }] : [];
    if (!header || p.page !== header.page || !intersect(footprint(p), header)) return [];
    const piece = pieceOf(p);
    if (piece?.kind === 'date-dot') return [{ p, number: piece.words.trim() }];
    return piece?.kind === 'date-cover' && p.text ? [{ p, number: p.text.trim() }] : [];
  });
}
