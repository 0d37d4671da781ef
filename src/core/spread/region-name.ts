import { daysOfWeek } from '../week/week';
import { longDay } from '../week/day-names';
import type { Book, Region } from '../book/book';

/** Any week: only its days' names are wanted. */
const SOME_WEEK = '2027-W06';

/** A place of a book as one would say it: “Monday's header”, “Monday”, “sidebar”. */
export function regionName({ weekStart }: Pick<Book, 'weekStart'>, { id, kind, day }: Region): string {
  const iso = day === undefined ? undefined : daysOfWeek(SOME_WEEK, weekStart)[day];
  const name = iso && longDay(iso);
  switch (kind) {
    case 'day':
      return name ?? id;
    case 'date-header':
      return name ? `${name}’s header` : id;
    case 'month-flag':
      return name ? `${name}’s flag` : id;
    default:
      return id.replaceAll('-', ' ');
  }
}
