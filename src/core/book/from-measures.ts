import type { Unit } from '../measure/fraction';
import { tidy } from '../measure/length';
import { right } from '../measure/rect';
import type { Book, Mark, Page, Region } from './book';
import { daysIn, headedDay, inEveryDay } from './week-grid';

/** What one measures in a book to have the whole of it: lengths in mm. */
export interface Measures {
  readonly name: string;
  readonly unit: Unit;
  readonly weekStart: Book['weekStart'];
  readonly dated: boolean;
  readonly binding: Book['binding'];
  /** two facing pages with sidebar and seven columns, or four with a sidebar and two columns a page */
  readonly pages: 2 | 4;
  readonly width: number;
  readonly height: number;
  /** from the outer edge to the first column */
  readonly margin: number;
  readonly column: number;
  readonly gap: number;
  readonly headerTop: number;
  readonly headerHeight: number;
  readonly dayTop: number;
  readonly dayHeight: number;
  /** printed boxes in a column, one under another; 0 or 1 for an open column */
  readonly boxes: number;
  /** the bottom strip, by its top and height; none where the height is 0 */
  readonly stripTop: number;
  readonly stripHeight: number;
}

const EDGE = 0.3;

/**
 * A whole book from a dozen measures; what is special in it is then changed by hand. The printed edges of headers,
 * boxes and strips become its marks.
 */
export function bookFromMeasures(m: Measures): Book {
  const page = (n: number): Page => ({ width: m.width, height: m.height, bindingSide: n % 2 ? 'left' : 'right' });
  const count = m.pages === 4 ? 2 : 4;
  const columns = (n: number): number[] =>
    Array.from({ length: count }, (_, i) => tidy((n % 2 ? m.binding.width + 2 : m.margin) + i * (m.column + m.gap)));
  const xs = Array.from({ length: m.pages }, (_, n) => columns(n));
  const days = daysIn(xs.map((x, n) => (n === 0 ? x.slice(1) : x)));
  const header = { y: m.headerTop, h: m.headerHeight };
  const rows = rowsOf(m);
  const day = { y: m.dayTop, h: m.dayHeight };
  const wide = tidy(count * m.column + (count - 1) * m.gap);
  const strips =
    m.stripHeight > 0
      ? xs.map((x, n): Region => ({
          id: `strip-${n}`,
          kind: 'bottom-strip',
          page: n,
          x: x[0] as number,
          y: m.stripTop,
          w: wide,
          h: m.stripHeight,
        }))
      : [];
  const sidebar: Region = {
    id: 'sidebar',
    kind: 'sidebar',
    page: 0,
    x: xs[0]?.[0] as number,
    y: m.headerTop,
    w: m.column,
    h: tidy(m.dayTop + m.dayHeight - m.headerTop),
  };
  return {
    format: 'hobnail.book/1',
    name: m.name,
    unit: m.unit,
    weekStart: m.weekStart,
    dated: m.dated,
    binding: m.binding,
    pages: xs.map((_, n) => page(n)),
    regions: [
      sidebar,
      ...days.flatMap((d) =>
        headedDay(d, m.column, header, day).map((r) => (r.kind === 'day' && rows.length ? { ...r, rows } : r)),
      ),
      ...strips,
    ],
    marks: [
      ...inEveryDay(days, 'box', { dx: 0, y: header.y, w: m.column, h: header.h }),
      ...(rows.length
        ? rows.flatMap((r) => inEveryDay(days, 'box', { dx: 0, y: r.y, w: m.column, h: r.h }))
        : inEveryDay(days, 'line', { dx: 0, y: tidy(day.y + day.h / 2), w: m.column, h: EDGE })),
      ...strips.map(({ page: n, x, y, w, h }): Mark => ({ kind: 'box', page: n, x, y, w, h })),
    ],
  };
}

function rowsOf(m: Measures): { y: number; h: number }[] {
  if (m.boxes < 2) return [];
  const h = tidy((m.dayHeight - (m.boxes - 1) * m.gap) / m.boxes);
  return Array.from({ length: m.boxes }, (_, i) => ({ y: tidy(m.dayTop + i * (h + m.gap)), h }));
}

/** What does not add up in some measures, as one would say it; empty where all is well. */
export function faultsOfMeasures(m: Measures): string[] {
  const book = bookFromMeasures(m);
  const widest = Math.max(
    ...book.regions.map((r) => right(r) + (book.pages[r.page]?.bindingSide === 'right' ? m.binding.width : 0)),
  );
  const faults: string[] = [];
  if (widest > m.width + EDGE)
    faults.push(
      `The columns with their margin and the binding take ${tidy(widest)} mm, and the page is ${m.width} mm wide.`,
    );
  if (m.dayTop < m.headerTop + m.headerHeight - EDGE)
    faults.push('The columns begin above the foot of the date headers.');
  if (m.dayTop + m.dayHeight > m.height + EDGE) faults.push('The columns reach below the page.');
  if (m.stripHeight > 0 && m.stripTop + m.stripHeight > m.height + EDGE)
    faults.push('The bottom strip reaches below the page.');
  if (m.stripHeight > 0 && m.stripTop < m.dayTop + m.dayHeight - EDGE)
    faults.push('The bottom strip begins above the foot of the columns.');
  return faults;
}
