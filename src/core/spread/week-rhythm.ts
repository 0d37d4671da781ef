import type { Book } from '../book/book';
import { dayColumn } from '../book/columns';
import { boldness } from '../color/boldness';
import type { Hex } from '../color/color';
import type { Height } from '../manner/rhythm';
import type { TurnName } from '../manner/turns';
import { turnOf } from '../manner/turns';
import { bounds, centerY } from '../measure/rect';
import type { Placement } from './placement';
import { footprint } from './placement';

/** How high the box of each day of a week stands; null where none does. */
export type Heights = readonly (Height | null)[];

/** What is remembered of a week's boxes: how high they stand, and how bold and pale ones take turns. */
export interface WeekRhythm {
  readonly heights: Heights;
  readonly turn: TurnName | null;
}

/** Fewer boxes than this make no rhythm. */
export const FEWEST_BOXES = 4;

const DAYS = [0, 1, 2, 3, 4, 5, 6];
const boxOf = (placements: readonly Placement[], day: number): readonly Placement[] =>
  placements.filter((p) => p.role === 'box' && p.day === day);

/** How high the box of each day stands in its column. */
export const boxHeights = (book: Book, placements: readonly Placement[]): Heights =>
  DAYS.map((day) => {
    const parts = boxOf(placements, day);
    const column = dayColumn(book, day);
    if (!column || !parts.length) return null;
    return centerY(bounds(parts.map(footprint))) < centerY(column) ? 'high' : 'low';
  });

/** @param colorOf the color of a box's piece, where it is known */
export function weekRhythm(
  book: Book,
  placements: readonly Placement[],
  colorOf: (p: Placement) => Hex | undefined,
): WeekRhythm {
  const bold = DAYS.map((day) => {
    const color = boxOf(placements, day).map(colorOf)[0];
    return color === undefined ? null : boldness(color);
  });
  return { heights: boxHeights(book, placements), turn: turnOf(bold) };
}

/** True for boxes that all stand at one height: what turns there is their boldness. */
export const areInLine = (heights: Heights): boolean => new Set(heights.filter((h) => h !== null)).size === 1;

/**
 * True for weeks whose boxes go up and down alike, on the days where both have one (handbook E4); in a line, whose
 * boldness takes turns alike.
 */
export function areAlike(one: WeekRhythm, other: WeekRhythm): boolean {
  const both = one.heights.flatMap((h, day) => (h && other.heights[day] ? [h === other.heights[day]] : []));
  if (both.length < FEWEST_BOXES || !both.every(Boolean)) return false;
  return !areInLine(one.heights) || !areInLine(other.heights) || one.turn === other.turn;
}
