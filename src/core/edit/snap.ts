import type { Context, Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { pageOf } from '../book/columns';
import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom, centerX, centerY, right } from '../measure/rect';
import type { Target } from './move';

/** Within this many mm a dragged piece falls to an edge. */
const PULL = 2.5;
/** Lines of other columns pull less: there are many. */
const LINE_PULL = 1;

/**
 * Where a dragged piece comes to lie: on the column's edge or middle, a wanted gap away from its neighbors or in the
 * middle between them, on the column's top or floor, else on a line of another column (handbook F4); and which day
 * that is.
 * @param moving its upright place as dragged, in mm of page `page`
 */
export function snap(
  context: Context,
  placements: readonly Placement[],
  ids: ReadonlySet<string>,
  page: number,
  moving: Rect,
): Target {
  const paper = pageOf(context.book, page);
  const column = context.book.regions.find(
    (r) =>
      r.kind === 'day' &&
      r.page === page &&
      centerX(moving) >= r.x - 1 &&
      centerX(moving) <= right(r) + 1 &&
      centerY(moving) >= r.y - 8 &&
      centerY(moving) <= bottom(r) + 8,
  );
  const region =
    column ??
    context.book.regions.find(
      (r) =>
        r.page === page &&
        centerX(moving) >= r.x &&
        centerX(moving) <= right(r) &&
        centerY(moving) >= r.y &&
        centerY(moving) <= bottom(r),
    );
  const clamp = (v: number, most: number): number => Math.min(Math.max(0, v), Math.max(0, most));
  if (!region)
    return {
      page,
      x: tidy(clamp(moving.x, paper.width - moving.w)),
      y: tidy(clamp(moving.y, paper.height - moving.h)),
      day: null,
    };
  const middle = region.x + (region.w - moving.w) / 2;
  const xs =
    moving.w >= region.w * 0.8
      ? [middle]
      : [region.x, middle, right(region) - moving.w].filter((x) => Math.abs(x - moving.x) < PULL);
  const beside = placements
    .filter((p) => p.page === page && !ids.has(p.id) && p.layer === 0)
    .map(footprint)
    .filter((f) => f.x < right(moving) && right(f) > moving.x);
  const { gap } = context.options;
  const above = Math.max(region.y, ...beside.filter((f) => centerY(f) < centerY(moving)).map(bottom));
  const below = Math.min(bottom(region), ...beside.filter((f) => centerY(f) > centerY(moving)).map((f) => f.y));
  const lines = placements
    .filter((p) => p.page === page && !ids.has(p.id) && p.layer === 0)
    .map(footprint)
    .filter((f) => f.x >= right(moving) || right(f) <= moving.x)
    .flatMap((f) => [f.y, bottom(f) - moving.h]);
  const near = [
    region.y,
    bottom(region) - moving.h,
    ...beside.flatMap((f) => [bottom(f) + gap, f.y - gap - moving.h]),
    (above + below - moving.h) / 2,
  ].filter((y) => Math.abs(y - moving.y) < PULL);
  const ys = near.length ? near : lines.filter((y) => Math.abs(y - moving.y) < LINE_PULL);
  const nearest = (list: readonly number[], to: number): number =>
    list.reduce((a, b) => (Math.abs(b - to) < Math.abs(a - to) ? b : a), list[0] ?? to);
  return {
    page,
    x: tidy(clamp(nearest(xs, moving.x), paper.width - moving.w)),
    y: tidy(clamp(nearest(ys, moving.y), paper.height - moving.h)),
    day: column?.day ?? null,
  };
}
