import { TOLERANCE, tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import type { Book, Mark, MarkKind, Region, RegionKind } from './book';

/** Something of a book that can be taken hold of: a region by its id, a mark by its number. */
export type Part = { readonly of: 'region'; readonly id: string } | { readonly of: 'mark'; readonly at: number };

/** The part's place; undefined when it is not there any more. */
export const placeOf = (book: Book, part: Part): (Rect & { readonly page: number }) | undefined =>
  part.of === 'region' ? book.regions.find((r) => r.id === part.id) : book.marks[part.at];

/** Moves or sizes a part, within its page. */
export function setPlace(book: Book, part: Part, to: Partial<Rect>): Book {
  const put = <T extends Rect & { page: number }>(old: T): T => {
    const page = book.pages[old.page];
    const [w, h] = [clamp(to.w ?? old.w, 0.1, page?.width ?? 1000), clamp(to.h ?? old.h, 0.1, page?.height ?? 1000)];
    return {
      ...old,
      w,
      h,
      x: clamp(to.x ?? old.x, 0, (page?.width ?? 1000) - w),
      y: clamp(to.y ?? old.y, 0, (page?.height ?? 1000) - h),
    };
  };
  return part.of === 'region'
    ? { ...book, regions: book.regions.map((r) => (r.id === part.id ? withRowsInside(put(r), r) : r)) }
    : { ...book, marks: book.marks.map((m, i) => (i === part.at ? put(m) : m)) };
}

/** A column takes its rows along when it moves; what would stick out of it is cut off. */
function withRowsInside(now: Region, before: Region): Region {
  if (!before.rows) return now;
  const rows = before.rows.flatMap((row) => {
    const from = Math.max(now.y, row.y + now.y - before.y);
    const to = Math.min(now.y + now.h, row.y + row.h + now.y - before.y);
    return to - from > TOLERANCE ? [{ ...row, y: tidy(from), h: tidy(to - from) }] : [];
  });
  return withoutGaps({ ...now, rows });
}

export const setRegion = (book: Book, id: string, to: Partial<Pick<Region, 'kind' | 'day' | 'rows'>>): Book => ({
  ...book,
  regions: book.regions.map((r) => (r.id === id ? withoutGaps({ ...r, ...to }) : r)),
});

export const setMark = (book: Book, at: number, kind: MarkKind): Book => ({
  ...book,
  marks: book.marks.map((m, i) => (i === at ? { ...m, kind } : m)),
});

/** A fresh region; of a kind that belongs to a day it takes the first day that has none. */
export function addRegion(book: Book, kind: RegionKind, page: number, rect: Rect): { book: Book; part: Part } {
  const id = freeId(book, kind);
  const taken = book.regions.filter((r) => r.kind === kind).map((r) => r.day);
  const day = hasDay(kind) ? ([0, 1, 2, 3, 4, 5, 6].find((d) => !taken.includes(d)) ?? 0) : undefined;
  return {
    book: {
      ...book,
      regions: [
        ...book.regions,
        withoutGaps({ id, kind, page, ...tidied(rect), ...(day === undefined ? {} : { day }) }),
      ],
    },
    part: { of: 'region', id },
  };
}

export function addMark(book: Book, kind: MarkKind, page: number, rect: Rect): { book: Book; part: Part } {
  return {
    book: { ...book, marks: [...book.marks, { kind, page, ...tidied(rect) }] },
    part: { of: 'mark', at: book.marks.length },
  };
}

export const removePart = (book: Book, part: Part): Book =>
  part.of === 'region'
    ? { ...book, regions: book.regions.filter((r) => r.id !== part.id) }
    : { ...book, marks: book.marks.filter((_, i) => i !== part.at) };

/** Copies of a part side by side to the right, each `pitch` mm on, as far as the page goes; copied days count on. */
export function repeatRight(book: Book, part: Part, times: number, pitch: number): Book {
  const first = placeOf(book, part);
  const page = first && book.pages[first.page];
  if (!first || !page) return book;
  return Array.from({ length: times }, (_, i) => i + 1).reduce((b, n) => {
    const x = tidy(first.x + n * pitch);
    if (x + first.w > page.width) return b;
    if (part.of === 'mark') return { ...b, marks: [...b.marks, { ...(b.marks[part.at] as Mark), x }] };
    const region = b.regions.find((r) => r.id === part.id) as Region;
    const day = region.day === undefined ? {} : { day: Math.min(6, region.day + n) };
    return { ...b, regions: [...b.regions, { ...region, ...day, id: freeId(b, region.kind), x }] };
  }, book);
}

export const hasDay = (kind: RegionKind): boolean => kind === 'day' || kind === 'date-header' || kind === 'month-flag';

function freeId(book: Book, kind: RegionKind): string {
  const ids = new Set(book.regions.map((r) => r.id));
  for (let n = 0; ; n++) if (!ids.has(`${kind}-${n}`)) return `${kind}-${n}`;
}

/** A region whose kind has no day bears none; rows belong to days only. */
function withoutGaps({ day, rows, ...r }: Region): Region {
  return {
    ...r,
    ...(hasDay(r.kind) && day !== undefined ? { day } : {}),
    ...(r.kind === 'day' && rows?.length ? { rows } : {}),
  };
}

const clamp = (v: number, least: number, most: number): number =>
  tidy(Math.min(Math.max(v, least), Math.max(least, most)));
const tidied = (r: Rect): Rect => ({
  x: tidy(r.x),
  y: tidy(r.y),
  w: tidy(Math.max(0.1, r.w)),
  h: tidy(Math.max(0.1, r.h)),
});
