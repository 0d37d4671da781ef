import type { Rect } from '../measure/rect';
import { bottom, centerX, centerY, right } from '../measure/rect';
import type { Book } from './book';

/** Beside a column, and above and below it, so much is still its own, mm. */
const BESIDE = 1;
const ABOVE = 8;

/** The day in whose column, or under whose printed date, the middle of a place lies; null for all else. */
export function dayAt({ regions }: Book, page: number, place: Rect): number | null {
  const [x, y] = [centerX(place), centerY(place)];
  const column = regions.find(
    (r) =>
      r.kind === 'day' &&
      r.page === page &&
      x >= r.x - BESIDE &&
      x <= right(r) + BESIDE &&
      y >= r.y - ABOVE &&
      y <= bottom(r) + ABOVE,
  );
  const over = regions.find(
    (r) => r.page === page && typeof r.day === 'number' && x >= r.x && x <= right(r) && y >= r.y && y <= bottom(r),
  );
  return (column ?? over)?.day ?? null;
}

/** Where a place lies that was moved over the edge of its page: the pages lie side by side, and nothing beside them. */
export function pageAt({ pages }: Book, page: number, place: Rect): { readonly page: number; readonly x: number } {
  let [at, x] = [page, place.x];
  while (at < pages.length - 1 && x + place.w / 2 > (pages[at]?.width ?? 0)) x -= pages[at++]?.width ?? 0;
  while (at > 0 && x + place.w / 2 < 0) x += pages[--at]?.width ?? 0;
  const { width = 0 } = pages[at] ?? {};
  return { page: at, x: Math.min(Math.max(x, -place.w / 2), width - place.w / 2) };
}
