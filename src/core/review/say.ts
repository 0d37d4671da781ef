import { dayColumn } from '../book/columns';
import type { Placement } from '../spread/placement';
import { traits } from '../kit/kinds';
import { ruled } from '../measure/fraction';
import { longDay } from '../week/day-names';
import type { View } from './finding';

/** `Thursday` */
export const dayName = (view: Pick<View, 'context'>, day: number): string =>
  longDay(view.context.week.days[day] as string);

/** A length in the book's own unit. */
export const mm = (view: Pick<View, 'context'>, length: number): string => ruled(length, view.context.book.unit);

/** `Thursday’s header`, `the header in the sidebar` */
export function pieceName(view: Pick<View, 'context' | 'pieceOf'>, p: Placement): string {
  const piece = view.pieceOf(p);
  const label = piece ? traits(piece.kind).label : 'piece';
  if (p.day !== null) return `${dayName(view, p.day)}’s ${label}`;
  return p.role === 'sidebar' ? `the ${label} in the sidebar` : `the ${label}`;
}

/** First letter large, for the beginning of a sentence. */
export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The top of a day's column, where a finding about the whole day points. */
export function topOf(view: View, day: number): { page: number; x: number; y: number } {
  const column = dayColumn(view.context.book, day);
  return { page: column?.page ?? 0, x: column?.x ?? 0, y: column?.y ?? 0 };
}

export const at = (p: Placement): { page: number; x: number; y: number } => ({ page: p.page, x: p.x, y: p.y });

/** `1 row`, `2 rows` */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
