import type { Mark, MarkKind, Region } from './book';

/** A day's column on its page, x in mm. */
export interface DayPlace {
  readonly page: number;
  readonly day: number;
  readonly x: number;
}

/**
 * Days in the order of their columns, page after page: one row of x positions a page, the first page beginning with
 * its sidebar.
 */
export const daysIn = (pages: readonly (readonly number[])[]): DayPlace[] => {
  let day = 0;
  return pages.flatMap((xs, page) => xs.map((x) => ({ page, day: day++, x })));
};

/** A day's date header and column, one under the other. */
export const headedDay = (
  { page, day, x }: DayPlace,
  w: number,
  header: { y: number; h: number },
  column: { y: number; h: number },
): Region[] => [
  { id: `header-${day}`, kind: 'date-header', page, day, x, w, ...header },
  { id: `day-${day}`, kind: 'day', page, day, x, w, ...column },
];

/** One mark in every day's column, given from the column's left edge. */
export const inEveryDay = (
  days: readonly DayPlace[],
  kind: MarkKind,
  at: { dx: number; y: number; w: number; h: number },
): Mark[] =>
  days.map(({ page, x }) => ({ kind, page, x: Math.round((x + at.dx) * 1000) / 1000, y: at.y, w: at.w, h: at.h }));
