import { restDays } from '../../spread/rest-days';
import { picturesOf } from '../sight';
import type { Term } from '../term';

/** What it costs that the days of one half have so many pictures more, each, than those of the other. From memory. */
const EACH = 6;

/** Pictures evenly on both halves of the open book (handbook W3), free days aside. */
export const pages: Term = {
  name: 'pages',
  says: 'pictures gathered on one page',
  ofWeek({ byDay, columns, context }) {
    const half = context.book.pages.length / 2;
    const rest = restDays(context);
    const count = (left: boolean): number => {
      const days = columns.flatMap((c, day) => (c && !rest.has(day) && c.page < half === left ? [day] : []));
      return days.reduce((n, day) => n + picturesOf(byDay[day] ?? []).length, 0) / Math.max(1, days.length);
    };
    return Math.abs(count(true) - count(false)) * EACH;
  },
};
