import type { Book, Region } from '../book/book';
import { regionsOf } from '../book/columns';
import { tidy } from '../measure/length';
import { bottom, bounds, right } from '../measure/rect';
import type { Options } from './options/registry';
import type { Ways } from './ways/registry';

/** mm kept free at a page's very edge. From memory. */
const EDGE = 2;
/** A top band's height at most and at least, and how far headers are lowered for it at most, mm. From memory. */
const BAND = { most: 22, least: 11 };
const LOWERED_AT_MOST = 8;
const UNDER_BAND = 1;

/**
 * mm over a book's date headers that a top band could have, headers lowered as far as they may be; what is over
 * `BAND.least` will do.
 */
export function bandRoom(book: Book): number {
  const top = topOfHeaders(book);
  return Math.min(BAND.most, top - EDGE - UNDER_BAND + Math.min(LOWERED_AT_MOST, top / 2));
}

/** mm that are lacking for a top band; 0 where it fits. */
export const lackingForBand = (book: Book): number => Math.max(0, tidy(BAND.least - bandRoom(book)));

/**
 * The book as a manner uses it: date headers lowered under a top band or raised, columns that reach down over the
 * notes row. What is printed stays where it is (handbook 5).
 */
export function fitBook(book: Book, ways: Ways, options: Pick<Options, 'bottomWashi'>): Book {
  let used = book;
  if (ways.topBand && lackingForBand(book) === 0 && topOfHeaders(book) < Infinity) used = underBand(used);
  else if (ways.raised) used = raised(used);
  if (ways.stand === 'floor' && options.bottomWashi === 'none') used = overNotesRow(used);
  return used;
}

const topOfHeaders = (book: Book): number => Math.min(Infinity, ...regionsOf(book, 'date-header').map((r) => r.y));

function underBand(book: Book): Book {
  const h = bandRoom(book);
  const floor = EDGE + h + UNDER_BAND;
  const by = Math.max(0, tidy(floor - topOfHeaders(book)));
  const pages = [...new Set(regionsOf(book, 'day').map((r) => r.page))];
  const bands = pages.map((page): Region => {
    const span = bounds(book.regions.filter((r) => r.page === page && (r.kind === 'day' || r.kind === 'sidebar')));
    return { id: `top-band-${page}`, kind: 'top-strip', page, x: span.x, y: EDGE, w: span.w, h: tidy(h) };
  });
  const kept = book.regions.filter((r) => !(r.kind === 'top-strip' || r.kind === 'month-flag') || r.y >= floor);
  return { ...book, regions: [...kept.map((r) => lowered(r, by, floor)), ...bands] };
}

function lowered(r: Region, by: number, floor: number): Region {
  if (r.kind === 'date-header') return { ...r, y: tidy(r.y + by) };
  const down = r.kind === 'day' ? by : r.kind === 'sidebar' ? Math.max(0, tidy(floor - r.y)) : 0;
  return down ? { ...r, y: tidy(r.y + down), h: tidy(r.h - down) } : r;
}

function raised(book: Book): Book {
  const headers = regionsOf(book, 'date-header');
  if (!headers.length) return book;
  const free = headers.map((header) => {
    const above = book.regions.filter(
      (r) =>
        r.page === header.page &&
        ['top-strip', 'month-flag'].includes(r.kind) &&
        r.x < right(header) &&
        right(r) > header.x,
    );
    return header.y - Math.max(EDGE, ...above.map(bottom));
  });
  const by = tidy(Math.min(...free, ...headers.map((r) => r.h)));
  if (by < 1) return book;
  return {
    ...book,
    regions: book.regions.map((r) =>
      r.kind === 'date-header'
        ? { ...r, y: tidy(r.y - by) }
        : r.kind === 'day'
          ? { ...r, y: tidy(r.y - by), h: tidy(r.h + by) }
          : r,
    ),
  };
}

function overNotesRow(book: Book): Book {
  return {
    ...book,
    regions: book.regions.map((r) => {
      const strip =
        r.kind === 'day'
          ? regionsOf(book, 'bottom-strip').find((s) => s.page === r.page && s.x < right(r) && right(s) > r.x)
          : undefined;
      return strip ? { ...r, h: tidy(bottom(strip) - r.y) } : r;
    }),
  };
}
