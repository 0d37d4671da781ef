import { dayColumn } from '../book/columns';
import type { Placement } from '../spread/placement';
import type { View } from './finding';

/** The top of a day's column, where a finding about the whole day points. mm on its page. */
export function topOf(view: View, day: number): { page: number; x: number; y: number } {
  const column = dayColumn(view.context.book, day);
  return { page: column?.page ?? 0, x: column?.x ?? 0, y: column?.y ?? 0 };
}

export const at = (p: Placement): { page: number; x: number; y: number } => ({ page: p.page, x: p.x, y: p.y });
