import type { Book } from '../book/book';
import { dayColumn } from '../book/columns';
import type { Height } from '../manner/rhythm';
import { bounds, centerY } from '../measure/rect';
import type { Placement } from './placement';
import { footprint } from './placement';

/** How high the box of each day of a week stands; null where none does. */
export type Heights = readonly (Height | null)[];

/** Fewer boxes than this make no rhythm. */
export const FEWEST_BOXES = 4;

/** How high the box of each day stands in its column. */
export const boxHeights = (book: Book, placements: readonly Placement[]): Heights =>
  [0, 1, 2, 3, 4, 5, 6].map((day) => {
    const parts = placements.filter((p) => p.role === 'box' && p.day === day);
    const column = dayColumn(book, day);
    if (!column || !parts.length) return null;
    return centerY(bounds(parts.map(footprint))) < centerY(column) ? 'high' : 'low';
  });

/** True for weeks whose boxes go up and down alike, on the days where both have one (handbook E4). */
export function areAlike(one: Heights, other: Heights): boolean {
  const both = one.flatMap((h, day) => (h && other[day] ? [h === other[day]] : []));
  return both.length >= FEWEST_BOXES && both.every(Boolean);
}
