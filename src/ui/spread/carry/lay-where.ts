import { layAt } from '../../../core/edit/lay-at';
import { centerX } from '../../../core/measure/rect';
import { dressThere } from '../../../core/repair/offers';
import type { Context } from '../../../core/spread/placement';
import type { State } from '../store';
import type { Carried } from './use-carry';

/** Lays a sticker where it was dropped, or dresses an item on the day that it was dropped on. */
export function layWhere(state: State, carried: Carried, point: PointOnPage): void {
  const { context, placements, edit, select, complain, pickItem } = state;
  if (carried.is === 'sticker') {
    const change = layAt(context, placements, carried.piece, point);
    edit(change);
    if (change) select(change.after.at(-1)?.id ?? null);
    else complain([NOT_HERE]);
    return;
  }
  const day = dayAt(context, point);
  const way = day === null ? null : dressThere(context, placements, carried.key, day);
  if (way) {
    edit(way.change);
    select(way.base?.id ?? null);
  } else {
    pickItem(carried.key);
    complain([day === null ? NO_DAY : NO_ROOM]);
  }
}

/** mm of a page */
export interface PointOnPage {
  readonly page: number;
  readonly x: number;
  readonly y: number;
}

/** A point of the drawing as one of its page. @param offsets where each page begins in it, mm */
export function onPage(offsets: readonly number[], { x, y }: { readonly x: number; readonly y: number }): PointOnPage {
  const page = Math.max(
    0,
    offsets.findLastIndex((o) => x >= o),
  );
  return { page, x: x - (offsets[page] ?? 0), y };
}

const NOT_HERE = 'It cannot be laid there: none of it is left, or it may not be cut to fit.';
const NO_DAY = 'Drop it on a day of the book.';
const NO_ROOM = 'It does not fit into that day as it is. Other places for it are offered beside the book.';

/** The day whose column, or the header over it, is under a point. */
function dayAt({ book }: Context, at: { page: number; x: number; y: number }): number | null {
  const columns = book.regions.filter((r) => r.kind === 'day' && r.page === at.page && r.day !== undefined);
  const under = columns.filter((r) => at.x >= r.x - 2 && at.x <= r.x + r.w + 2);
  const near = under.sort(
    (a, b) =>
      Math.abs(a.y + a.h / 2 - at.y) - Math.abs(b.y + b.h / 2 - at.y) ||
      Math.abs(centerX(a) - at.x) - Math.abs(centerX(b) - at.x),
  );
  return near[0]?.day ?? null;
}
