import type { Book } from '../book/book';
import { dayColumn } from '../book/columns';
import { colorName } from '../color/color-name';
import type { Rect } from '../measure/rect';
import { area, intersect, turned, unionArea } from '../measure/rect';
import { DAYS, plus } from '../week/typed/calendar-days';
import { daysOfWeek } from '../week/week';
import type { LogTable } from './log-table';
import { rounded } from './log-table';

/** A sticker as it lies, with its color. */
export interface ColoredPiece extends Rect {
  readonly page: number;
  readonly turn: number;
  readonly layer: number;
  readonly color: string;
}

/** A laid week. */
export interface LaidWeek {
  readonly week: string;
  readonly book: Book;
  readonly pieces: readonly ColoredPiece[];
}

const MOST_COLORS = 9;
const NOTHING = 'No week of this year is laid out.';

/** White space by day (W1: by the union of what lies there), and the colors of each month by the area they cover. */
export function tablesOfColors(weeks: readonly LaidWeek[]): LogTable[] {
  const byMonth = new Map<string, Map<string, number>>();
  const all = new Map<string, number>();
  const shades = new Map<string, Map<string, number>>();
  for (const { week, pieces } of weeks) {
    // a week belongs to the month of its Thursday, as ISO 8601 has it of years
    const month = plus(daysOfWeek(week)[0] as string, 3).slice(0, 7);
    const sums = byMonth.get(month) ?? new Map<string, number>();
    byMonth.set(month, sums);
    for (const p of pieces) {
      if (p.layer > 0) continue;
      const name = colorName(p.color);
      sums.set(name, (sums.get(name) ?? 0) + p.w * p.h);
      all.set(name, (all.get(name) ?? 0) + p.w * p.h);
      const own = shades.get(name) ?? new Map<string, number>();
      shades.set(name, own.set(p.color, (own.get(p.color) ?? 0) + p.w * p.h));
    }
  }
  const sorted = [...all].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([name]) => name);
  const names = sorted.slice(0, MOST_COLORS);
  const others = sorted.slice(MOST_COLORS);
  return [
    {
      name: 'colors-by-month',
      title: 'Colors by month, cm²',
      columns: ['month', ...names, ...(others.length ? ['others'] : [])],
      rows: [...byMonth]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([month, sums]) => [
          month,
          ...names.map((name) => rounded((sums.get(name) ?? 0) / 100)),
          ...(others.length ? [rounded(others.reduce((sum, name) => sum + (sums.get(name) ?? 0), 0) / 100)] : []),
        ]),
      // of the shades that people call alike the one that covers most
      swatches: names.map((name) => [name, [...(shades.get(name) ?? [])].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '']),
      nothing: NOTHING,
    },
    {
      name: 'white-space',
      title: 'White space, %',
      columns: ['week', ...DAYS.map((d) => d.slice(0, 3)), 'all days'],
      rows: weeks.map((w) => {
        const days = DAYS.map((_, day) => whiteOf(w, w.book.weekStart === 'monday' ? day : (day + 1) % 7));
        return [w.week, ...days, rounded(days.reduce((a, b) => a + b, 0) / 7, 0)];
      }),
      nothing: NOTHING,
    },
  ];
}

function whiteOf({ book, pieces }: LaidWeek, day: number): number {
  const column = dayColumn(book, day);
  if (!column) return 100;
  const covered = unionArea(
    pieces.flatMap((p) => (p.page === column.page ? (intersect(turned(p, p.turn), column) ?? []) : [])),
  );
  return rounded(100 * (1 - covered / area(column)), 0);
}
